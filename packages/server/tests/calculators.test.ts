import SwaggerParser from '@apidevtools/swagger-parser';
import { CALCULATORS } from '@dunlinmoss/contract/api';
import request from 'supertest';

import { aCase, aRig, testServer, type TestServer } from './testServer';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.pool.end());

const calculate = (name: string, input: object) => request(server.app).post(`/api/v1/calc/${name}`).send(input);
const tire = { tireMarking: '245/75R16', loadRange: 'standard' };
const { id: _, name: __, ...loadCase } = aCase();
const geometry = aRig().axles.map(({ position, wheels, behindMm, trackMm }) => ({
  position,
  wheels,
  behindMm,
  trackMm,
}));

const wagon = {
  family: 'fourWheel',
  ground: 'softSand',
  axles: [{ position: 'front', ...tire, leftLoadKg: 500, rightLoadKg: 480, roadKpa: 240 }],
};

const wheelRef = { position: 'front', wheel: 'left' };
const wheel = { ...wheelRef, volumeL: 60 };

const height = { pressureKpa: 250, loadedMm: 282 };
const zones = { outerLeft: 'still', left: 'still', middle: 'worn', right: 'still', outerRight: 'still' };
const trial = {
  startKpa: 165,
  stepKpa: 14,
  lowestKpa: 120,
  highestKpa: null,
  by: 'more',
  blind: 'open',
  seed: 4,
  climbs: 1,
  turns: 1,
  rolls: 1,
  comfort: 1,
  worstHit: 1,
};
const routine = (setup: object, runs: readonly object[], family = 'fourWheel') => ({
  ...tire,
  family,
  wheelLoadKg: 500,
  setup,
  runs,
});
const bicycleRun = { pressureKpa: 165 };

/** Every test of the registry, with one run or a few. */
const ROUTINE_EXAMPLES: Record<string, { input: object; output: object }> = {
  'proof-tape': {
    input: routine({ method: 'marks', surface: 'firm' }, [
      { pressureKpa: 240, lengthMm: 160 },
      { pressureKpa: 110, lengthMm: 222 },
    ]),
    output: { verdict: 'grewAsExpected' },
  },
  'proof-print': {
    input: routine({}, [{ pressureKpa: 250, how: 'ruler', lengthMm: 150, widthMm: 180 }]),
    output: { verdict: 'onePrint', figures: { grossMm2: 27_000 } },
  },
  'proof-chalk': {
    input: routine({}, [{ wheel: 'front left', pressureKpa: 250, ...zones }]),
    output: { verdict: 'tooHard', move: 'softer', runs: ['tooHard'] },
  },
  'proof-standing-height': { input: routine({ hangingMm: 300 }, [height]), output: { verdict: 'asExpected' } },
  'proof-climb': {
    input: routine({ slopeDeg: 8 }, [{ pressureKpa: 110, result: 'reached' }]),
    output: { verdict: 'allPass', move: 'firmer' },
  },
  'proof-pull-away': {
    input: routine({}, [{ pressureKpa: 110, result: 'digsIn', otherAxleKpa: 120 }]),
    output: { verdict: 'dugIn', move: 'softer' },
  },
  'proof-steady-power': {
    input: routine({ surface: 'rough' }, [{ ...bicycleRun, powerW: 180 }], 'gravelBike'),
    output: { verdict: 'onePressure' },
  },
  'proof-split': {
    input: routine({}, [{ pressureKpa: 110, otherKpa: 180, slippedFirst: 'right' }]),
    output: { verdict: 'changeSides' },
  },
  'proof-obstacle': {
    input: routine({}, [{ pressureKpa: 140, wrap: 'some', bulge: 'clear', rim: 'clear' }]),
    output: { verdict: 'right', tryKpa: 140 },
  },
  'proof-turn-and-hit': {
    input: routine({}, [{ ...bicycleRun, turn: 'folds', roots: 'takes', rimStrikes: 0, burps: 0 }], 'mountainBike'),
    output: { verdict: 'folds', move: 'firmer' },
  },
  'proof-kerb': { input: routine({}, [{ ...bicycleRun, rim: 'near' }], 'mountainBike'), output: { verdict: 'near' } },
  'proof-roll-out': {
    input: routine({ surface: 'smooth' }, [{ ...bicycleRun, distanceM: 41 }], 'gravelBike'),
    output: { verdict: 'onePressure' },
  },
  'proof-shake': {
    input: routine({ filledMm: 200 }, [{ ...bicycleRun, leftMm: 150 }], 'gravelBike'),
    output: { verdict: 'onePressure' },
  },
  'proof-feel': {
    input: routine({}, [{ ...bicycleRun, symptom: 'well' }], 'mountainBike'),
    output: { verdict: 'well', move: 'keep' },
  },
  'proof-bracket': {
    input: routine(trial, [{ ...bicycleRun, measured: 12 }], 'mountainBike'),
    output: { verdict: 'goOn', levels: [{ mean: 12 }] },
  },
  'proof-rut': { input: routine({}, [{ pressureKpa: 120, rutMm: 60 }], 'tractor'), output: { verdict: 'onePressure' } },
  'proof-penetrometer': {
    input: routine({ trackAKpa: 160 }, [{ track: 'trackA', depthMm: 100, coneKpa: 900 }], 'tractor'),
    output: { verdict: 'oneTrack' },
  },
  'proof-infiltration': {
    input: routine(
      { trackAKpa: 160, trackBKpa: 80, pouredMm: 25 },
      [{ track: 'trackA', atS: 600, leftMm: 15 }],
      'tractor',
    ),
    output: { verdict: 'oneTrack', figures: { trackA: 60 } },
  },
};

