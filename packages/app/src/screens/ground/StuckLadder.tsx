import { bodyOf } from '@dunlinmoss/contract';
import {
  familyOf,
  type GroundCode,
  groundOf,
  type GroundPlan,
  groundsFor,
  isLike,
  type Family,
  planGround,
  type Rung,
  STUCK,
  stuckLadder,
} from '@dunlinmoss/core';
import { type PlanRequest, askedOf, axleOnGauge, onGauge, planInput } from '@dunlinmoss/domain';
import { useState } from 'react';

import { save } from '../../data/outbox';
import { newOuting } from '../../data/outings';
import { Action } from '../../components/Action';
import { Cautions } from '../../components/Cautions';
import { notify } from '../../components/Notice';
import { Numerals } from '../../components/Numerals';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { groundName } from '../../words/grounds';
import { pressuresText } from '../../words/outing';
import { StuckNow } from './StuckNow';
import type { PlanQuery } from '../../hooks/usePlanQuery';
import { speed } from '../../words/format';
import { BEFORE_LETTING_OUT } from '../../words/stuck';
import { useRouter } from '../../hooks/useRouter';

/** Where somebody is stuck of whom nothing else is known: the first deep ground that such a rig meets, else its softest. */
function softGround(family: Family): GroundCode {
  const grounds = groundsFor(family).filter((code) => code !== STUCK);
  return grounds.find((code) => isLike(groundOf(code), 'deep')) ?? grounds.at(-1)!;
}

/**
 * The deliberate way below the floor: what else first, one rung at a time, and straight back up. What was let out is
 * kept on the outing, so that Today holds the way back up in view until it is done. Its steps are the caution that counts most:
 * dig first, then let out; the other dangers stand below.
 */
export function StuckLadder({ question, plan }: { readonly question: PlanQuery; readonly plan: GroundPlan }) {
  const router = useRouter();
  const { rig, tests, asked, outing, units } = question;
  // The way back up is to what Today says: the outing's own ground and day.
  const stuckOn: PlanRequest =
    outing && outing.groundCode !== STUCK ? askedOf(outing) : { ...asked, ground: softGround(familyOf(rig.family)) };
  const here = stuckOn.ground;
  const below = outing?.stuckRung ?? 0;
  const [rung, setRung] = useState(below);
  const [blank] = useState(newOuting);
  const input = planInput(rig, tests, stuckOn);
  const ladder = input.ok ? stuckLadder(input.value) : undefined;
  const planned = input.ok ? planGround(input.value) : undefined;
  const { kind } = familyOf(rig.family);
  if (!ladder?.ok || !planned?.ok) {
    return (
      <>
        <StuckNow kind={kind} />
        <Cautions plan={plan} severity="danger" />
      </>
    );
  }
  const { rungs } = ladder.value;
  const at = Math.min(rung, rungs.length);
  // As Today has it.
  const back = planned.value.axles.map((axle) => ({
    position: axle.position,
    pressureKpa: axleOnGauge(axle, units).startKpa,
  }));
  const onGaugeUp = (pressures: Rung['pressures']) =>
    pressures.map(({ position, pressureKpa }) => ({ position, pressureKpa: onGauge(pressureKpa, units, 'up') }));

  const keep = async (): Promise<void> => {
    const saved = await save('outings', {
      ...(outing
        ? bodyOf('outings', outing)
        : { ...blank, rigId: rig.id, groundCode: here, loadCaseId: asked.loadCaseId ?? rig.loadCaseId }),
      state: 'lowered',
      stuckRung: at,
      pressures: onGaugeUp(rungs[at - 1]!.pressures),
    });
    if (saved.kind === 'refused') return notify(saved.problem.title);
    notify('Kept. One attempt, then back up: Today holds the way.');
    router.navigate('/');
  };

  const floors = plan.axles.map((axle) => ({
    position: axle.position,
    pressureKpa: axleOnGauge(axle, units).floorKpa,
  }));
  const belowFloor = rungs.some(({ pressures }) =>
    onGaugeUp(pressures).some(({ pressureKpa }, axle) => pressureKpa < floors[axle]!.pressureKpa),
  );
  // Where there is no step down, nothing is said of one.
  const cautions = rungs.length === 0 ? plan.cautions.filter((code) => code !== 'stuckOnly') : plan.cautions;
  const dangers = <Cautions plan={{ ...plan, cautions }} severity="danger" />;
  const groundHere = `“${groundName(here)}”`;

  if (at === 0) {
    return (
      <>
        <Panel title="Before letting out more">
          {BEFORE_LETTING_OUT[kind].map((text, index) => (
            <Text key={text}>{`${index + 1}. ${text}`}</Text>
          ))}
          {rungs.length === 0 ? (
            <Text as="strong">
              {`Less air is no help here: ${pressuresText(back, units)}, what ${groundHere} asks for, is already the lowest that comes out for this rig. If the tires have more, let them down to that.`}
            </Text>
          ) : (
            <>
              <Text as="strong">
                {belowFloor ? 'The floor, if you are not there yet:' : `For ${groundHere}, if you are not there yet:`}
              </Text>
              <Numerals units={units} axles={belowFloor ? floors : back} />
              <Text>Going below it is for one attempt and then straight back up.</Text>
              <Action kind="hurt" label="Stuck, and nothing else helped" onPress={() => setRung(1)} />
            </>
          )}
        </Panel>
        {dangers}
      </>
    );
  }
  const step = rungs[at - 1]!;
  return (
    <>
      <Panel title={`${belowFloor ? 'Below the floor' : 'For one attempt'}, step ${at} of ${rungs.length}`}>
        <Numerals units={units} axles={onGaugeUp(step.pressures)} />
        <Text>
          {`One attempt, a few lengths, straight, at walking pace (${speed(step.speedKmh, units)} at the most). No sharp turn, no spinning wheel. If it does not move at once, stop.`}
        </Text>
        <Text>{`Then back up to ${pressuresText(back, units)}, what ${groundHere} asks for, before you ${kind === 'bicycle' ? 'ride' : 'drive'} on.`}</Text>
        <Action kind="hurt" label="It is let out: keep it, with the way back" onPress={() => void keep()} />
        {at < rungs.length ? (
          <Action label="Tried this: the next step down" onPress={() => setRung(at + 1)} />
        ) : (
          <Text tone="muted">
            {`Below this nothing is left to let out. ${kind === 'bicycle' ? 'Walk it.' : 'Dig, boards, or help with the right gear.'}`}
          </Text>
        )}
        <Action label="Free, or another way: leave the ladder" onPress={() => setRung(0)} />
      </Panel>
      {dangers}
    </>
  );
}
