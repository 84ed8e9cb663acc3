import type { RouteBody } from '@dunlinmoss/contract';
import { familyOf, groundOf, groundsFor, planGround, planRoute, psi, type RouteInput } from '@dunlinmoss/core';

import type { InTire } from '../air/inTire';
import type { RigWheel } from '../air/wheels';
import { axleOnGauge, gaugeStepKpa, onGauge } from '../gauge/onGauge';
import { planInput } from '../plan/planInput';
import { sampleCase, sampleRig, SAMPLE_RIGS } from '../testing/sampleRig';
import {
  drivenOn,
  foundOn,
  newStretch,
  onceMore,
  routeInput,
  settingNow,
  startKnown,
  stretchesAhead,
  USUAL_DAY,
  type RouteContext,
} from './dayRoute';

const idOf = (index: number): string => `0192f000-0000-7000-8000-0000000002${String(index).padStart(2, '0')}`;
const FULL = sampleCase({ id: idOf(90), name: 'Full' });
const EMPTY = sampleCase({
  id: idOf(91),
  name: 'Empty',
  weighed: FULL.weighed.map((each) => ({ ...each, loadKg: each.loadKg! - 150 })),
});
const rig = sampleRig({ loadCases: [FULL, EMPTY], loadCaseId: FULL.id });

const beach = (change: Partial<RouteBody> = {}): RouteBody => ({
  id: idOf(0),
  revision: 0,
  name: 'Over the flat',
  rigId: rig.id,
  keptAt: '2026-11-29T06:00:00.000Z',
  startsAtMin: 480,
  plan: 'quickest',
  bogMin: null,
  pullOverMin: null,
  central: false,
  prices: { harsh: null, pressed: null, soft: null },
  stretches: (['pavement', 'gravel', 'softSand', 'gravel', 'softSand', 'pavement'] as const).map((ground, index) =>
    newStretch(idOf(index + 1), ground, 3_000),
  ),
  track: null,
  drive: null,
  ...change,
});
const context = (change: Partial<RouteContext> = {}): RouteContext => ({
  rig,
  tests: [],
  airings: [],
  known: () => undefined,
  outTool: { kind: 'stick', tool: undefined },
  inTool: { kind: 'onBoardCompressor', tool: undefined },
  altitudeM: 0,
  stepKpa: psi(1),
  withProof: (asked) => asked,
  ...change,
});
const inputOf = (route: RouteBody, change: Partial<RouteContext> = {}): RouteInput => {
  const input = routeInput(route, context(change));
  if (!input.ok) throw new Error(input.problem.code);
  return input.value;
};
const low = (wheel: RigWheel, kpa: number): InTire => ({
  position: wheel.position,
  wheel: wheel.wheel,
  coldKpa: kpa,
  known: 'read',
  from: 'airing',
  at: null,
  low: true,
});

