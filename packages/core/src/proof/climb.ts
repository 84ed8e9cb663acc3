import { SOIL_CODES, soilOf, type SoilCode } from '../soil/soils';
import { wheelOnSoil } from '../soil/wheelOnSoil';
import type { Kind } from '../families/family';
import { axleKpa, firmestThatWent, judgeFirmest, OTHER_WHEELS, otherAxleOf } from './firmest';
import { defineRoutine, GAUGE, type TestedOn } from './routine';

/** Who tells which wheel lost its hold, and how they sat. */
const TWO_WHEELS: readonly Kind[] = ['bicycle', 'motorcycle'];

/** Same slope, same gear, idle, no run-up: the firmest pressure that still goes up does the least work to the tire. */
export const climb = defineRoutine({
  code: 'climb',
  kinds: ['car', 'quad', 'motorcycle', 'bicycle', 'farm'],
  minutes: 15,
  oneWheel: false,
  setup: {
    // Attempts on one and the same slope are compared: how steep it is only a prediction needs.
    slopeDeg: { type: 'number', unit: 'deg', min: 0, max: 45, optional: true },
    soil: { type: 'choice', options: SOIL_CODES, optional: true },
    /** How deep soft snow lies over firm ground. */
    depthMm: { type: 'number', unit: 'mm', min: 10, max: 3000, optional: true },
  },
  run: {
    pressureKpa: GAUGE,
    result: { type: 'choice', options: ['reached', 'nearly', 'stopped'] },
    distanceM: { type: 'number', unit: 'm', min: 0, max: 500, optional: true },
    ...OTHER_WHEELS,
    brokeLoose: {
      type: 'choice',
      options: ['start', 'way', 'crest', 'dugIn'],
      only: { dugIn: ['car', 'quad', 'motorcycle', 'farm'] },
      optional: true,
    },
    slipped: { type: 'choice', options: ['rear', 'front', 'frontLifted'], kinds: TWO_WHEELS, optional: true },
    rider: { type: 'choice', options: ['seated', 'standing'], kinds: TWO_WHEELS, optional: true },
  },
  score: {
    better: 'more',
    unit: 'm',
    of: ({ pressureKpa, distanceM }) => (distanceM === null ? null : { kpa: pressureKpa, value: distanceM }),
  },
  // How many went up, 0 to 1.
  levelUnit: 'times',
  // The firmest that went up every time.
  proves: {
    by: 'climb',
    rolls: true,
    pressureKpa: firmestThatWent,
    otherKpa: otherAxleOf,
  },
  judge: (runs, _, { family }) =>
    judgeFirmest(
      runs.map(({ result, brokeLoose, slipped, ...wheels }) => ({
        pressureKpa: axleKpa(wheels),
        went: result === 'reached',
        nearly: result === 'nearly',
        dugIn: brokeLoose === 'dugIn',
        word: result === 'reached' ? result : (brokeLoose ?? (slipped ? `slipped ${slipped}` : result)),
      })),
      family.trialStepKpa,
    ),
});

/** What ground that gives way says of one pressure. */
export type ClimbPrediction =
  | { readonly pressureKpa: number; readonly code: 'climbs'; readonly climbsDeg: number }
  /** Of a bicycle only the order is given: 1 pulls best. */
  | { readonly pressureKpa: number; readonly code: 'place'; readonly place: number }
  | { readonly pressureKpa: number; readonly code: 'sinksIn' };

/** What ground that gives way would let a wheel climb at some pressures, or in which order; none where it is unknown. */
export function predictedClimbs(
  soil: SoilCode | null,
  { family, build, wheelLoadKg }: Pick<TestedOn, 'family' | 'build' | 'wheelLoadKg'>,
  pressuresKpa: readonly number[],
  depthM: number | null = null,
): ClimbPrediction[] {
  if (soil === null || wheelLoadKg === null) return [];
  interface Wheel {
    readonly pressureKpa: number;
    /** Null where it sinks in. */
    readonly pullKn: number | null;
    readonly climbsDeg: number;
  }
  const wheels = pressuresKpa.flatMap((pressureKpa): Wheel[] => {
    const wheel = wheelOnSoil(soilOf(soil), build, wheelLoadKg, pressureKpa, depthM);
    if (wheel.ok) return [{ pressureKpa, pullKn: wheel.value.pullKn, climbsDeg: wheel.value.climbsDeg }];
    return wheel.problem.code === 'sinksIn' ? [{ pressureKpa, pullKn: null, climbsDeg: 0 }] : [];
  });
  return wheels.map(({ pressureKpa, pullKn, climbsDeg }): ClimbPrediction => {
    if (pullKn === null) return { pressureKpa, code: 'sinksIn' };
    if (family.kind !== 'bicycle') return { pressureKpa, code: 'climbs', climbsDeg };
    const place = 1 + wheels.filter((other) => other.pullKn !== null && other.pullKn > pullKn).length;
    return { pressureKpa, code: 'place', place };
  });
}

/** A prediction and a trial that can't both be right. */
export interface Disagreement {
  /** It went up where the formulas say it can't, or stopped where they say it climbs. */
  readonly code: 'wentUp' | 'stopped';
  readonly pressureKpa: number;
}

/** A prediction this near the slope is neither for nor against it, degrees. Assumption: no nearer than the formulas are. */
const NEAR_DEG = 2;

/**
 * Where the trial contradicts what was predicted for the soil that was chosen: the firmest pressure that went up against
 * it, else the softest that stopped against it. Null where they agree, or too little is known to say.
 */
export function disagreement(
  predicted: readonly ClimbPrediction[],
  levels: readonly { readonly pressureKpa: number; readonly mean: number }[],
  slopeDeg: number | null,
): Disagreement | null {
  const told = levels.flatMap(({ pressureKpa, mean }) => {
    const prediction = predicted.find((each) => each.pressureKpa === pressureKpa);
    if (!prediction || prediction.code === 'place') return [];
    // Without a slope only what can't move at all, or climbs in any case, can be wrong.
    const spareDeg = prediction.code === 'sinksIn' ? Number.NEGATIVE_INFINITY : prediction.climbsDeg - (slopeDeg ?? 0);
    return [{ pressureKpa, mean, spareDeg }];
  });
  const wentUp = told.find(({ mean, spareDeg }) => mean === 1 && spareDeg < -NEAR_DEG);
  if (wentUp) return { code: 'wentUp', pressureKpa: wentUp.pressureKpa };
  const stopped =
    slopeDeg === null ? undefined : told.findLast(({ mean, spareDeg }) => mean === 0 && spareDeg > NEAR_DEG);
  return stopped ? { code: 'stopped', pressureKpa: stopped.pressureKpa } : null;
}
