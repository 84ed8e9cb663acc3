import fc from 'fast-check';

import type { GroundCode } from '../grounds/registry';
import { groundOf } from '../grounds/registry';
import type { Ground } from '../grounds/ground';
import { sampleAxle, sampleInput } from '../testing/samplePlan';
import { AT_ROAD, BEACH_DAY, sampleDay, sampleTools, stretch, WAGON } from '../testing/sampleDay';
import { inToolOf } from '../tools/registry';
import { psi } from '../units/units';
import { planRoute, type RouteAnswer, type RouteInput, type RoutePlan } from './planRoute';
import { stretchKind, type RouteStretch } from './stretch';

const answer = (input: RouteInput): RouteAnswer => {
  const result = planRoute(input);
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};
const pressures = ({ legs }: RoutePlan): number[] =>
  legs.map(({ setting }) => Math.round(setting[0]!.pressureKpa / psi(1)));
const rear = (plan: RoutePlan, leg: number): number => plan.legs[leg]!.setting.at(-1)!.pressureKpa;

describe('planRoute', () => {
  it('leads over the beach and back with fewer stops than the trade’s table, and sooner', () => {
    const { plans, onePressure, tradeTable } = answer(sampleDay(BEACH_DAY));
    const { quickest } = plans;
    expect(quickest.totalMin).toBeLessThan(tradeTable!.totalMin);
    expect(quickest.stops).toBeLessThan(tradeTable!.stops);
    // Road pressure all day is no plan: it is stuck on the sand for hours.
    expect(pressures(onePressure!)).toEqual(Array(7).fill(36));
    expect(onePressure!.totalMin).toBeGreaterThan(1.5 * quickest.totalMin);
    // The road has its own pressure at both ends, the sand one that it asks for.
    expect(pressures(quickest).at(0)).toBe(36);
    expect(pressures(quickest).at(-1)).toBe(36);
    expect(pressures(quickest)[3]).toBeLessThanOrEqual(18);
    expect(plans.fewestStops.stops).toBeLessThanOrEqual(quickest.stops);
    expect(plans.surest.bogChance).toBeLessThan(quickest.bogChance);
    for (const plan of [...Object.values(plans), onePressure!, tradeTable!]) {
      expect(plan.driveMin + plan.stopsMin + plan.waitMin + plan.bogMin).toBeCloseTo(plan.totalMin, 9);
      expect(plan.late).toBeNull();
    }
  });

  it('says how wrong its pressure can be at the most, and where to if the sand is softer or firmer', () => {
    const { robustness } = answer(sampleDay(BEACH_DAY));
    expect(robustness).toMatchObject({ stretch: 3 });
    expect(robustness!.worstMin).toBeGreaterThan(0);
    expect(robustness!.ifSofter[0]!.pressureKpa).toBeLessThan(robustness!.setting[0]!.pressureKpa);
    expect(robustness!.ifFirmer[0]!.pressureKpa).toBeGreaterThan(robustness!.setting[0]!.pressureKpa);
    expect(answer(sampleDay([stretch('pavement', 5), stretch('gravel', 5)])).robustness).toBeNull();
  });

  it('says never change where a stop takes more than it brings, and one pressure where the ground is one', () => {
    const short = answer(sampleDay([stretch('pavement', 20), stretch('gravel', 3), stretch('pavement', 20)]));
    expect(short.plans.quickest.stops).toBe(0);
    expect(pressures(short.plans.quickest)).toEqual([36, 36, 36]);
    const dunes = answer(sampleDay([stretch('softSand', 20), stretch('softSand', 20, { climbDeg: 2 })]));
    expect(dunes.plans.quickest.stops).toBe(1);
    expect(dunes.plans.quickest.legs[0]!.stopMin).toBeGreaterThan(0);
  });

  it('stops before the stretch where one cannot, and never within', () => {
    const closed = [
      stretch('dampSand', 4),
      stretch('softSand', 1, { noStopping: true }),
      stretch('pavement', 1, { noStopping: true }),
      stretch('pavement', 9),
    ];
    // Pavement takes road pressure, which soft sand right before it then has too.
    const { quickest } = answer(sampleDay(closed)).plans;
    expect(pressures(quickest).slice(1)).toEqual([36, 36, 36]);
    expect(quickest.legs[2]!.stopMin).toBeNull();
    const low = sampleDay(closed.slice(1), { start: AT_ROAD.map((axle) => ({ ...axle, pressureKpa: psi(16) })) });
    expect(pressures(answer(low).plans.quickest)).toEqual([36, 36, 36]);
  });

  it('is through before the tide, waits for what opens, and says how late it would be', () => {
    const day = (closesMin: number): RouteStretch[] =>
      BEACH_DAY.map((each, index) => (index === 4 ? { ...each, closesMin } : each));
    const free = answer(sampleDay(BEACH_DAY)).plans.quickest;
    const due = free.legs[4]!.untilMin + 1;
    const hurried = answer(sampleDay(day(due))).plans.quickest;
    expect(hurried.late).toBeNull();
    expect(hurried.legs[4]!.untilMin).toBeLessThanOrEqual(due + 1e-9);
    const { late } = answer(sampleDay(day(20))).plans.quickest;
    expect(late).toMatchObject({ stretch: 4 });
    expect(late!.minutes).toBeGreaterThan(10);
    const opens = BEACH_DAY.map((each, index) => (index === 2 ? { ...each, opensMin: 200 } : each));
    const waited = answer(sampleDay(opens)).plans.quickest;
    expect(waited.waitMin).toBeGreaterThan(100);
    expect(waited.legs[2]!.fromMin).toBeGreaterThanOrEqual(200);
  });

  it('asks for no more air than there is, and takes what is to be had for nothing', () => {
    const { pump, setUpS, wheelsAtOnce } = inToolOf('handheldPump')!;
    const tools = sampleTools({ in: { pump, setUpS, wheelsAtOnce, rate: 1 } });
    const start = AT_ROAD.map((axle) => ({ ...axle, pressureKpa: psi(14) }));
    const home = [stretch('softSand', 2), stretch('pavement', 10)];
    // Without air enough the way home is a leg like any other: soft, slow, and told.
    const { limps, plans } = answer(sampleDay(home, { tools, start }));
    expect(limps).toBe(true);
    expect(plans.quickest.legs.map((leg) => leg.limps)).toEqual([false, true]);
    expect(plans.quickest.legs[1]!.kmh).toBeLessThanOrEqual(30);
    expect(plans.quickest.legs[1]!.kmh).toBeGreaterThanOrEqual(5);
    const atGate = [home[0]!, { ...home[1]!, freeAir: true }];
    expect(answer(sampleDay(atGate, { tools, start }))).toMatchObject({
      limps: false,
      plans: { quickest: { stops: 1 } },
    });
  });

  it('lets a tanker down for the field where its soil has a price, and not for nothing', () => {
    const farm = (loadKg: number) =>
      sampleInput({
        family: 'tractor',
        roadSpeedKmh: 40,
        axles: [sampleAxle({ position: 'rear', marking: '480/80R50 159A8/B **', loadKg, roadKpa: psi(23) })],
      });
    const full = farm(3600);
    const empty = farm(1800).axles;
    const lap = [stretch('lane', 3, {}, full), stretch('fieldMoist', 2, { endAxles: empty }, full)];
    const day = [...lap, ...lap, stretch('lane', 3, {}, farm(1800))];
    const tools = sampleTools({
      wheels: [
        { position: 'rear', wheel: 'left', volumeL: 400, walkS: 0 },
        { position: 'rear', wheel: 'right', volumeL: 400, walkS: 10 },
      ],
      central: true,
    });
    const start = [{ position: 'rear' as const, pressureKpa: psi(23) }];
    const priced = { tools, start, prices: { harsh: 0, pressed: 5, soft: 0 }, bogMin: 60 };
    const { plans } = answer(sampleDay(day, priced));
    expect(rear(plans.quickest, 1)).toBeLessThan(rear(plans.quickest, 0));
    expect(plans.quickest.stopsMin).toBe(0);
    // Full at its beginning: what carries it empty would not.
    expect(rear(plans.quickest, 1)).toBeGreaterThanOrEqual(
      Math.max(...[full, { ...full, axles: empty }].map((input) => floorOf({ ...input, ground: 'fieldMoist' }))) - 0.05,
    );
  });

  it('goes by what was found: softer lets down further, from where the machine stands', () => {
    const rest = BEACH_DAY.slice(3);
    const from = (softnessShift: number) =>
      answer(
        sampleDay(
          rest.map((each) => ({ ...each, softnessShift })),
          { start: AT_ROAD.map((axle) => ({ ...axle, pressureKpa: psi(18) })) },
        ),
      ).plans.quickest;
    expect(rear(from(0.4), 0)).toBeLessThan(psi(18));
    expect(rear(from(0.4), 0)).toBeLessThan(rear(from(-0.4), 0));
  });

  it('says on which stretch there is no number', () => {
    const heavy = { ...WAGON, axles: WAGON.axles.map((axle) => ({ ...axle, leftLoadKg: 4000, rightLoadKg: 4000 })) };
    expect(planRoute(sampleDay([stretch('gravel', 1), stretch('softSand', 1, {}, heavy)]))).toMatchObject({
      ok: false,
      problem: { stretch: 1 },
    });
  });

  const grounds = [
    'pavement',
    'gravel',
    'rockyTrack',
    'forestMud',
    'snow',
    'dampSand',
    'softSand',
    'verySoftSand',
  ] as const;
  const anyDay = fc.array(
    fc.record({
      ground: fc.constantFrom<GroundCode>(...grounds),
      lengthKm: fc.double({ min: 0.2, max: 30, noNaN: true }),
      climbDeg: fc.integer({ min: 0, max: 8 }),
      noStopping: fc.boolean(),
      freeAir: fc.boolean(),
    }),
    { minLength: 1, maxLength: 6 },
  );
  const dayOf = (parts: readonly { ground: GroundCode; lengthKm: number }[]): RouteStretch[] =>
    parts.map(({ ground, lengthKm, ...rest }) => stretch(ground, lengthKm, rest));

  it('passes no hard limit anywhere, in any plan', () => {
    fc.assert(
      fc.property(anyDay, (parts) => {
        const stretches = dayOf(parts);
        const result = planRoute(sampleDay(stretches));
        if (!result.ok) return;
        const { plans, onePressure, tradeTable } = result.value;
        for (const plan of [...Object.values(plans), onePressure, tradeTable]) {
          plan?.legs.forEach(({ setting, kmh }, index) => {
            const kind = kindOf(stretches[index]!);
            setting.forEach(({ pressureKpa }, axle) => {
              expect(pressureKpa).toBeGreaterThanOrEqual(kind.lowestKpa[axle]! - 0.06);
              expect(pressureKpa).toBeLessThanOrEqual(kind.highestKpa[axle]! + 0.06);
            });
            if (kind.ground.paved) expect(setting.every(({ pressureKpa }) => pressureKpa >= psi(36) - 0.06)).toBe(true);
            expect(kmh).toBeLessThanOrEqual(groundSpeed(stretches[index]!.input.ground) + 1e-9);
          });
        }
      }),
      { seed: 23, numRuns: 60 },
    );
  });

  it('is never worse than one pressure for all of it, nor than the trade’s table', () => {
    fc.assert(
      fc.property(anyDay, (parts) => {
        const result = planRoute(sampleDay(dayOf(parts)));
        if (!result.ok) return;
        const { plans, onePressure, tradeTable } = result.value;
        for (const other of [onePressure, tradeTable, plans.surest, plans.fewestStops]) {
          if (!other) continue;
          // A stop has to be worth 5 min and 5 % of the day, and pumping on soft ground more: else it is spared.
          const spared = Math.max(0, other.stops - plans.quickest.stops);
          const worthMin = 60 + Math.max(5, 0.05 * other.totalMin);
          expect(plans.quickest.totalMin).toBeLessThanOrEqual(other.totalMin + spared * worthMin + 1e-6);
        }
        for (const other of [onePressure, tradeTable, plans.quickest]) {
          if (other && other.legs.every(({ bogChance }) => bogChance <= 0.2)) {
            expect(plans.fewestStops.stops).toBeLessThanOrEqual(other.stops);
          }
        }
      }),
      { seed: 24, numRuns: 60 },
    );
  });
});

function kindOf({ input, endAxles }: RouteStretch) {
  const kind = stretchKind(input, endAxles);
  if (!kind.ok) throw new Error(kind.problem.code);
  return kind.value;
}
const floorOf = (input: RouteStretch['input']): number => {
  const kind = stretchKind(input, null);
  if (!kind.ok) throw new Error(kind.problem.code);
  return kind.value.lowestKpa.at(-1)!;
};
const groundSpeed = (code: GroundCode): number => (groundOf(code) as Ground).speedGuideKmh?.high ?? 80;
