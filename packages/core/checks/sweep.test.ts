import {
  contextsOf,
  FAMILY_CODES,
  familyOf,
  groundOf,
  groundsFor,
  planGround,
  pressureForSpeedKpa,
  speedForPressureKmh,
  whatIf,
  type AxlePlan,
  type GroundCode,
  type GroundPlan,
  type Kind,
  type PlanAxle,
  type PlanInput,
  type PlanProblem,
} from '../src/index';
import { sweepRigs, type SweepRig } from './sweepRigs';

/*
 * Laws that hold for every rig on every ground, tried on plausible rigs of all families. A failure names the rig.
 */

const RIGS = sweepRigs(24, 0.811);

interface Case extends SweepRig {
  readonly ground: GroundCode;
  readonly plan: GroundPlan;
}

const groundsOf = (input: PlanInput): readonly GroundCode[] => groundsFor(familyOf(input.family));
const CASES: readonly Case[] = RIGS.flatMap(({ name, input }) =>
  groundsOf(input).flatMap((ground) => {
    const plan = planGround({ ...input, ground });
    return plan.ok ? [{ name: `${name} on ${ground}`, input: { ...input, ground }, ground, plan: plan.value }] : [];
  }),
);
const AXLES = CASES.flatMap((each) =>
  each.plan.axles.map((axle, index) => ({ ...each, axle, index, given: each.input.axles[index]! })),
);

/** Names of the cases for which a law does not hold: none. */
const broken = <Of extends { readonly name: string }>(
  cases: readonly Of[],
  holds: (each: Of) => boolean,
  tell: (each: Of) => unknown = () => '',
): string[] => cases.filter((each) => !holds(each)).map((each) => `${each.name} ${JSON.stringify(tell(each))}`);

/** Rigs that no pressure makes right: the sweep draws loads that some of its tires do not carry. Each reason by name. */
const isRightlyRefused = (problem: PlanProblem, input: PlanInput): boolean => {
  switch (problem.code) {
    // More on a wheel than its sidewall, data sheet or index says, at any pressure or at this speed.
    case 'noPressureCarries':
    case 'noPressureSuffices':
      return true;
    case 'floorAboveCeiling':
      return (
        // The load needs more than the sidewall allows, or than the road pressure that was drawn for it.
        problem.floor === 'loadAtSpeed' ||
        problem.floor === 'heatAndSpeed' ||
        // A floor of one's own above the road pressure, and narrow tires under riders too heavy for an unknown rim.
        (problem.floor === 'own' && input.ownFloorKpa !== null) ||
        problem.ceiling === 'rimUnknown'
      );
    default:
      return false;
  }
};

const DUST = 1e-6;
const startsOf = ({ plan }: { readonly plan: GroundPlan }): number[] => plan.axles.map(({ startKpa }) => startKpa);
const atLeast = (a: readonly number[], b: readonly number[]): boolean =>
  a.every((kpa, index) => kpa >= b[index]! - DUST);

