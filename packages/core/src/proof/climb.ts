import { SOIL_CODES, soilOf, type SoilCode } from '../soil/soils';
import { wheelOnSoil } from '../soil/wheelOnSoil';
import { levelsOf } from './levels';
import { defineRoutine, GAUGE, judgement, type TestedOn } from './routine';

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
    brokeLoose: { type: 'choice', options: ['start', 'way', 'crest', 'dugIn'], optional: true },
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
    pressureKpa: ({ levels, contradictions }) =>
      contradictions.length > 0 ? null : (levels.find(({ mean }) => mean === 1)?.pressureKpa ?? null),
  },
  judge: (runs, _, { family }) => {
    const went = levelsOf(
      runs.map(({ pressureKpa, result }) => ({ kpa: pressureKpa, value: result === 'reached' ? 1 : 0 })),
    );
    // Softer and stopped where firmer went up: one of the two was not the same attempt.
    const contradictions = runs.flatMap((softer, i) =>
      runs.flatMap((firmer, j): (readonly [number, number])[] =>
        softer.result !== 'reached' && firmer.result === 'reached' && softer.pressureKpa <= firmer.pressureKpa
          ? [[i, j]]
          : [],
      ),
    );
    const words = runs.map(({ brokeLoose, result }) => (result === 'reached' ? result : (brokeLoose ?? result)));
    const passes = went.filter(({ mean }) => mean === 1);
    const firmest = passes[0];
    const above = went.filter(({ mean, pressureKpa }) => mean < 1 && pressureKpa > (firmest?.pressureKpa ?? -1)).at(-1);
    const step = family.trialStepKpa;
    const common = { levels: went, runs: words, contradictions };
    if (went.length === 0) return judgement({ verdict: 'noRuns', move: 'again', ...common });
    if (!firmest) {
      const softest = went.at(-1)!.pressureKpa;
      // One that nearly got there wants one step, not two.
      const steps = runs.some(({ result, pressureKpa }) => result === 'nearly' && pressureKpa === softest) ? 1 : 2;
      const dugIn = runs.some(({ brokeLoose }) => brokeLoose === 'dugIn');
      return judgement({
        verdict: dugIn ? 'dugIn' : 'nonePasses',
        move: 'softer',
        stepKpa: steps * step,
        tryKpa: Math.max(0, softest - steps * step),
        ...common,
      });
    }
    // Laplace's rule of succession: chance that the next attempt goes up as well. Exact.
    const sure = (firmest.values.length + 1) / (firmest.values.length + 2);
    const gap = above ? above.pressureKpa - firmest.pressureKpa : null;
    if (contradictions.length > 0) {
      return judgement({ verdict: 'contradicts', move: 'again', tryKpa: firmest.pressureKpa, sure, ...common });
    }
    if (gap === null)
      return judgement({
        verdict: 'allPass',
        move: 'firmer',
        stepKpa: 2 * step,
        tryKpa: firmest.pressureKpa + 2 * step,
        sure,
        ...common,
      });
    if (gap > 1.5 * step) {
      const halves = Math.round(gap / 2 / step) * step;
      return judgement({
        verdict: 'between',
        move: 'firmer',
        stepKpa: halves,
        tryKpa: firmest.pressureKpa + halves,
        sure,
        ...common,
      });
    }
    return judgement({ verdict: 'found', move: 'keep', tryKpa: firmest.pressureKpa, sure, ...common });
  },
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