describe('routeInput', () => {
  it('takes every stretch with what was said of it', () => {
    const route = beach();
    const told = {
      ...route.stretches[2]!,
      climbDeg: 4,
      loadCaseId: FULL.id,
      endLoadCaseId: EMPTY.id,
      speedKmh: 25,
      sureness: 'doubtful' as const,
      noStopping: true,
      freeAir: true,
      opensAtMin: 540,
      closesAtMin: 700,
    };
    const { stretches, bogMin, tools } = inputOf({
      ...route,
      bogMin: 45,
      pullOverMin: 4,
      central: true,
      stretches: route.stretches.with(2, told),
    });
    expect(stretches[2]).toMatchObject({
      lengthKm: 3,
      climbDeg: 4,
      sureness: 'doubtful',
      softnessShift: 0,
      noStopping: true,
      freeAir: true,
      opensMin: 60,
      closesMin: 220,
      input: { ground: 'softSand', speedKmh: 25 },
    });
    const [begins, ends] = [stretches[2]!.input.axles[1]!, stretches[2]!.endAxles![1]!];
    expect(begins.leftLoadKg - ends.leftLoadKg).toBeCloseTo(150, 6);
    expect({ bogMin, pullOverMin: tools.pullOverMin, central: tools.central }).toEqual({
      bogMin: 45,
      pullOverMin: 4,
      central: true,
    });
  });

  it('holds nothing against a tide while nobody said when the day begins, and reaches over midnight', () => {
    const stretches = beach().stretches.map((each) => ({ ...each, closesAtMin: 30 }));
    expect(inputOf(beach({ startsAtMin: null, stretches })).stretches[0]!.closesMin).toBeNull();
    // Half past midnight, from eleven in the evening.
    expect(inputOf(beach({ startsAtMin: 1380, stretches })).stretches[0]!.closesMin).toBe(90);
    // By the clock of now where it is under way.
    const drive = { startedAt: '2026-11-29T08:00:00.000Z', at: 0 };
    expect(inputOf(beach({ startsAtMin: 480, stretches, drive }), { nowMin: 10 }).stretches[0]!.closesMin).toBe(20);
  });

  it('begins at what is in the tires: the softest wheel of an axle, and the road pressure where nobody read', () => {
    const known = (wheel: RigWheel): InTire | undefined =>
      wheel.position === 'rear' ? low(wheel, wheel.wheel === 'left' ? 110 : 120) : undefined;
    expect(settingNow({ rig, known })).toEqual([
      { position: 'front', pressureKpa: psi(36) },
      { position: 'rear', pressureKpa: 110 },
    ]);
    const bare = sampleRig({ axles: rig.axles.map((axle) => ({ ...axle, roadKpa: null })) });
    expect(settingNow({ rig: bare, known: () => undefined })).toBeUndefined();
    expect(routeInput(beach(), context({ rig: bare }))).toMatchObject({ ok: false, problem: { code: 'roadMissing' } });
    expect(startKnown({ rig, known: (wheel) => low(wheel, 110) })).toBe('known');
    expect(startKnown({ rig, known })).toBe('road');
    // A bicycle has no road pressure of its own: it begins as its first ground asks.
    const { bicycle } = SAMPLE_RIGS;
    const ride = beach({
      rigId: bicycle.id,
      stretches: [newStretch(idOf(1), 'hardpack'), newStretch(idOf(2), 'rock')],
    });
    const inTool = { kind: 'bicycleFloorPump' as const, tool: undefined };
    const { start } = inputOf(ride, { rig: bicycle, inTool });
    expect(start.every(({ pressureKpa }) => pressureKpa > 100 && pressureKpa < 250)).toBe(true);
    expect(startKnown({ rig: bicycle, known: () => undefined })).toBe('ground');
  });

  it('plans nothing where there is nothing to drive', () => {
    expect(routeInput(beach({ stretches: [] }), context())).toMatchObject({
      ok: false,
      problem: { code: 'noStretch' },
    });
  });

  it('says on which stretch a load can’t be worked out, and plans without any before it was weighed', () => {
    const stretches = beach().stretches.with(3, { ...beach().stretches[3]!, loadCaseId: idOf(77) });
    const empty = sampleCase({ id: idOf(77), weighed: [] });
    const half = sampleRig({ loadCases: [sampleCase(), empty] });
    expect(routeInput(beach({ stretches }), context({ rig: half }))).toMatchObject({
      ok: false,
      problem: { code: 'loads', stretch: 3 },
    });
    const nothing = sampleRig({ loadCases: [], loadCaseId: null });
    expect(routeInput(beach(), context({ rig: nothing }))).toMatchObject({
      ok: true,
      value: {
        stretches: expect.arrayContaining([
          expect.objectContaining({ input: expect.objectContaining({ unweighed: true }) }),
        ]),
      },
    });
  });

  it.each(Object.entries(SAMPLE_RIGS))('makes a plan of the usual day of a %s', (kind, own) => {
    const stretches = USUAL_DAY[kind as keyof typeof USUAL_DAY].map(({ groundCode, lengthM }, index) =>
      newStretch(idOf(index + 1), groundCode, lengthM),
    );
    const inTool = {
      kind: kind === 'bicycle' ? ('bicycleFloorPump' as const) : ('workshopCompressor' as const),
      tool: undefined,
    };
    const input = routeInput(beach({ rigId: own.id, stretches }), context({ rig: own, inTool }));
    if (!input.ok) throw new Error(input.problem.code);
    const plan = planRoute(input.value);
    if (!plan.ok) throw new Error(JSON.stringify(plan.problem));
    expect(plan.value.plans.quickest.legs).toHaveLength(stretches.length);
  });
});

