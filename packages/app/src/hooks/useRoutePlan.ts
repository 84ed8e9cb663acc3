import type { RigRow, RouteBody } from '@dunlinmoss/contract';
import { familyOf, wheelKey, type Result, type RouteAnswer, type RouteInput, type Setting } from '@dunlinmoss/core';
import {
  gaugeStepKpa,
  inTire,
  rigWheels,
  routeInput,
  startKnown,
  type RouteTrouble,
  type StartKnown,
} from '@dunlinmoss/domain';
import { startTransition, useEffect, useMemo, useState } from 'react';

import { useAirings } from '../data/airings';
import { useOutingsOf } from '../data/outings';
import { useRows } from '../data/rows';
import { useTestsOf } from '../data/tests';
import { conditionsOf, COLD_CONDITIONS } from '../settings/conditions';
import type { Units } from '../settings/preferences';
import { startRoute } from '../workers/routeWork';
import { lastTool, toolsFor } from './toolChoice';
import { useConditions } from './useConditions';
import { useProof } from './useProof';

/** Which tools it is planned with: their codes, as `toolsFor` has them. */
export interface RouteToolCodes {
  readonly out: string;
  readonly in: string;
}

export interface PlannedRoute {
  readonly answer: RouteAnswer | undefined;
  readonly trouble: RouteTrouble | 'failed' | undefined;
  /** What was asked, where all for it is known. */
  readonly input: RouteInput | undefined;
  /** What is in the tires now, and how that is known. */
  readonly before: Setting | undefined;
  readonly startKnown: StartKnown;
  readonly tools: RouteToolCodes;
  /** The answer is that of a moment ago: the one to what was changed is on its way. */
  readonly pending: boolean;
}

/** Time passes under way: the plan is made anew after so long, min. */
const AGAIN_MIN = 5;

/** A route planned in a worker, again whenever something of it changes; what is over is dropped. */
export function useRoutePlan(
  route: RouteBody,
  rig: RigRow,
  units: Units,
  picked: Partial<RouteToolCodes> = {},
  nowMin?: number,
): PlannedRoute {
  const { kind } = familyOf(rig.family);
  const tests = useTestsOf(rig.id);
  const { rows: airings } = useAirings(rig.id);
  const { rows: rounds } = useRows('readings', { rigId: rig.id });
  const { rows: outings } = useOutingsOf(rig.id);
  const { rows: own } = useRows('tools');
  const { typed } = useConditions(rig.id);
  const proofOf = useProof(rig.id);
  const tools = {
    out: picked.out ?? lastTool('out', rig.id, kind, own),
    in: picked.in ?? lastTool('in', rig.id, kind, own),
  };
  const altitudeM = (conditionsOf(typed) ?? conditionsOf(COLD_CONDITIONS))?.altitudeM ?? 0;
  const known = useMemo(() => {
    const all = new Map(
      rigWheels(rig).map((wheel) => [wheelKey(wheel), inTire({ rig, airings, rounds, outings }, wheel)] as const),
    );
    return (wheel: Parameters<typeof wheelKey>[0]) => all.get(wheelKey(wheel));
  }, [rig, airings, rounds, outings]);
  const used = (way: 'out' | 'in') =>
    (toolsFor(way, own).find(({ code }) => code === tools[way]) ?? toolsFor(way, own)[0]!).used;
  const input = routeInput(route, {
    rig,
    tests,
    airings,
    known,
    outTool: used('out'),
    inTool: used('in'),
    altitudeM,
    stepKpa: gaugeStepKpa(units),
    withProof: (asked) => proofOf(rig, tests, asked),
    ...(nowMin !== undefined && { nowMin: Math.floor(nowMin / AGAIN_MIN) * AGAIN_MIN }),
  });
  // What an answer can be shown beside while the next one is worked out: the same stretches of the same rig.
  const of = [rig.id, ...(input.ok ? input.value.stretches.map(({ input: { ground } }) => ground) : [])].join();
  // The same question in other objects is the same question.
  const asked = input.ok ? JSON.stringify(input.value) : '';
  const [answered, setAnswered] = useState<{
    readonly asked: string;
    readonly of: string;
    readonly result: Result<RouteAnswer, RouteTrouble> | 'failed';
  }>();
  useEffect(() => {
    if (asked === '') return undefined;
    const job = startRoute(JSON.parse(asked) as RouteInput);
    job.result.then(
      // Nobody waits for it: it is drawn in slices, between what a finger does.
      (result) => startTransition(() => setAnswered({ asked, of, result })),
      () => setAnswered({ asked, of, result: 'failed' }),
    );
    return job.cancel;
  }, [asked, of]);
  const pending = answered?.asked !== asked;
  const rest = {
    answer: undefined,
    trouble: undefined,
    input: input.ok ? input.value : undefined,
    before: input.ok ? input.value.start : undefined,
    startKnown: startKnown({ rig, known }),
    tools,
    pending,
  };
  if (!input.ok) return { ...rest, trouble: input.problem };
  if (!answered || answered.of !== of) return rest;
  const { result } = answered;
  if (result === 'failed') return pending ? rest : { ...rest, trouble: 'failed' };
  if (result.ok) return { ...rest, answer: result.value };
  return pending ? rest : { ...rest, trouble: result.problem };
}
