import fc from 'fast-check';

import type { AxlePlace, RigGeometry } from './geometry';
import type { LoadCase, LoadItem } from './loadCase';
import { loadsOf, type RigLoads } from './loadsOf';
import { ticketSum } from './ticketSum';

const axle = (position: AxlePlace['position'], behindMm: number, change: Partial<AxlePlace> = {}): AxlePlace => ({
  position,
  wheels: 2,
  behindMm,
  trackMm: 1500,
  ...change,
});
const wagon: RigGeometry = { axles: [axle('front', 0), axle('rear', 2800)], hitchMm: null };
const loadCase = (change: Partial<LoadCase>): LoadCase => ({
  method: 'moments',
  weighed: [],
  wholeKg: null,
  unladen: [],
  items: [],
  posture: null,
  split: null,
  level: null,
  ...change,
});
const thing = (
  massKg: number,
  behindMm: number,
  rightMm: number | null = null,
  body: LoadItem['body'] = 'vehicle',
): LoadItem => ({
  kind: 'thing',
  name: '',
  body,
  behindMm,
  rightMm,
  massKg,
});
const found = (geometry: RigGeometry, change: Partial<LoadCase>): RigLoads => {
  const result = loadsOf(geometry, loadCase(change));
  if (!result.ok) throw new Error(JSON.stringify(result.problem));
  return result.value;
};
const problem = (geometry: RigGeometry, change: Partial<LoadCase>) => {
  const result = loadsOf(geometry, loadCase(change));
  return result.ok ? undefined : result.problem;
};
const wheels = ({ axles }: RigLoads): number[][] => axles.map((each) => each.wheels.map(({ loadKg }) => loadKg));
const empty = [
  { position: 'front' as const, loadKg: 1000 },
  { position: 'rear' as const, loadKg: 800 },
];

describe('loads from scales', () => {
  it('halves a whole axle, takes wheels as weighed, and says which is which', () => {
    const loads = found(wagon, {
      method: 'scales',
      weighed: [
        { position: 'front', part: 'axle', loadKg: 1140 },
        { position: 'rear', part: 'left', loadKg: 705 },
        { position: 'rear', part: 'right', loadKg: 690 },
      ],
    });
    expect(wheels(loads)).toEqual([
      [570, 570],
      [705, 690],
    ]);
    expect(loads.axles.map(({ standing }) => standing)).toEqual(['shared', 'weighed']);
    expect(loads.totalKg).toBe(2535);
  });

  it('shares a pair on one scale between its two tires', () => {
    const van = { ...wagon, axles: [axle('front', 0), axle('rear', 3600, { wheels: 4 })] };
    const front = { position: 'front' as const, part: 'axle' as const, loadKg: 1600 };
    const rear = (part: 'left' | 'right' | 'axle' | 'leftOuter', loadKg: number) => ({
      position: 'rear' as const,
      part,
      loadKg,
    });
    const sides = found(van, { method: 'scales', weighed: [front, rear('left', 1200), rear('right', 1000)] });
    expect(wheels(sides)[1]).toEqual([600, 600, 500, 500]);
    const whole = found(van, { method: 'scales', weighed: [front, rear('axle', 2000)] });
    expect(wheels(whole)[1]).toEqual([500, 500, 500, 500]);
    expect(problem(van, { method: 'scales', weighed: [front, rear('leftOuter', 600)] })).toEqual({
      code: 'weightMissing',
      position: 'rear',
    });
  });

  it('takes one wheel on a scale as measured', () => {
    const bike = { axles: [axle('front', 0, { wheels: 1 }), axle('rear', 1100, { wheels: 1 })], hitchMm: null };
    const loads = found(bike, {
      method: 'scales',
      weighed: [
        { position: 'front', part: 'single', loadKg: 35.4 },
        { position: 'rear', part: 'axle', loadKg: 57.1 },
      ],
    });
    expect(wheels(loads)).toEqual([[35.4], [57.1]]);
    expect(loads.axles.every(({ standing }) => standing === 'weighed')).toBe(true);
  });
});

