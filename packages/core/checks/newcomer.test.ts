import {
  FAMILY_CODES,
  familyOf,
  firstNumbers,
  groundOf,
  groundsFor,
  planGround,
  psi,
  STUCK,
  wheelLoadsKg,
  withLoads,
  type FamilyCode,
  type GroundCode,
  type PlanInput,
  type PlanProblem,
  type UnweighedAxle,
} from '../src/index';
import { sampleAxle } from '../src/testing/samplePlan';

/*
 * What a stranger enters in the first minute, on rigs of every family: a number that such a rig is really run with, or a
 * question that the form in front of the person can answer. Bands are common practice, no source, wide of what anybody runs.
 */

interface Newcomer {
  /** A small, a usual and an odd tire, front and rear where they differ. */
  readonly tires: readonly (string | readonly [front: string, rear: string])[];
  /** On the road, for each of them, psi; null where it is not asked for. */
  readonly roadPsi: readonly (number | readonly [front: number, rear: number] | null)[];
  /** The maximum on the sidewall, psi. */
  readonly maxPsi: readonly number[];
  /** What a family of no usual weight has on a wheel, kg. */
  readonly wheelKg?: readonly number[];
  /** What anybody runs off pavement, psi. */
  readonly bandPsi: readonly [low: number, high: number];
}

/** The compiler asks for every family. */
const NEWCOMERS: Record<FamilyCode, Newcomer> = {
  fourWheel: {
    tires: ['175/80R16', '265/65R17', '37x12.5R17'],
    roadPsi: [29, 36, 35],
    maxPsi: [44, 51, 65],
    bandPsi: [6, 50],
  },
  vanTruck: {
    tires: ['195/70R15C', '235/65R16C', '11.00R20'],
    roadPsi: [45, 55, 75],
    maxPsi: [65, 69, 110],
    bandPsi: [11, 80],
  },
  quad: {
    tires: ['AT22x7-10', ['AT25x8-12', 'AT25x10-12'], 'AT27x9-14'],
    roadPsi: [4, 5, 7],
    maxPsi: [7, 10, 22],
    bandPsi: [2.5, 12],
  },
  sideBySide: {
    tires: ['25x8-12', '30x10R15', '35x10R15'],
    roadPsi: [10, 16, 20],
    maxPsi: [20, 32, 44],
    bandPsi: [3.5, 22],
  },
  adventureTwin: {
    tires: [
      ['110/80R19', '150/70R17'],
      ['90/90-21', '150/70R18'],
      ['120/70R17', '170/60R17'],
    ],
    roadPsi: [
      [33, 36],
      [32, 36],
      [36, 42],
    ],
    maxPsi: [42, 42, 42],
    bandPsi: [11, 42],
  },
  trailSingle: {
    tires: [
      ['80/90-21', '110/80-18'],
      ['90/90-21', '4.60-18'],
      ['2.75-21', '4.00R18'],
    ],
    roadPsi: [
      [18, 20],
      [22, 25],
      [6.5, 5],
    ],
    maxPsi: [36, 41, 22],
    bandPsi: [3, 33],
  },
  lightSingle: {
    tires: [
      ['70/100-19', '90/100-16'],
      ['80/100-21', '100/100-18'],
      ['2.75-21', '4.00R18'],
    ],
    roadPsi: [
      [13, 13],
      [18, 20],
      [6.5, 5],
    ],
    maxPsi: [30, 36, 22],
    bandPsi: [3, 30],
  },
  gravelBike: {
    tires: ['33-622', '700x40C', '650x54B'],
    roadPsi: [null, null, null],
    maxPsi: [75, 60, 50],
    bandPsi: [14, 70],
  },
  mountainBike: {
    tires: ['26x2.1', '29x2.4', '27.5x3.0'],
    roadPsi: [null, null, null],
    maxPsi: [60, 45, 30],
    bandPsi: [7, 45],
  },
  fatBike: {
    tires: ['26x3.8', '26x4.8', '27.5x4.5'],
    roadPsi: [null, null, null],
    maxPsi: [30, 20, 20],
    bandPsi: [2.7, 22],
  },
  electricBike: {
    tires: ['700x50C', '29x2.6', '20x4.0'],
    roadPsi: [null, null, null],
    maxPsi: [65, 45, 25],
    bandPsi: [3, 60],
  },
  roadBike: {
    tires: ['700x23C', '700x28C', '650x48B'],
    roadPsi: [null, null, null],
    maxPsi: [120, 100, 60],
    bandPsi: [18, 120],
  },
  cityBike: {
    tires: ['32-622', '47-622', '60-559'],
    roadPsi: [null, null, null],
    maxPsi: [85, 70, 55],
    bandPsi: [15, 85],
  },
  tractor: {
    tires: [
      ['280/70R16', '360/70R24'],
      ['480/65R28', '600/65R38'],
      ['14.9-24', '18.4R38'],
    ],
    roadPsi: [26, 20, [26, 18]],
    maxPsi: [40, 35, 36],
    wheelKg: [600, 1900, 1600],
    bandPsi: [5, 36],
  },
  sprayer: {
    tires: ['300/95R46', 'VF380/90R46 173D', 'IF520/85R42'],
    roadPsi: [52, 45, 35],
    maxPsi: [70, 70, 50],
    wheelKg: [2200, 3200, 3600],
    bandPsi: [6, 70],
  },
  farmTrailer: {
    tires: ['400/60-15.5', '650/55R26.5', '28L-26'],
    roadPsi: [45, 44, 28],
    maxPsi: [60, 58, 40],
    wheelKg: [2000, 4200, 3400],
    bandPsi: [11, 60],
  },
};

