import { familyOf, groundOf, planGround, type GroundPlan, type PlanProblem, type Result } from '@dunlinmoss/core';
import { askedOf, axleOnGauge, planInput, type BoardEntry, type NoPlan } from '@dunlinmoss/domain';

import { saveOuting } from '../../data/outings';
import { useTestsOf } from '../../data/tests';
import { chosenRigStore } from '../../hooks/useChosenRig';
import { useProof } from '../../hooks/useProof';
import { notify } from '../../components/Notice';
import { unitsFor, unitsStore, type Units } from '../../settings/preferences';
import { waitingText } from '../../words/noPlan';
import { noPlanText } from '../../words/limits';
import { pressuresText } from '../../words/outing';
import { useRouter } from '../../hooks/useRouter';
import { nextWords, type NextWords } from './nextWords';

export interface Next extends NextWords {
  readonly units: Units;
  /** The plan of the outing; undefined without one. */
  readonly plan: GroundPlan | undefined;
  /** Does the step that the button names. */
  readonly go: () => void;
  readonly byWheel: (way: 'out' | 'in') => void;
  readonly roadCheck: () => void;
  readonly end: () => Promise<void>;
}

/** The next step of a machine on the board, in words, and how it is done. */
export function useNext(entry: BoardEntry): Next {
  const router = useRouter();
  const own = unitsStore.use();
  const { rig, outing, airing, step } = entry;
  const tests = useTestsOf(rig.id);
  const { kind } = familyOf(rig.family);
  const units = unitsFor(own, rig.family);
  const proofOf = useProof(rig.id);
  const input = outing && planInput(rig, tests, proofOf(rig, tests, askedOf(outing)));
  const result: Result<GroundPlan, PlanProblem | NoPlan> | undefined = input?.ok ? planGround(input.value) : input;
  const plan = result?.ok ? result.value : undefined;
  const planned =
    plan?.axles.map((axle) => ({ position: axle.position, pressureKpa: axleOnGauge(axle, units).startKpa })) ?? null;
  const waiting = !input
    ? ''
    : input.ok
      ? result!.ok
        ? ''
        : noPlanText(result!.problem as PlanProblem, kind, units)
      : waitingText(input.problem, rig.family, units);
  const words = nextWords(entry, {
    planned,
    waiting,
    tested: tests.some(({ outingId }) => outingId !== null && outingId === outing?.id),
  });

  /** Whatever is done next is done with this machine. */
  const there = (go: () => void) => (): void => {
    chosenRigStore.set(rig.id);
    go();
  };
  const params = { rig: rig.id, ...(outing && { ground: outing.groundCode }) };
  const byWheel = (way: 'out' | 'in'): void =>
    there(() => router.navigate({ pathname: way === 'out' ? '/air/out' : '/air/in', params }))();
  const toGround = there(() => router.navigate({ pathname: '/ground', params }));
  const end = async (): Promise<void> => {
    const saved = await saveOuting(outing!, { state: 'closed' });
    if (saved.kind === 'refused') notify(saved.problem.title);
    else notify(kind === 'bicycle' ? 'The ride is in the Book.' : 'The outing is in the Book.');
  };
  const backUp = async (): Promise<void> => {
    const saved = await saveOuting(outing!, { stuckRung: 0, pressures: planned ?? [] });
    notify(saved.kind === 'refused' ? saved.problem.title : `Back at ${pressuresText(planned ?? [], units)}.`);
  };
  const DO: Record<BoardEntry['step'], () => void> = {
    goOn: () => byWheel(airing!.way),
    standsLow: () => byWheel('in'),
    backUp: () => void (planned ? backUp() : toGround()),
    setPressures: () => (planned && !groundOf(outing!.groundCode).paved ? byWheel('out') : toGround()),
    test: there(() =>
      router.navigate({ pathname: '/proof/[kind]/[id]', params: { kind: 'tape', id: 'new', outing: outing!.id } }),
    ),
    decide: there(() => router.navigate({ pathname: '/book/[id]', params: { id: outing!.id } })),
    airUp: () => (kind === 'bicycle' ? void end() : byWheel('in')),
    endOuting: () => void end(),
    start: () => undefined,
  };
  return {
    ...words,
    units,
    plan,
    go: DO[step],
    byWheel,
    roadCheck: there(() => router.navigate({ pathname: '/air/road', params: { rig: rig.id } })),
    end,
  };
}
