import { GROUND_CODES, planGround, psi, readMarking, type GroundCode, type PlanAxle } from '@dunlinmoss/core';

const RUN_MS = 1_500;
const GROUNDS = 12;

function axleOf(position: PlanAxle['position'], loadKg: number): PlanAxle {
  const reading = readMarking('265/65R17 112T');
  if (!reading.ok) throw new Error('265/65R17 112T');
  return {
    position,
    tire: reading.value,
    loadRange: 'standard',
    leftLoadKg: loadKg,
    rightLoadKg: loadKg,
    placardKpa: psi(40),
    beadLocks: false,
    heldFloorKpa: null,
  };
}
const axles = [axleOf('front', 570), axleOf('rear', 700)];
const plan = (ground: GroundCode): void => {
  if (!planGround({ ground, school: 'equalDeflection', stuckAccepted: false, axles }).ok)
    throw new Error(`No plan on ${ground}`);
};

/** How often a second some work can be done: the best of three runs, after a warm-up. */
function perSecond(work: () => void): number {
  const once = (): number => {
    const begun = performance.now();
    let done = 0;
    while (performance.now() - begun < RUN_MS) {
      for (let index = 0; index < 50; index += 1) work();
      done += 50;
    }
    return (done / (performance.now() - begun)) * 1000;
  };
  once();
  return Math.max(once(), once(), once());
}

const one = perSecond(() => plan('softSand'));
const twelve = perSecond(() => {
  for (let index = 0; index < GROUNDS; index += 1) plan(GROUND_CODES[index % GROUND_CODES.length]!);
});
process.stdout.write(JSON.stringify({ plansPerSecond: one, timeOf12OverTimeOf1: one / twelve }));