describe('loads from moments', () => {
  it('levers a thing between the axles, and off the front where it hangs behind', () => {
    const loads = found(wagon, { unladen: empty, items: [thing(100, 1400), thing(100, 3500)] });
    expect(wheels(loads).map((pair) => pair[0]! + pair[1]!)).toEqual([1025, 975]);
    expect(loads.shares.map(({ onAxles }) => onAxles.map(({ loadKg }) => Math.round(loadKg)))).toEqual([
      [50, 50],
      [-25, 125],
    ]);
    expect(loads.axles.every(({ standing }) => standing === 'estimated')).toBe(true);
  });

  it('puts more on the side that a thing stands on', () => {
    const loads = found(wagon, { unladen: empty, items: [thing(100, 2800, 300)] });
    expect(wheels(loads)[1]).toEqual([430, 470]);
    expect(wheels(loads)[0]).toEqual([500, 500]);
  });

  it('follows a tank from full to empty', () => {
    const tank = (level: number): LoadItem => ({
      kind: 'tank',
      name: '',
      body: 'vehicle',
      behindMm: 2800,
      rightMm: null,
      liters: 1000,
      densityKgPerL: 1.1,
      level,
    });
    const on = (level: number): number => found(wagon, { unladen: empty, items: [tank(level)] }).axles[1]!.loadKg;
    expect([on(1), on(0.5), on(0)]).toEqual([1900, 1350, 800]);
  });

  it('shares what falls to a bogie between its axles', () => {
    const truck = { ...wagon, axles: [axle('front', 0), axle('rear', 3500), axle('rear2', 4900, { wheels: 4 })] };
    const loads = found(truck, {
      unladen: [
        { position: 'front', loadKg: 3000 },
        { position: 'rear', loadKg: 2000 },
        { position: 'rear2', loadKg: 2000 },
      ],
      items: [thing(4200, 4200)],
    });
    expect(loads.axles.map(({ loadKg }) => loadKg)).toEqual([3000, 4100, 4100]);
  });

  it('bears a trailer on its axle and, through the coupling, on what draws it', () => {
    const drawn = { axles: [...wagon.axles, axle('trailer', 4000)], hitchMm: 3500 };
    const loads = found(drawn, {
      unladen: [...empty, { position: 'trailer', loadKg: 450 }, { position: 'coupling', loadKg: 50 }],
      items: [thing(400, 3000, null, 'trailer')],
    });
    expect(loads.couplingKg).toBe(150);
    expect(loads.axles.map(({ loadKg }) => loadKg)).toEqual([1000 - 37.5, 800 + 187.5, 750]);
    expect(loads.totalKg).toBeCloseTo(2700, 9);
  });

  it('knows a trailer alone, whose drawbar stands on something else', () => {
    const tanker = { axles: [axle('trailer', 4000)], hitchMm: null };
    const unladen = [
      { position: 'trailer' as const, loadKg: 1900 },
      { position: 'coupling' as const, loadKg: 300 },
    ];
    const loads = found(tanker, { unladen, items: [thing(4000, 3600, null, 'trailer')] });
    expect(loads.axles[0]!.loadKg).toBe(5500);
    expect(loads.couplingKg).toBe(700);
  });

  it.each([
    [
      'an axle whose empty load is missing',
      wagon,
      { unladen: empty.slice(1) },
      { code: 'unladenMissing', position: 'front' },
    ],
    [
      'no wheelbase',
      { ...wagon, axles: [axle('front', 0), axle('rear', 0)] },
      { unladen: empty },
      { code: 'noSpacing', body: 'vehicle' },
    ],
    [
      'a front axle lifted off',
      wagon,
      { unladen: empty, items: [thing(3000, 4500)] },
      { code: 'lifted', position: 'front' },
    ],
    [
      'a wheel lifted off',
      wagon,
      { unladen: empty, items: [thing(700, 2800, 1900)] },
      { code: 'lifted', position: 'rear' },
    ],
    [
      'a load that presses the drawbar upwards',
      { axles: [...wagon.axles, axle('trailer', 4000)], hitchMm: 3500 },
      {
        unladen: [...empty, { position: 'trailer', loadKg: 450 }, { position: 'coupling', loadKg: 50 }],
        items: [thing(400, 5000, null, 'trailer')],
      },
      { code: 'drawbarUp', upwardKg: 50 },
    ],
    [
      'a load on a trailer that is not there',
      wagon,
      { unladen: empty, items: [thing(100, 100, null, 'trailer')] },
      { code: 'noCoupling' },
    ],
    [
      'a trailer coupled nobody knows where',
      { axles: [...wagon.axles, axle('trailer', 4000)], hitchMm: null },
      { unladen: [...empty, { position: 'trailer', loadKg: 400 }, { position: 'coupling', loadKg: 40 }] },
      { code: 'noCoupling' },
    ],
  ] as const)('has no answer for %s', (_, geometry, change, expected) => {
    expect(problem(geometry as RigGeometry, change as Partial<LoadCase>)).toEqual(expected);
  });
});

