import type { Airing } from '@dunlinmoss/contract';
import { WARM_FOR_MIN, wheelKey } from '@dunlinmoss/core';
import { gaugeStepKpa, inOrder, likelyDriven, onGauge, planAiring } from '@dunlinmoss/domain';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { newAiring } from '../../data/airings';
import { save } from '../../data/outbox';
import { readStored, writeStored } from '../../settings/storage';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { duration, MIND_IN, MIND_OUT, wheelName } from '../../words/air';
import { percent, pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { TOOL_WORDS } from '../../words/tools';
import { useRouter } from '../../hooks/useRouter';
import { GaugeConditions } from './GaugeConditions';
import { GaugePick, useGaugeInHand } from './GaugePick';
import { EnoughAir } from './EnoughAir';
import { lastTool, rememberTool, toolsFor } from '../../hooks/toolChoice';
import type { AirJob } from '../../hooks/useAirJob';
import { useConditions } from '../../hooks/useConditions';
import { conditionsOf } from '../../settings/conditions';
import { Toggle } from '../../components/Toggle';
import { targetOf } from './targetOf';
import { WarmTires } from './WarmTires';
import { KitNotes } from './KitNotes';
import { OrderRow } from './OrderRow';

interface PrepareAiringProps {
  readonly job: AirJob;
  readonly way: 'out' | 'in';
  readonly title: string;
  readonly choice: ReactNode;
}

/** Before the first valve: from what to what, with which tool, in which order, and how long it will take. */
export function PrepareAiring({ job, way, title, choice }: PrepareAiringProps) {
  const router = useRouter();
  const { rig, family, units, outing, conditions, outsideKpaAbs, airings, tools, gauges } = job;
  // Tools may come after the rig: until one is picked, it is the last one of those that are here.
  const [picked, setToolCode] = useState<string>();
  const toolCode = picked ?? lastTool(way, rig.id, family.kind, tools);
  const inHand = useGaugeInHand(rig.id, gauges);
  const [driven, setDriven] = useState(() => likelyDriven(outing, airings, Date.now()));
  // A thermometer knows better than a guess.
  const measured = conditionsOf(useConditions(rig.id).typed) !== undefined;
  const justDriven = driven && !measured;
  const orderKey = `order:${rig.id}`;
  const [order, setOrder] = useState(() => readStored<string[]>(orderKey));
  const options = toolsFor(way, tools);
  const { used } = options.find(({ code }) => code === toolCode) ?? options[0]!;

  const ordered = inOrder(job.wheels, order);
  const { rows, drain, fill, wheels, totalS, timed } = planAiring({
    way,
    rig,
    wheels: ordered,
    used,
    airings,
    conditions,
    justDriven,
    floorKpa: (wheel) => job.planned(wheel)?.floorKpa,
    outsideKpaAbs,
    known: job.known,
    coldKpa: (wheel) => targetOf(job, way, wheel),
    onGauge: (kpa) => onGauge(kpa, units),
  });
  const unplanned = rows.some(({ coldKpa }) => coldKpa === undefined);
  const allThere = rows.every(
    ({ fromKpa, targetKpa }) =>
      fromKpa !== undefined && targetKpa !== undefined && Math.abs(fromKpa - targetKpa) < gaugeStepKpa(units) / 2,
  );

  const move = (index: number, by: 1 | -1): void => {
    const keys = ordered.map(wheelKey);
    [keys[index], keys[index + by]] = [keys[index + by]!, keys[index]!];
    setOrder(keys);
    writeStored(orderKey, keys);
  };

  const begin = async (): Promise<void> => {
    rememberTool(way, rig.id, toolCode);
    const begun: Airing['wheels'] = rows.map(({ wheel, coldKpa, targetKpa }) => ({
      position: wheel.position,
      wheel: wheel.wheel,
      volumeL: wheel.volumeL,
      coldKpa: coldKpa!,
      targetKpa: targetKpa!,
      settled: null,
    }));
    const saved = await save(
      'airings',
      newAiring({
        rigId: rig.id,
        outingId: outing?.id ?? null,
        way,
        toolId: used.tool?.id ?? null,
        toolKind: used.kind,
        gauge: inHand.used,
        ...conditions,
        justDriven,
        wheels: begun,
      }),
    );
    if (saved.kind === 'refused') notify(saved.problem.title);
  };

  const toolName = used.tool?.name ?? TOOL_WORDS[used.kind].name;
  return (
    <Page
      title={title}
      action={
        unplanned ? undefined : (
          <Action kind="main" label={`Begin at ${wheelName(ordered[0]!).toLowerCase()}`} onPress={() => void begin()} />
        )
      }
      result={
        <>
          <KitNotes rig={rig} used={used} toolName={toolName} rows={rows} way={way} units={units} />
          {fill && <EnoughAir job={job} fill={fill} used={used} wheels={wheels} />}
          <Panel title="How long">
            <View style={styles.total}>
              <Text as="numeral">{duration(totalS)}</Text>
            </View>
            <Text as="small" tone="muted">
              {`${ordered.length === 1 ? 'One wheel' : `All ${ordered.length} wheels`}, walking, ${way === 'out' ? 'screwing on and reading' : 'screwing on and rests'} included. ${
                timed > 0
                  ? `By ${timed === 1 ? 'one wheel' : `${timed} wheels`} you timed with ${toolName}.`
                  : `By what such a tool commonly does, give or take half: time one wheel, and the others follow it.`
              }${drain && drain.relativeError > 0.08 && timed > 0 ? ` Within ${percent(drain.relativeError)}.` : ''}`}
            </Text>
          </Panel>
          <Panel title="Mind">
            <Text as="small">{way === 'out' ? MIND_OUT[1] : MIND_IN[1]}</Text>
            {used.kind === 'carbonDioxideBottle' && (
              <Text as="small" tone="rust">
                CO2 freezes skin: gloves on, and never point it at anyone.
              </Text>
            )}
          </Panel>
        </>
      }
    >
      {choice}
      <Text tone="muted">
        {way === 'out'
          ? `${rig.name} for ${groundName(job.question.asked.ground).toLowerCase()}, as the gauge should read now.`
          : job.ordered.size > 0
            ? `${rig.name} up to what its route asks for, as the gauge should read now.`
            : `${rig.name} back to road pressure, as the gauge should read now.`}
      </Text>
      <Text as="small" tone="rust">
        {way === 'out' ? MIND_OUT[0] : MIND_IN[0]}
      </Text>
      <WarmTires job={job} />
      <Toggle
        label="Just driven"
        note={
          justDriven
            ? `${way === 'out' ? 'A warm tire reads high: it is not let out so far that it ends below its floor. ' : ''}Read again when cold.`
            : `Within ${WARM_FOR_MIN} minutes: a warm tire reads high`
        }
        value={driven}
        onChange={setDriven}
      />
      {unplanned ? (
        <Panel>
          <Text role="alert">
            {way === 'out'
              ? 'There is no safe pressure for this load on this ground: see what would help.'
              : 'A wheel has no road pressure yet: say it on the rig.'}
          </Text>
          <Action
            kind="main"
            label={way === 'out' ? 'See what would help' : 'To the rig'}
            onPress={() =>
              way === 'out'
                ? router.navigate('/ground')
                : router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } })
            }
          />
        </Panel>
      ) : (
        <Panel title={allThere ? 'All there already' : 'In this order'}>
          {rows.map(({ wheel, fromKpa, targetKpa, past }, index) => (
            <OrderRow
              key={wheelKey(wheel)}
              wheel={wheel}
              text={`${fromKpa === undefined ? '?' : pressure(fromKpa, units)} → ${pressure(targetKpa!, units)}${past ? (way === 'out' ? ': pump up' : ': let out') : ''}`}
              onUp={index > 0 ? () => move(index, -1) : undefined}
              onDown={index < rows.length - 1 ? () => move(index, 1) : undefined}
            />
          ))}
        </Panel>
      )}
      <Unfold label={way === 'out' ? 'With' : 'With the pump'} value={toolName}>
        {(close) => (
          <Choice
            label="Tool"
            layout="list"
            value={toolCode}
            options={options.map(({ code, used: { kind, tool } }) => ({
              code,
              name: tool?.name ?? TOOL_WORDS[kind].name,
              note: tool ? `Your own: ${TOOL_WORDS[kind].name.toLowerCase()}` : TOOL_WORDS[kind].note || undefined,
            }))}
            onChange={(code) => {
              setToolCode(code);
              close();
            }}
          />
        )}
      </Unfold>
      <GaugePick rigId={rig.id} gauges={gauges} />
      <GaugeConditions rigId={rig.id} unmeasured={driven ? 'Warm, not measured' : 'Cold'} />
    </Page>
  );
}

const styles = StyleSheet.create({
  total: { flexDirection: 'row', alignItems: 'baseline' },
});
