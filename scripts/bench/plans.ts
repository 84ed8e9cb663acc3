import {
  bareAxle,
  familyOf,
  groundsFor,
  loadCurve,
  planGround,
  psi,
  readMarking,
  type FamilyCode,
  type GroundCode,
  type PlanAxle,
  type PlanInput,
} from '@dunlinmoss/core';

import { sweepRigs } from '../../packages/core/checks/sweepRigs';

const RUN_MS = 1_200;
const GROUNDS = 12;
const RIGS = 10;

function axleOf(marking: string, position: PlanAxle['position'], loadKg: number, roadKpa: number | null): PlanAxle {
  const reading = readMarking(marking);
  if (!reading.ok) throw new Error(marking);
  const curve = loadCurve({ tire: reading.value, maxKpa: null, lines: [], rows: [], rowsOf: 'thisTire' });
  return {
    ...bareAxle({ position, wheels: 2, tire: reading.value }),
    leftLoadKg: loadKg,
    rightLoadKg: loadKg,
    roadKpa,
    curve: curve.ok ? curve.value : null,
  };
}

const RIGS_OF: readonly (readonly [FamilyCode, readonly PlanAxle[]])[] = [
  ['fourWheel', [axleOf('265/65R17 112T', 'front', 570, psi(40)), axleOf('265/65R17 112T', 'rear', 700, psi(40))]],
  ['trailSingle', [axleOf('90/90-21 54S', 'front', 105, psi(29)), axleOf('4.60-18 63P', 'rear', 150, psi(32))]],
  ['mountainBike', [axleOf('29x2.40', 'front', 35, null), axleOf('29x2.40', 'rear', 59, null)]],
  ['tractor', [axleOf('420/70R28 133D', 'front', 1300, 160), axleOf('480/80R50 159A8/B', 'rear', 2500, 160)]],
];

const inputOf = (family: FamilyCode, axles: readonly PlanAxle[], ground: GroundCode): PlanInput => ({
  family,
  ground,
  school: null,
  modifiers: [],
  speedKmh: null,
  roadSpeedKmh: familyOf(family).roadSpeedKmh,
  riderKg: 80,
  ownFloorKpa: null,
  stuckAccepted: true,
  axles,
});
const plan = (input: PlanInput): void => {
  const result = planGround(input);
  if (!result.ok) throw new Error(`No plan on ${input.ground}: ${result.problem.code}`);
};

/** How often a second some work can be done: the best of three runs, after a warm-up. */
function perSecond(work: () => void): number {
  const once = (): number => {
    const begun = performance.now();
    let done = 0;
    while (performance.now() - begun < RUN_MS) {
      for (let index = 0; index < 20; index += 1) work();
      done += 20;
    }
    return (done / (performance.now() - begun)) * 1000;
  };
  once();
  return Math.max(once(), once(), once());
}

const [wagon] = RIGS_OF;
const onGrounds = groundsFor(familyOf('fourWheel'));
const grounds = Array.from({ length: GROUNDS }, (_, index) => onGrounds[index % onGrounds.length]!);
const one = perSecond(() => plan(inputOf(...wagon!, 'softSand')));
const twelve = perSecond(() => grounds.forEach((ground) => plan(inputOf(...wagon!, ground))));
const tenTimesTwelve = perSecond(() => {
  for (let rig = 0; rig < RIGS; rig += 1) grounds.forEach((ground) => plan(inputOf(...wagon!, ground)));
});
/** Every ground of a rig with every school of its family side by side, working included: a pressure card's worth. */
const cards = Object.fromEntries(
  RIGS_OF.map(([family, axles]) => [
    family,
    perSecond(() => groundsFor(familyOf(family)).forEach((ground) => plan(inputOf(family, axles, ground)))),
  ]),
);
/** Every rig of the sweep on every ground it meets: what its laws are tried on. */
const swept = sweepRigs(24, 0.811).flatMap(({ input }) =>
  groundsFor(familyOf(input.family)).map((ground) => ({ ...input, ground })),
);
const begun = performance.now();
for (const input of swept) planGround(input);
const sweepS = (performance.now() - begun) / 1000;
process.stdout.write(
  JSON.stringify({
    sweptPlans: swept.length,
    sweepS,
    plansPerSecond: one,
    timeOf12OverTimeOf1: one / twelve,
    timeOf120OverTimeOf12: twelve / tenTimesTwelve,
    cards,
  }),
);