describe('loads from posture', () => {
  const bike = { axles: [axle('front', 0, { wheels: 1 }), axle('rear', 1000, { wheels: 1 })], hitchMm: null };
  const posture = { posture: 'gravel' as const, frontShare: null, riderKg: 80, bikeKg: 10 };

  it('splits rider and bicycle by how the rider sits, or by the person’s own share', () => {
    expect(wheels(found(bike, { method: 'posture', posture }))).toEqual([[36], [54]]);
    expect(wheels(found(bike, { method: 'posture', posture: { ...posture, frontShare: 0.5 } }))).toEqual([[45], [45]]);
  });

  it('levers the gear by its place', () => {
    const loads = found(bike, { method: 'posture', posture, items: [thing(10, 1000), thing(4, 250)] });
    expect(wheels(loads)).toEqual([[39], [65]]);
    expect(problem(bike, { method: 'posture' })).toEqual({ code: 'riderMissing' });
  });
});

describe('ticketSum', () => {
  it.each([
    [2600, 2610, true],
    [2600, 2650, false],
    [20_000, 20_150, true],
  ])('%d in parts against %d whole: %s', (sumKg, wholeKg, agrees) => {
    expect(ticketSum(sumKg, wholeKg).agrees).toBe(agrees);
  });
});

describe('the laws of loads', () => {
  const mass = fc.double({ min: 1, max: 500, noNaN: true });
  const place = fc.double({ min: -800, max: 3600, noNaN: true });
  const item = fc.tuple(mass, place, fc.double({ min: -500, max: 500, noNaN: true })).map((parts) => thing(...parts));

  it('sum to all that stands on the rig, trailer and all', () => {
    const drawn = { axles: [...wagon.axles, axle('trailer', 4000, { wheels: 4 })], hitchMm: 3500 };
    const unladen = [
      ...empty,
      { position: 'trailer' as const, loadKg: 900 },
      { position: 'coupling' as const, loadKg: 80 },
    ];
    fc.assert(
      fc.property(fc.array(item, { maxLength: 5 }), fc.array(mass, { maxLength: 3 }), (items, onTrailer) => {
        const all = [...items, ...onTrailer.map((kg) => thing(kg, 3500, null, 'trailer'))];
        const result = loadsOf(drawn, loadCase({ unladen, items: all }));
        fc.pre(result.ok);
        if (!result.ok) return;
        const put = all.reduce((sum, each) => sum + (each.kind === 'thing' ? each.massKg : 0), 0);
        expect(result.value.totalKg).toBeCloseTo(2780 + put, 6);
        const onWheels = wheels(result.value).flat();
        expect(onWheels.reduce((sum, each) => sum + each, 0)).toBeCloseTo(result.value.totalKg, 6);
      }),
      { seed: 41, numRuns: 300 },
    );
  });

  it('never put more on the front when a thing is moved back', () => {
    fc.assert(
      fc.property(mass, place, fc.double({ min: 0, max: 1500, noNaN: true }), (kg, at, further) => {
        const front = (behindMm: number) => {
          const result = loadsOf(wagon, loadCase({ unladen: empty, items: [thing(kg, behindMm)] }));
          return result.ok ? result.value.axles[0]!.loadKg : undefined;
        };
        const [before, after] = [front(at), front(at + further)];
        fc.pre(before !== undefined && after !== undefined);
        expect(after!).toBeLessThanOrEqual(before! + 1e-9);
      }),
      { seed: 42, numRuns: 300 },
    );
  });
});

