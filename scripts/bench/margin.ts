import { bareAxle, contextsOf, margin, psi, readMarking, type PlanInput } from '@dunlinmoss/core';

/*
 * 20,000 draws of one axle of a four-wheeler, against the same loop written out plainly for this one rig and nothing
 * else: the same draws, the two floors that can bind, equal deflection, both bands sorted.
 */

const DRAWS = 20_000;
const RUNS = 7;
const reading = readMarking('265/65R17');
if (!reading.ok) throw new Error('265/65R17');
const input: PlanInput = {
  family: 'fourWheel',
  ground: 'softSand',
  school: null,
  modifiers: [],
  speedKmh: null,
  roadSpeedKmh: null,
  riderKg: null,
  ownFloorKpa: null,
  stuckAccepted: false,
  axles: [
    {
      ...bareAxle({ position: 'front', wheels: 2, tire: reading.value }),
      leftLoadKg: 600,
      rightLoadKg: 600,
      roadKpa: psi(36),
    },
  ],
};
const [context] = contextsOf(input);
const spreads = { loadShare: 0.05, gaugeKpa: 7, tempC: 3, widthShare: 0.02 };

const ours = (seed: number): number =>
  margin({
    context: context!,
    school: 'equalDeflection',
    setKpa: psi(16),
    conditions: { coldTempC: 20, tireTempC: 20, altitudeM: 0 },
    spreads,
    draws: DRAWS,
    seed,
  }).belowFloor;

/** The plain loop: a generator of its own, the formulas put in where they stand. */
function plain(seed: number): number {
  let state = seed;
  const even = (): number => {
    state = (Math.imul(1664525, state) + 1013904223) >>> 0;
    return state / 4294967296;
  };
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  const stiffness = (width: number): number =>
    0.00028 * Math.sqrt((1.03 - 0.004 * 65) * width * (431.8 + 2 * width * 0.65));
  const share = 600 / (stiffness(265) * psi(16) + 3.45) / (265 * 0.65);
  const inTire = new Float64Array(DRAWS);
  const wanted = new Float64Array(DRAWS);
  let below = 0;
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const load = 600 * (1 + spreads.loadShare * normal());
    const width = 265 * (1 + spreads.widthShare * normal());
    const shown = psi(16) + spreads.gaugeKpa * (2 * even() - 1);
    const warm = 293.15 + spreads.tempC * normal();
    const truly = ((shown + 101.325) * 293.15) / warm - 101.325;
    const perKpa = stiffness(width);
    const height = width * 0.65;
    const floor = Math.max(psi(12), (load / (0.35 * height) - 3.45) / perKpa);
    if (truly < floor) below += 1;
    inTire[draw] = truly;
    wanted[draw] = Math.min(psi(36), Math.max(floor, (load / (share * height) - 3.45) / perKpa));
  }
  inTire.sort();
  wanted.sort();
  return below / DRAWS;
}

function medianMs(work: (seed: number) => number): number {
  const times = Array.from({ length: RUNS }, (_, run) => {
    const begun = performance.now();
    work(run + 1);
    return performance.now() - begun;
  });
  return times.sort((a, b) => a - b)[RUNS >> 1]!;
}

medianMs(ours);
medianMs(plain);
const [oursMs, plainMs] = [medianMs(ours), medianMs(plain)];
process.stdout.write(JSON.stringify({ oursMs, plainMs, ratio: oursMs / plainMs }));