const EXAMPLES: Record<string, { input: object; output: object }> = {
  ...ROUTINE_EXAMPLES,
  'own-tire': {
    input: { ...tire, readings: [{ of: 'width', pressureKpa: 250, loadKg: 500, valueMm: 200, deviationMm: 3 }] },
    output: { tire: { width: { readings: 1 }, contact: { factor: 1 } }, contradictions: [] },
  },
  'wheel-on-soil': {
    input: { tireMarking: '265/65R17', loadRange: 'standard', wheelLoadKg: 600, pressureKpa: 110.3, soil: 'drySand' },
    output: { ok: true, wheel: { climbsDeg: expect.closeTo(6, 0) } },
  },
  // Dry, a 480/80R50 stands on the firm area of its formula: 0.2701 m².
  'practice-drive': {
    input: {
      kind: 'car',
      axles: (['front', 'rear'] as const).map((position, index) => ({
        tireMarking: '265/65R17',
        loadRange: 'standard',
        position,
        wheels: 2,
        wheelLoadKg: 600,
        driven: true,
        behindMm: 2790 * index,
        pressureKpa: 248,
      })),
      soil: 'drySand',
      legs: [
        { lengthM: 5, fromDeg: 0, toDeg: 0, soft: true },
        { lengthM: 12, fromDeg: 2, toDeg: 9, soft: true },
      ],
      shift: 0.1,
      pace: 'idle',
      keepsOn: true,
    },
    output: { ok: true, end: 'aground' },
  },
  'field-pressing': {
    input: {
      tire: { widthMm: 480, diameterMm: 2038, loadKg: 3000, pressureKpa: 78.4 },
      tiresAtMm: [0],
      texture: 'loam',
      daysSinceRain: 30,
      depthsMm: [500],
    },
    output: {
      contact: { areaMm2: expect.closeTo(270_139, -1), peakOverMean: 1.125 },
      depths: [{ depthMm: 500, severity: 0 }],
      pastRule: false,
    },
  },
  'air-pressure': { input: { altitudeM: 0 }, output: { airPressureKpaAbs: 101.325 } },
  'tire-marking': {
    input: { marking: 'LT285/70R17 121/118Q E' },
    output: { ok: true, sectionWidthMm: 285, loadKg: 1450, dualLoadKg: 1320, speedKmh: 160, loadRange: 'E' },
  },
  contact: {
    input: { ...tire, wheelLoadKg: 500, pressureKpa: 310 },
    output: { contact: { pressureKpa: 310, widthMm: 183.75 } },
  },
  'ground-plan': {
    input: wagon,
    output: {
      ok: true,
      value: { ground: 'softSand', school: 'deflectionAndShare', axles: [{ wheelLoadKg: 500, roadKpa: 240 }] },
    },
  },
  'first-numbers': {
    input: { family: 'fourWheel', ground: 'softSand', axles: [{ position: 'front', ...tire, roadKpa: 240 }] },
    output: {
      grounds: [
        {
          ok: true,
          ground: 'softSand',
          basis: 'ruleOfThumb',
          school: 'shareOfRoad',
          axles: [{ startKpa: expect.closeTo((240 * 16) / 36, 6), takenKg: expect.any(Number) }],
        },
      ],
    },
  },
  'what-if': {
    input: { ...wagon, pressureKpa: 150 },
    output: { ok: true, axles: [{ position: 'front', pressureKpa: 150, speedKmh: 30, patch: { pressureKpa: 150 } }] },
  },
  margin: {
    input: { ...wagon, loadShare: 0.05, gaugeKpa: 7, tempC: 3, widthShare: 0.01, draws: 500 },
    output: { ok: true, axles: [{ position: 'front', draws: 500, aboveCeiling: 0 }] },
  },
  'day-route': {
    input: {
      family: 'fourWheel',
      axles: wagon.axles,
      wheels: [{ position: 'front', wheel: 'left', volumeL: 60 }],
      stretches: [
        { ground: 'pavement', lengthKm: 20 },
        { ground: 'softSand', lengthKm: 3 },
        { ground: 'pavement', lengthKm: 20 },
      ],
    },
    output: {
      ok: true,
      plans: { quickest: { stops: 2, legs: [{ stopMin: null }, { stopMin: expect.any(Number) }, {}] } },
      onePressure: { legs: [{ setting: [{ pressureKpa: 240 }] }, {}, {}] },
      robustness: { stretch: 1 },
    },
  },
  'stuck-ladder': {
    input: wagon,
    output: { ok: true, rungs: [{ speedKmh: 5 }, { speedKmh: 5 }], back: [{ position: 'front' }] },
  },
  'gauge-now': {
    input: { coldKpa: 110, coldTempC: 20, tireTempC: 20, altitudeM: 500 },
    output: { gaugeNowKpa: expect.closeTo(110, 9) },
  },
  'tire-capacity': {
    input: {
      tireMarking: 'LT245/75R16',
      loadRange: 'E',
      lines: [
        { pressureKpa: 344.7, loadKg: 1000 },
        { pressureKpa: 551.6, loadKg: 1380 },
      ],
      pressureKpa: 551.6,
      loadKg: 1000,
    },
    output: { ok: true, from: 'lines', capacity: { ok: true, loadKg: 1380, extrapolated: false } },
  },
  'rig-loads': {
    input: { axles: geometry, hitchMm: null, loadCase },
    output: { ok: true, totalKg: 2555, axles: [{ position: 'front', standing: 'shared' }, { standing: 'weighed' }] },
  },
  'rig-findings': { input: { rig: aRig() }, output: { findings: [], questions: [] } },
  'gauge-fitness': {
    input: { fromKpa: 0, fullScaleKpa: 1103, gradePercent: 2.5, targetKpa: 55, stepKpa: 6.9 },
    output: { fitness: 'unfit' },
  },
  tape: {
    input: {
      ...tire,
      wheelLoadKg: 500,
      method: 'marks',
      surface: 'firm',
      readings: [{ pressureKpa: 240, lengthMm: 150 }],
    },
    output: { verdict: 'tooFewReadings', growth: null },
  },
  'let-out': {
    input: { tool: 'stick', wheels: [{ ...wheel, fromKpa: 248.2, toKpa: 110.3 }] },
    output: { ok: true, conductanceLPerS: expect.closeTo(0.3, 9), wheels: [{ openS: expect.closeTo(92.3, 0) }] },
  },
  'put-in': {
    input: {
      tool: 'handheldPump',
      flow: [{ pressureKpa: 0, litersPerMin: 60 }],
      budget: { kind: 'liters', liters: 40 },
      wheels: [{ ...wheel, fromKpa: 110, toKpa: 250 }],
    },
    output: {
      ok: true,
      shortAt: wheelRef,
      wheels: [{ enough: false, leftLiters: expect.closeTo(0, 9), liters: expect.closeTo(40, 9) }],
    },
  },
  'move-air': {
    input: {
      soft: { volumeL: 60, pressureKpa: 80 },
      donors: [{ code: 'spare', volumeL: 60, pressureKpa: 300 }],
      targetKpa: 400,
    },
    output: { reached: false, reachedKpa: 190, transfers: [{ code: 'spare', donorAfterKpa: 190, closedEarly: false }] },
  },
  'central-inflation': {
    input: {
      axles: [{ position: 'rear', wheels: 2, volumeL: 500, roadKpa: 160, fieldKpa: 80 }],
      outLPerS: 10,
      lineLPerS: 4,
      supply: [{ pressureKpa: 0, litersPerMin: 900 }],
      tankL: 40,
      tankKpa: 800,
      day: { distanceM: 500, speedKmh: 20, cycles: 6 },
    },
    output: { downS: expect.closeTo(16.8, 1), cost: { doneBeforeGate: true, waitDownS: 0 } },
  },
  'leak-test': {
    input: {
      readings: Array.from({ length: 40 }, (_each, index) => ({
        atH: index / 20,
        pressureKpa: 120 - index / 2,
        tempC: 20,
      })),
      floorKpa: 83,
    },
    output: { verdict: 'leak', lossKpaPerH: expect.closeTo(10, 6), floorInH: expect.closeTo(1.75, 6) },
  },
  'storage-loss': {
    input: { nowKpa: 300, leastKpa: 50, tube: 'lowLoss', onBicycle: false },
    output: { checkDays: 56 },
  },
  'road-check': {
    input: { family: 'fourWheel', axles: [{ ...wagon.axles[0], nowKpa: 110 }], liters: 10_000 },
    output: { limpSpeedKmh: expect.any(Number), best: { speedKmh: null, wheels: [{ toKpa: 240 }, { toKpa: 240 }] } },
  },
};