describe('weighed full and empty', () => {
  const both = {
    method: 'fullAndEmpty',
    weighed: [
      { position: 'front', part: 'axle', loadKg: 2000 },
      { position: 'rear', part: 'left', loadKg: 3100 },
      { position: 'rear', part: 'right', loadKg: 2900 },
    ],
    unladen: [
      { position: 'front', loadKg: 2400 },
      { position: 'rear', loadKg: 2000 },
    ],
  } as const;

  it.each([
    [1, [1000, 1000], [3100, 2900]],
    [0, [1200, 1200], [1033.333, 966.667]],
    [0.5, [1100, 1100], [2066.667, 1933.333]],
  ])(
    'at a level of %d lies between the two, sides shared as when full; an axle may be lighter full',
    (level, front, rear) => {
      const loads = found(wagon, { ...both, level });
      expect(wheels(loads).map((each) => each.map((load) => Number(load.toFixed(3))))).toEqual([front, rear]);
      expect(loads.axles[1]!.standing).toBe(level === 1 ? 'weighed' : 'estimated');
    },
  );

  it('takes it full until somebody says how full', () => {
    expect(found(wagon, { ...both, level: null })).toEqual(found(wagon, { ...both, level: 1 }));
  });

  it('asks for the axle that is missing, and refuses full that is no heavier than empty', () => {
    expect(problem(wagon, { ...both, weighed: both.weighed.slice(1) })).toEqual({
      code: 'weightMissing',
      position: 'front',
    });
    expect(problem(wagon, { ...both, unladen: both.unladen.slice(0, 1) })).toEqual({
      code: 'unladenMissing',
      position: 'rear',
    });
    expect(problem(wagon, { ...both, unladen: both.unladen.map((each) => ({ ...each, loadKg: 4000 })) })).toEqual({
      code: 'fullNotHeavier',
      fullKg: 8000,
      emptyKg: 8000,
    });
  });
});

describe('the whole split by its kind', () => {
  const split = { method: 'split', wholeKg: 2200, split: { frontShare: 0.52 } } as const;

  it('puts its share on the front and the rest behind, all of it an estimate', () => {
    const loads = found(wagon, split);
    expect(wheels(loads)).toEqual([
      [572, 572],
      [528, 528],
    ]);
    expect(loads.axles.map(({ standing }) => standing)).toEqual(['estimated', 'estimated']);
    expect(loads.totalKg).toBeCloseTo(2200, 9);
  });

  it('shares what is behind between two axles, and takes a trailer to stand as heavy as the axle before it', () => {
    const bogie = { ...wagon, axles: [...wagon.axles, axle('rear2', 4000), axle('trailer', 4000)] };
    expect(wheels(found(bogie, split)).map(([left]) => left)).toEqual([572, 264, 264, 264]);
  });

  it('waits for the whole, for a kind that has a usual split, and for a vehicle', () => {
    const missing = { code: 'wholeMissing' };
    expect(problem(wagon, { ...split, wholeKg: null })).toEqual(missing);
    expect(problem(wagon, { ...split, split: null, level: null })).toEqual(missing);
    expect(problem({ axles: [axle('trailer', 4000)], hitchMm: null }, split)).toEqual(missing);
  });
});