describe('a sweep of rigs over all their grounds', () => {
  it('is wide enough to mean something', () => {
    expect(RIGS.length).toBeGreaterThanOrEqual(300);
    expect(CASES.length).toBeGreaterThan(2000);
  });

  it('has a number for every rig on every ground, but for what no tire of it can do', () => {
    const refused = RIGS.flatMap(({ name, input }) =>
      groundsOf(input).flatMap((ground) => {
        const plan = planGround({ ...input, ground });
        return plan.ok || isRightlyRefused(plan.problem, input)
          ? []
          : [`${name} on ${ground}: ${JSON.stringify(plan.problem)}`];
      }),
    );
    expect(refused).toEqual([]);
  });

  it('holds rigs of every family', () => {
    expect([...new Set(RIGS.map(({ input }) => input.family))].sort()).toEqual([...FAMILY_CODES].sort());
    expect([...new Set(CASES.map(({ input }) => input.family))].sort()).toEqual([...FAMILY_CODES].sort());
  });

  it('goes down the ladder of grounds, until the floor', () => {
    const ladders: readonly (readonly [Kind, readonly GroundCode[]])[] = [
      ['car', ['pavement', 'gravel', 'rockyTrack', 'forestMud', 'snow', 'dampSand', 'softSand', 'verySoftSand']],
      ['car', ['forestMud', 'rockCrawl']],
      ['quad', ['pavement', 'gravel', 'rockyTrack', 'forestMud', 'snow', 'dampSand', 'softSand', 'verySoftSand']],
      ['motorcycle', ['pavement', 'dirtRoad', 'rock', 'mud', 'softSand']],
      ['bicycle', ['smoothHard', 'hardpack', 'wetTrail', 'softSand']],
      ['bicycle', ['hardpack', 'snow']],
      ['farm', ['pavement', 'lane', 'fieldDry']],
    ];
    const steps = RIGS.flatMap(({ name, input }) => {
      const planned = new Map(
        CASES.filter((each) => each.name.startsWith(`${name} on `)).map((each) => [each.ground, each] as const),
      );
      const { kind } = familyOf(input.family);
      return ladders.flatMap(([of, ladder]) => {
        if (of !== kind) return [];
        const own = ladder.flatMap((ground) => planned.get(ground) ?? []);
        return own.slice(1).map((softer, index) => ({ name: softer.name, softer, firmer: own[index]!, input }));
      });
    });
    expect(
      broken(
        steps,
        ({ firmer, softer }) => atLeast(startsOf(firmer), startsOf(softer)),
        ({ firmer, softer }) => [firmer.ground, startsOf(firmer), startsOf(softer)],
      ),
    ).toEqual([]);
  });

  it('never asks a heavier wheel for less', () => {
    const heavier = CASES.flatMap((each) => {
      const plan = planGround(withLoads(each.input, 1.1));
      return plan.ok ? [{ ...each, heavy: plan.value }] : [];
    });
    expect(
      broken(
        heavier,
        ({ plan, heavy }) => atLeast(startsOf({ plan: heavy }), startsOf({ plan })),
        ({ plan, heavy }) => [startsOf({ plan }), startsOf({ plan: heavy })],
      ),
    ).toEqual([]);
  });

  it('never sends anybody onto pavement below the road pressure that was given', () => {
    const paved = AXLES.filter(({ ground, given }) => groundOf(ground).paved === true && given.roadKpa !== null);
    expect(broken(paved, ({ axle, given }) => axle.startKpa >= given.roadKpa! - DUST)).toEqual([]);
  });

  it('never makes a bicycle’s front the firmer, but for one climb', () => {
    const bicycles = CASES.filter(
      ({ input, ground }) => familyOf(input.family).kind === 'bicycle' && ground !== 'climb',
    );
    expect(bicycles.length).toBeGreaterThan(500);
    expect(
      broken(
        bicycles,
        ({
          plan: {
            axles: [front, rear],
          },
        }) =>
          // A front that is narrower has a floor of its own.
          [
            [front!.startKpa, rear!.startKpa],
            [front!.window.lowKpa, rear!.window.lowKpa],
          ].every(([inFront, behind]) => inFront! <= behind! + DUST || inFront! <= front!.floor.pressureKpa + DUST),
        ({ plan }) => startsOf({ plan }),
      ),
    ).toEqual([]);
  });

  it('never shows a speed that a pressure of the window does not allow', () => {
    const driven = AXLES.filter(({ plan, ground }) => plan.speedGuideKmh !== null && !groundOf(ground).deliberate);
    expect(
      broken(
        driven,
        ({ input, index, axle, plan }) => {
          const context = contextsOf(input)[index]!;
          return [axle.startKpa, axle.window.lowKpa].every(
            (kpa) => (speedForPressureKmh(context, kpa, false) ?? 999) >= plan.speedGuideKmh!.high - 0.1,
          );
        },
        ({ axle, plan }) => [axle.startKpa, axle.window, plan.speedGuideKmh],
      ),
    ).toEqual([]);
  });

  it('asks pavement for no less than loose ground, and more for more speed', () => {
    expect(
      broken(
        AXLES.filter(({ index }) => index === 0),
        ({ input, index }) => {
          const context = contextsOf(input)[index]!;
          const speeds = [5, 15, 25, 40, 60, 80, 100];
          const loose = speeds.map((kmh) => pressureForSpeedKpa(context, kmh, false) ?? 0);
          const paved = speeds.map((kmh) => pressureForSpeedKpa(context, kmh, true) ?? 0);
          const rises = (of: readonly number[]): boolean =>
            of.every((kpa, at) => at === 0 || kpa >= of[at - 1]! - DUST);
          return atLeast(paved, loose) && rises(loose) && rises(paved);
        },
      ),
    ).toEqual([]);
  });

  it('carries its load at the start, and what-if says the same', () => {
    const known = AXLES.filter(({ axle }) => axle.carriesKg !== null);
    expect(known.length).toBeGreaterThan(1000);
    expect(
      broken(
        known,
        ({ axle }) => axle.carriesKg! >= axle.wheelLoadKg * (1 - 1e-6),
        ({ axle }) => [axle.carriesKg, axle.wheelLoadKg, axle.startKpa],
      ),
    ).toEqual([]);
    expect(
      broken(known, ({ input, index, axle }) => {
        const { loadLeftKg } = whatIf(contextsOf(input)[index]!, axle, axle.startKpa);
        return Math.abs(loadLeftKg! - (axle.carriesKg! - axle.wheelLoadKg)) < 1e-6;
      }),
    ).toEqual([]);
  });

  it('stays between floor and ceiling, window too', () => {
    expect(
      broken(AXLES, ({ axle: { startKpa, window, floor, ceiling } }) => {
        const most = ceiling?.pressureKpa ?? Number.POSITIVE_INFINITY;
        return (
          [startKpa, window.lowKpa, window.highKpa].every(
            (kpa) => kpa >= floor.pressureKpa - DUST && kpa <= most + DUST,
          ) &&
          window.lowKpa <= startKpa &&
          startKpa <= window.highKpa
        );
      }),
    ).toEqual([]);
  });

  it('takes no figure from a rating that nobody read', () => {
    const farm = CASES.filter(({ input }) => familyOf(input.family).kind === 'farm');
    const unread = farm.filter(({ input }) => input.axles.every(({ curve }) => curve === null));
    expect(unread.length).toBeGreaterThan(50);
    expect(
      broken(
        unread,
        ({ plan }) =>
          plan.school === 'fromRoad' &&
          plan.axles.every(({ remarks }) => remarks.some(({ code }) => code === 'ratingUnread')),
      ),
    ).toEqual([]);
    for (const { input } of unread) {
      const bare = planGround({ ...input, axles: input.axles.map((axle) => ({ ...axle, roadKpa: null })) });
      expect(bare).toMatchObject({ ok: false, problem: { code: 'noSchoolAnswers' } });
    }
    const quads = AXLES.filter(
      ({ input, given }) => familyOf(input.family).kind === 'quad' && given.curve?.from === 'index',
    );
    expect(broken(quads, ({ axle }) => axle.floor.code !== 'loadAtSpeed')).toEqual([]);
  });

  it('shows a single figure only on a floor or where the placard rules', () => {
    const single = AXLES.filter(
      ({ axle, plan }) => plan.school !== null && axle.window.highKpa - axle.window.lowKpa < 0.01,
    );
    expect(
      broken(
        single,
        ({ axle }) => Math.abs(axle.startKpa - axle.floor.pressureKpa) < 0.02,
        ({ axle }) => [axle.startKpa, axle.floor, axle.clampedBy],
      ),
    ).toEqual([]);
  });

  it('answers a small change with a small one', () => {
    const moved = (a: readonly AxlePlan[], b: readonly AxlePlan[]): number =>
      Math.max(...a.map(({ startKpa }, index) => Math.abs(b[index]!.startKpa / startKpa - 1)));
    const changes: readonly (readonly [string, (input: PlanInput, plan: GroundPlan) => PlanInput])[] = [
      ['1 % more load', (input) => withLoads(input, 1.01)],
      ['1 % wider', (input) => ({ ...input, axles: input.axles.map(wider) })],
      ['1 % faster', (input, plan) => ({ ...input, speedKmh: (plan.speedKmh ?? 40) * 1.01 })],
    ];
    for (const [name, change] of changes) {
      const changed = CASES.flatMap((each) => {
        const from = planGround({ ...each.input, speedKmh: each.plan.speedKmh ?? 40 });
        const plan = planGround(change({ ...each.input, speedKmh: each.plan.speedKmh ?? 40 }, each.plan));
        return plan.ok && from.ok ? [{ ...each, by: moved(from.value.axles, plan.value.axles) }] : [];
      });
      expect([
        name,
        ...broken(
          changed,
          ({ by }) => by < 0.05,
          ({ by }) => by,
        ),
      ]).toEqual([name]);
    }
  });
});

function withLoads(input: PlanInput, times: number): PlanInput {
  const axles = input.axles.map((axle): PlanAxle => ({
    ...axle,
    leftLoadKg: axle.leftLoadKg * times,
    rightLoadKg: axle.rightLoadKg * times,
    // The road pressure is for what stood on it before.
    roadLoadKg: axle.roadLoadKg ?? axle.leftLoadKg,
  }));
  return { ...input, axles };
}

const wider = (axle: PlanAxle): PlanAxle => ({
  ...axle,
  tire: { ...axle.tire, sectionWidthMm: axle.tire.sectionWidthMm * 1.01 },
  widthMm: axle.widthMm === null ? null : axle.widthMm * 1.01,
});