describe('every calculator', () => {
  it.each(CALCULATORS.map(({ name, output }) => [name, output] as const))(
    '%s answers as described',
    async (name, output) => {
      const example = EXAMPLES[name]!;
      const { body } = await calculate(name, example.input).expect(200);
      expect(body).toMatchObject(example.output);
      expect(output.parse(body)).toEqual(body);
    },
  );

  it.each(CALCULATORS.map(({ name }) => name))('%s refuses a field it does not know', async (name) => {
    const { body } = await calculate(name, { ...EXAMPLES[name]!.input, moon: 'full' }).expect(400);
    expect(body.fields).toContainEqual(expect.objectContaining({ path: '/moon', code: 'unknownField' }));
  });

  it('says that there is no safe number instead of giving one', async () => {
    const { axles, ...rest } = EXAMPLES['ground-plan']!.input as { axles: object[] };
    const heavy = { ...rest, axles: [{ ...axles[0], leftLoadKg: 2500 }] };
    const { body } = await calculate('ground-plan', heavy).expect(200);
    expect(body).toMatchObject({
      ok: false,
      problem: { code: 'floorAboveCeiling', floor: 'heatAndSpeed', wheelLoadKg: 2500 },
    });
  });
});

describe('openapi.json', () => {
  it('is a valid description of every path', async () => {
    const { body } = await request(server.app).get('/api/v1/openapi.json').expect(200);
    // Throws where the description breaks the standard or points at a schema that is not there.
    await SwaggerParser.validate(structuredClone(body));
    for (const { name } of CALCULATORS) expect(body.paths).toHaveProperty([`/calc/${name}`, 'post']);
    for (const path of [
      '/rigs',
      '/gauges',
      '/tools',
      '/import/loads',
      '/export/loads.csv',
      '/rigs/{id}',
      '/outings/{id}/restore',
      '/tests',
      '/export',
      '/import',
    ]) {
      expect(body.paths).toHaveProperty([path]);
    }
  });
});

