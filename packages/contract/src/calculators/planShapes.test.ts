import { CALCULATORS } from './registry';
import { planInput, planInputOf } from './planShapes';

const axle = {
  position: 'front',
  tireMarking: '265/65R17 112T',
  loadRange: 'standard',
  leftLoadKg: 560,
  rightLoadKg: 570,
};
const wagon = { family: 'fourWheel', ground: 'softSand', axles: [{ ...axle, roadKpa: 240 }] };
const problems = (value: unknown): [string, string][] => {
  const checked = planInput.safeParse(value);
  return checked.success ? [] : checked.error.issues.map(({ path, code }) => [path.join('/'), code]);
};
const run = (name: string, input: object) => {
  const calculator = CALCULATORS.find((each) => each.name === name)!;
  const output = calculator.run(calculator.input.parse(input) as never);
  // What goes over the border is what the description of the API says.
  expect(calculator.output.parse(JSON.parse(JSON.stringify(output)))).toEqual(JSON.parse(JSON.stringify(output)));
  return output as { ok: boolean; problem?: { code: string } };
};

describe('planInput', () => {
  it('takes a rig that tells no more than it must, and fills in what nobody said', () => {
    expect(problems(wagon)).toEqual([]);
    const input = planInputOf(planInput.parse(wagon));
    expect(input).toMatchObject({
      school: null,
      modifiers: [],
      speedKmh: null,
      stuckAccepted: false,
      ownFloorKpa: null,
    });
    expect(input.axles[0]).toMatchObject({
      wheels: 2,
      tube: false,
      beadHold: 'none',
      minKpa: null,
      curve: { from: 'index' },
    });
  });

  it('has no curve where nothing tells what a tire carries', () => {
    const bare = { ...wagon, axles: [{ ...axle, tireMarking: '265/65R17' }] };
    expect(planInputOf(planInput.parse(bare)).axles[0]!.curve).toBeNull();
  });

  it.each([
    ['a ground nobody knows', { ...wagon, ground: 'lava' }, ['ground', 'invalid_value']],
    ['a day nobody knows', { ...wagon, modifiers: ['windy'] }, ['modifiers/0', 'invalid_value']],
    ['a speed of nothing', { ...wagon, speedKmh: 0 }, ['speedKmh', 'too_small']],
    ['no axle', { ...wagon, axles: [] }, ['axles', 'too_small']],
    ['a wheel without load', { ...wagon, axles: [{ ...axle, leftLoadKg: 0 }] }, ['axles/0/leftLoadKg', 'too_small']],
    ['a field it does not know', { ...wagon, colour: 'green' }, ['', 'unrecognized_keys']],
  ] as const)('refuses %s', (_, value, problem) => {
    expect(problems(value)).toEqual([problem]);
  });
});

describe('the planning calculators', () => {
  it.each(['ground-plan', 'stuck-ladder'])('%s answers for a rig of every kind', (name) => {
    const bicycle = { ...axle, wheels: 1, tireMarking: '29x2.40', leftLoadKg: 35, rightLoadKg: 35, casing: 'medium' };
    const tractor = { ...axle, tireMarking: '480/80R50 159A8/B **', leftLoadKg: 2500, rightLoadKg: 2500 };
    const quad = { ...axle, tireMarking: 'AT25x8-12', leftLoadKg: 110, rightLoadKg: 110, roadKpa: 138, maxKpa: 151 };
    const motorcycle = {
      ...axle,
      wheels: 1,
      tireMarking: '90/90-21 54S',
      leftLoadKg: 100,
      rightLoadKg: 100,
      roadKpa: 200,
    };
    for (const [family, ground, one] of [
      ['fourWheel', 'gravel', { ...axle, roadKpa: 240 }],
      ['mountainBike', 'rock', bicycle],
      ['tractor', 'fieldMoist', tractor],
      ['quad', 'plowing', quad],
      ['trailSingle', 'mud', motorcycle],
    ] as const) {
      const answer = run(name, { family, ground, roadSpeedKmh: 40, axles: [one] });
      expect([family, answer.ok]).toEqual([family, true]);
    }
  });

  it('say why there is no number instead of giving one', () => {
    for (const name of ['ground-plan', 'stuck-ladder']) {
      expect(run(name, { ...wagon, axles: [{ ...axle, leftLoadKg: 1300, roadKpa: 240 }] })).toMatchObject({
        ok: false,
        problem: { code: 'noPressureCarries', mostKg: 1120 },
      });
    }
    expect(run('what-if', { ...wagon, ground: 'bikePark', pressureKpa: 100 })).toMatchObject({
      ok: false,
      problem: { code: 'otherGround' },
    });
    const spreads = { loadShare: 0.05, gaugeKpa: 7, tempC: 3, widthShare: 0.02 };
    expect(run('margin', { ...wagon, ...spreads, speedKmh: 250 })).toMatchObject({ problem: { code: 'tooFast' } });
  });

  it('say on which stretch of a day there is none, and which axles were left out', () => {
    const { ground: _, ...rig } = wagon;
    const heavy = [{ ...axle, leftLoadKg: 1300, roadKpa: 240 }];
    const stretches = [
      { ground: 'gravel', lengthKm: 5 },
      { ground: 'softSand', lengthKm: 1, axles: heavy },
    ];
    const wheels = [{ position: axle.position, wheel: 'left', volumeL: 60 }];
    expect(run('day-route', { ...rig, stretches, wheels })).toMatchObject({
      ok: false,
      problem: { stretch: 1, code: 'noPressureCarries' },
    });
    expect(run('day-route', { ...rig, stretches, wheels: [{ ...wheels[0], position: 'trailer' }] })).toMatchObject({
      problem: { code: 'axlesDiffer' },
    });
  });

  it('draw the same for the same seed', () => {
    const asked = { ...wagon, loadShare: 0.05, gaugeKpa: 7, tempC: 3, widthShare: 0.02, draws: 400 };
    expect(run('margin', { ...asked, seed: 5 })).toEqual(run('margin', { ...asked, seed: 5 }));
    expect(run('margin', { ...asked, seed: 6 })).not.toEqual(run('margin', { ...asked, seed: 5 }));
  });
});