/** Refusals that are allowed, each with what the form in front of the person asks: none goes without. */
const QUESTIONS: readonly {
  readonly why: string;
  readonly isIt: (problem: PlanProblem, family: FamilyCode, ground: GroundCode) => boolean;
}[] = [
  {
    why: 'on pavement the placard rules: the short form asks for the road pressure',
    isIt: ({ code }, _, ground) => code === 'roadMissing' && groundOf(ground).paved === true,
  },
];

const STAGES = ['size and road pressure', 'and the sidewall', 'and the whole weight', 'weighed'] as const;

const each = <Of>(of: Of | readonly [Of, Of], axle: number): Of =>
  Array.isArray(of) ? (of as readonly Of[])[Math.min(axle, 1)]! : (of as Of);

function axlesOf(family: FamilyCode, tire: number, withSidewall: boolean): UnweighedAxle[] {
  const { tires, roadPsi, maxPsi } = NEWCOMERS[family];
  return familyOf(family).axles.map(({ position, wheels }, axle) => {
    const road = each(roadPsi[tire]!, axle);
    const {
      leftLoadKg: _,
      rightLoadKg: __,
      ...rest
    } = sampleAxle({
      position,
      wheels,
      marking: each(tires[tire]!, axle),
      roadKpa: road === null ? null : psi(road),
      ...(withSidewall && { maxKpa: psi(maxPsi[tire]!) }),
    });
    return rest;
  });
}

interface Answer {
  readonly name: string;
  readonly family: FamilyCode;
  readonly ground: GroundCode;
  readonly outcome: { readonly starts: readonly number[] } | { readonly problem: PlanProblem };
}

function answersOf(family: FamilyCode): Answer[] {
  const { tires, wheelKg } = NEWCOMERS[family];
  const isBicycle = familyOf(family).kind === 'bicycle';
  return tires.flatMap((tire, index) =>
    STAGES.flatMap((stage, reached) =>
      groundsFor(familyOf(family)).map((ground): Answer => {
        const axles = axlesOf(family, index, reached > 0);
        const loads = wheelKg ? axles.map(() => wheelKg[index]!) : wheelLoadsKg(family, axles);
        const rest: Omit<PlanInput, 'axles'> = {
          family,
          ground,
          school: null,
          modifiers: [],
          speedKmh: null,
          roadSpeedKmh: familyOf(family).roadSpeedKmh,
          riderKg: isBicycle ? 80 : null,
          ownFloorKpa: null,
          stuckAccepted: true,
        };
        const totalKg = loads.reduce((sum, kg, axle) => sum + kg * axles[axle]!.wheels, 0);
        const result =
          stage === 'weighed'
            ? planGround({ ...rest, axles: withLoads(axles, loads) })
            : firstNumbers({
                ...rest,
                axles,
                totalKg: stage === 'and the whole weight' ? totalKg : null,
                laden: 'empty',
                like: null,
              });
        return {
          name: `${family} on ${tire.toString()}, ${stage}, ${ground}`,
          family,
          ground,
          outcome: result.ok
            ? { starts: result.value.axles.map(({ startKpa }) => startKpa / psi(1)) }
            : { problem: result.problem },
        };
      }),
    ),
  );
}