describe('onceMore', () => {
  it('adds one round, however many there are', () => {
    let count = 50;
    const newId = (): string => idOf((count += 1));
    const round = beach().stretches.slice(0, 3);
    const thrice = onceMore(onceMore(round, newId), newId);
    expect(thrice.map(({ groundCode }) => groundCode)).toEqual(
      [round, round, round].flat().map(({ groundCode }) => groundCode),
    );
    expect(new Set(thrice.map(({ id }) => id)).size).toBe(9);
    expect(onceMore([round[0]!], newId)).toHaveLength(2);
  });
});

describe('drivenOn', () => {
  const drive = { startedAt: '2026-11-29T08:00:00.000Z', at: 2 };

  it('keeps how a stretch was, plans on from the next, and shares it among all of that ground', () => {
    const next = drivenOn(beach({ drive }), 'softer');
    expect(next.stretches[2]!.found).toBe('softer');
    expect(next.drive!.at).toBe(3);
    expect(stretchesAhead(next).map(({ id }) => id)).toEqual([4, 5, 6].map(idOf));
    expect(foundOn(next.stretches)).toEqual(new Map([['softSand', 'softer']]));
    const ahead = inputOf(next, { nowMin: 600 });
    expect(ahead.stretches).toHaveLength(3);
    expect(ahead.stretches[1]).toMatchObject({ sureness: 'known' });
    expect(ahead.stretches[1]!.softnessShift).toBeGreaterThan(0);
    // Gravel was not on it.
    expect(ahead.stretches[0]).toMatchObject({ sureness: 'usual', softnessShift: 0 });
  });

  it('is over after the last, and what was found stays for next time', () => {
    const last = drivenOn(beach({ drive: { ...drive, at: 5 } }), 'asThought');
    expect(last.drive).toBeNull();
    expect(last.stretches[5]!.found).toBe('asThought');
    expect(drivenOn(beach(), 'firmer')).toEqual(beach());
  });
});

describe('the trade’s table of a route', () => {
  it.each(Object.keys(SAMPLE_RIGS) as (keyof typeof SAMPLE_RIGS)[])(
    '%s: has on each ground the figure that its own plan shows on the gauge',
    (kind) => {
      const rig = SAMPLE_RIGS[kind];
      const units = { pressure: 'psi' as const, fine: kind === 'bicycle' };
      for (const ground of groundsFor(familyOf(rig.family))) {
        if (groundOf(ground).deliberate || groundOf(ground).paved) continue;
        const input = planInput(rig, [], { ground, modifiers: [], speedKmh: null });
        const plan = input.ok && planGround(input.value);
        const shown = plan && plan.ok ? plan.value.axles.map((axle) => axleOnGauge(axle, units).startKpa) : [];
        const route = beach({ rigId: rig.id, stretches: [newStretch(idOf(1), ground, 3_000)] });
        const answer = planRoute(inputOf(route, { rig, stepKpa: gaugeStepKpa(units) }));
        const table = answer.ok ? answer.value.tradeTable : null;
        const driven = table?.legs[0]!.setting.map(({ pressureKpa }) => onGauge(pressureKpa, units)) ?? [];
        const inPsi = (of: readonly number[]): readonly number[] => of.map((kpa) => Number((kpa / psi(1)).toFixed(2)));
        expect([ground, ...inPsi(driven)]).toEqual([ground, ...inPsi(shown)]);
        expect(shown).not.toEqual([]);
      }
    },
  );
});