describe('a calculator that may take long', () => {
  it('holds up nobody else: who asks later for less is answered first', async () => {
    const order: string[] = [];
    const asked = { ...wagon, loadShare: 0.05, gaugeKpa: 7, tempC: 5, widthShare: 0.03 };
    const margin = calculate('margin', asked).then(({ status }) => order.push(`margin ${status}`));
    await new Promise((resolve) => setTimeout(resolve, 50));
    const little = calculate('air-pressure', { altitudeM: 0 }).then(({ status }) => order.push(`little ${status}`));
    await Promise.all([margin, little]);
    expect(order).toEqual(['little 200', 'margin 200']);
  });

  it('is refused, not queued without end, when too many ask', async () => {
    const asked = { ...wagon, loadShare: 0.05, gaugeKpa: 7, tempC: 5, widthShare: 0.03 };
    const answers = await Promise.all(Array.from({ length: 30 }, () => calculate('margin', asked)));
    const refused = answers.filter(({ status }) => status === 503);
    expect(refused.length).toBeGreaterThan(0);
    expect(answers.filter(({ status }) => status === 200).length).toBe(30 - refused.length);
    refused.forEach(({ body, headers }) => {
      expect(body.code).toBe('overloaded');
      expect(headers['retry-after']).toBe('2');
    });
  });
});