const ANSWERS = FAMILY_CODES.flatMap(answersOf);

describe('a newcomer', () => {
  it('is of every family there is, on three tires, at every stage, on every ground of it', () => {
    expect(Object.keys(NEWCOMERS)).toEqual(expect.arrayContaining([...FAMILY_CODES]));
    expect(ANSWERS.length).toBe(
      FAMILY_CODES.reduce((sum, code) => sum + 3 * STAGES.length * groundsFor(familyOf(code)).length, 0),
    );
  });

  it.each(FAMILY_CODES)('with a %s gets a number, or a question that the form can answer', (family) => {
    const unanswered = ANSWERS.filter((answer) => answer.family === family).flatMap(({ name, ground, outcome }) =>
      'problem' in outcome && !QUESTIONS.some(({ isIt }) => isIt(outcome.problem, family, ground))
        ? [`${name}: ${JSON.stringify(outcome.problem)}`]
        : [],
    );
    expect(unanswered).toEqual([]);
  });

  it.each(FAMILY_CODES)('with a %s gets what such rigs are really run with', (family) => {
    const { bandPsi, roadPsi } = NEWCOMERS[family];
    const wild = ANSWERS.filter((answer) => answer.family === family).flatMap(({ name, ground, outcome }) => {
      if ('problem' in outcome || groundOf(ground).paved) return [];
      const low = ground === STUCK ? bandPsi[0] * 0.6 : bandPsi[0];
      return outcome.starts.some((each) => each < low || each > bandPsi[1])
        ? [`${name}: ${outcome.starts.join(' ')}`]
        : [];
    });
    expect(roadPsi).toHaveLength(3);
    expect(wild).toEqual([]);
  });

  it('needs no question that nobody is asked: each allowed one comes up', () => {
    for (const { why, isIt } of QUESTIONS) {
      const met = [...ANSWERS, ...bareRoad()].some(
        ({ family, ground, outcome }) => 'problem' in outcome && isIt(outcome.problem, family, ground),
      );
      expect([why, met]).toEqual([why, true]);
    }
  });
});

/** A motorcycle of which only class and size are known. */
function bareRoad(): Answer[] {
  return groundsFor(familyOf('trailSingle')).map((ground): Answer => {
    const result = firstNumbers({
      family: 'trailSingle',
      ground,
      school: null,
      modifiers: [],
      speedKmh: null,
      roadSpeedKmh: null,
      riderKg: null,
      ownFloorKpa: null,
      axles: axlesOf('trailSingle', 1, false).map((axle) => ({ ...axle, roadKpa: null })),
      totalKg: null,
      laden: 'empty',
      like: null,
    });
    return {
      name: `class and size alone, ${ground}`,
      family: 'trailSingle',
      ground,
      outcome: result.ok
        ? { starts: result.value.axles.map(({ startKpa }) => startKpa / psi(1)) }
        : { problem: result.problem },
    };
  });
}

describe('a heavy rider on a narrow tire', () => {
  it('is asked for the hooks of the rim, and gets a number with the answer', () => {
    const plan = (hookless: boolean | null) => {
      const axles = axlesOf('roadBike', 0, true).map((axle) => ({
        ...axle,
        tire: sampleAxle({ marking: '700x25C' }).tire,
        tube: true,
        hookless,
      }));
      return planGround({
        family: 'roadBike',
        ground: 'smoothHard',
        school: null,
        modifiers: [],
        speedKmh: null,
        roadSpeedKmh: null,
        riderKg: 95,
        ownFloorKpa: null,
        stuckAccepted: false,
        axles: withLoads(axles, [48, 58]),
      });
    };
    expect(plan(null)).toMatchObject({ ok: false, problem: { code: 'floorAboveCeiling', ceiling: 'rimUnknown' } });
    expect(plan(false).ok).toBe(true);
    expect(plan(true)).toMatchObject({ ok: false, problem: { ceiling: 'hooklessRim' } });
  });
});

describe('a motorcycle of which only class and size are known', () => {
  it('has a number on every ground but pavement', () => {
    for (const { ground, outcome } of bareRoad())
      expect(['starts' in outcome, ground]).toEqual([ground !== 'pavement', ground]);
  });
});
