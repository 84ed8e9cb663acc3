import { centralCost, centralTimes, contactPatch } from '@dunlinmoss/core';
import { planAxles } from '@dunlinmoss/domain';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { readDraft, writeDraft } from '../../data/drafts';
import { NumberField } from '../../components/NumberField';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { duration, UP_PROBLEM_WORDS } from '../../words/air';
import { parseNumber } from '../../settings/typedNumber';
import { pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { AirQuestion } from './AirQuestion';
import type { AirJob } from '../../hooks/useAirJob';
import { Controller } from './CentralController';
import { type Typed, USUAL, FIELDS, SUPPLY, TANK_KPA } from './centralFields';

/** Central inflation: road to field and back, whether it is done before the gate, what it costs and what it saves. */
export const CentralScreen = () => (
  <AirQuestion title="Central inflation">
    {(job, choice) => <Central key={job.rig.id} job={job} choice={choice} />}
  </AirQuestion>
);

function Central({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const { rig, units, plan, wheels, question, outing, outsideKpaAbs } = job;
  const draft = `central:${rig.id}`;
  const [typed, setTyped] = useState<Typed>(() => readDraft<Typed>(draft) ?? USUAL);
  const change = (part: Partial<Typed>): void => {
    const next = { ...typed, ...part };
    setTyped(next);
    writeDraft(draft, next);
  };
  const problemOf = ([key, , unit, low, high]: (typeof FIELDS)[number]): string | undefined => {
    const value = parseNumber(typed[key]);
    return value !== undefined && value >= low && value <= high
      ? undefined
      : `Expected ${low} to ${high.toLocaleString('en')} ${unit}.`;
  };
  const wrong = [...FIELDS, ...SUPPLY].some((field) => problemOf(field) !== undefined);
  const value = (key: keyof Typed): number => parseNumber(typed[key]) ?? 0;

  const axles = rig.axles.flatMap((axle) => {
    const own = wheels.filter(({ position }) => position === axle.position);
    const planned = own[0] && job.planned(own[0]);
    return planned && axle.roadKpa
      ? [
          {
            position: axle.position,
            wheels: own.length,
            volumeL: own[0]!.volumeL,
            roadKpa: axle.roadKpa,
            fieldKpa: planned.startKpa,
          },
        ]
      : [];
  });
  const lowered = axles.filter(({ roadKpa, fieldKpa }) => roadKpa > fieldKpa + 1);
  const times =
    wrong || lowered.length === 0
      ? undefined
      : centralTimes({
          axles: lowered,
          outLPerS: value('out'),
          lineLPerS: value('line'),
          supply: [
            { pressureKpa: 0, litersPerMin: value('supply') },
            { pressureKpa: TANK_KPA, litersPerMin: value('supply') },
          ],
          tankL: value('tank'),
          tankKpa: TANK_KPA,
          outsideKpaAbs,
        });
  const cost =
    times?.upS == null
      ? undefined
      : centralCost(
          { downS: times.downS, upS: times.upS },
          { distanceM: value('distance'), speedKmh: value('speed'), cycles: Math.round(value('cycles')) },
        );
  const planned = planAxles(rig, question.tests, outing?.loadCaseId ?? question.asked.loadCaseId);
  const field = (each: (typeof FIELDS)[number]) => (
    <NumberField
      key={each[0]}
      label={each[1]}
      unit={each[2]}
      value={typed[each[0]]}
      onChange={(text) => change({ [each[0]]: text })}
      problem={problemOf(each)}
    />
  );

  return (
    <Page
      title="Central inflation"
      result={
        <>
          {plan === undefined ? (
            <Panel>
              <Text role="alert">There is no safe pressure for this load on this ground: see Ground.</Text>
            </Panel>
          ) : lowered.length === 0 ? (
            <Panel>
              <Text>{`${groundName(plan.ground)} asks for no less than the road does: nothing to change.`}</Text>
            </Panel>
          ) : (
            times && (
              <Panel title={`Road to ${groundName(plan.ground).toLowerCase()} and back`}>
                {lowered.map(({ position, roadKpa, fieldKpa }) => (
                  <View key={position} style={styles.row}>
                    <Text style={styles.name}>{AXLE_WORDS[position]}</Text>
                    <Text as="figure">{`${pressure(roadKpa, units)} ⇄ ${pressure(fieldKpa, units)}`}</Text>
                  </View>
                ))}
                <View style={styles.pair}>
                  <View style={styles.half}>
                    <Text as="label" tone="muted">
                      Down
                    </Text>
                    <Text as="title">{duration(times.downS)}</Text>
                  </View>
                  <View style={styles.half}>
                    <Text as="label" tone="muted">
                      Back up
                    </Text>
                    <Text as="title">{times.upS === null ? '—' : duration(times.upS)}</Text>
                  </View>
                </View>
                {times.upProblem && (
                  <Text role="alert" tone="rust">
                    {UP_PROBLEM_WORDS[times.upProblem]}
                  </Text>
                )}
                {cost && (
                  <>
                    <Text as="strong">
                      {cost.doneBeforeGate
                        ? `Down before the gate: begin ${Math.round(cost.beginM)} m ahead of it.`
                        : `Not down by the gate: wait ${duration(cost.waitDownS)}, or begin ${Math.round(cost.beginM)} m ahead.`}
                    </Text>
                    <Text>
                      {cost.waitUpS === 0
                        ? 'Back up on the way out, no wait.'
                        : `On the way out wait ${duration(cost.waitUpS)} before the road: never on it below road pressure.`}
                    </Text>
                    <Text>{`${Math.round(cost.minutesADay)} min a day of waiting, ${typed.cycles} times.`}</Text>
                  </>
                )}
              </Panel>
            )
          )}
          {planned.ok && lowered.length > 0 && (
            <Panel title="What it saves the ground">
              {lowered.map(({ position, roadKpa, fieldKpa }) => {
                const axle = planned.value.find((each) => each.position === position)!;
                const build = { tire: axle.tire, carcass: 1 };
                const load = Math.max(axle.leftLoadKg, axle.rightLoadKg);
                const [road, soft] = [roadKpa, fieldKpa].map((kpa) => contactPatch(build, load, kpa));
                if (!road || !soft) return null;
                return (
                  <Text key={position}>
                    {`${AXLE_WORDS[position]}: ${pressure(road.groundPressureKpa, units)} on the ground at road pressure, ${pressure(soft.groundPressureKpa, units)} at field pressure.`}
                  </Text>
                );
              })}
              <Text as="small" tone="muted">
                Without it the one fixed pressure must carry the heaviest load at the highest speed, so most of this is
                lost.
              </Text>
            </Panel>
          )}
          <Controller job={job} axles={lowered} out={value('out')} supply={value('supply')} />
        </>
      }
    >
      {choice}
      <Text tone="muted">{`${rig.name}: road pressure on the road, ${plan ? groundName(plan.ground).toLowerCase() : 'field'} pressure beyond the gate.`}</Text>
      {FIELDS.map(field)}
      <Unfold label="Air supply" value={`${typed.supply} L/min, tank ${typed.tank} L`}>
        {SUPPLY.map(field)}
        <Text as="small" tone="muted">
          Our assumptions until the controller’s sheet says better. The tank is held at 8 bar.
        </Text>
      </Unfold>
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 34 },
  name: { flex: 1 },
  pair: { flexDirection: 'row', gap: 12 },
  half: { flex: 1 },
});
