import { familyOf } from '../families/registry';
import { REFERENCE_RIG } from '../reference/referenceRig';
import { psi } from '../units/units';
import { judgeRoutine, routineEvidence, routineOf, ROUTINES, routinesFor, type RoutineCode } from './registry';
import { disagreement } from './climb';
import { isAskedOf, optionsFor, type Field, type Judgement, type RoutineValues } from './routine';

const on = (family: Parameters<typeof familyOf>[0] = 'fourWheel', wheelLoadKg: number | null = 600) => ({
  family: familyOf(family),
  build: REFERENCE_RIG.build,
  wheelLoadKg,
});
const judge = (
  code: RoutineCode,
  runs: readonly RoutineValues[],
  setup: RoutineValues = {},
  family: Parameters<typeof familyOf>[0] = 'fourWheel',
): Judgement => judgeRoutine({ code, setup, runs, on: on(family) });
const inPsi = (kpa: number | null): number | null => (kpa === null ? null : Math.round(kpa / psi(1)));

describe('ROUTINES', () => {
  it('have a place in the registry each, and say something before anything was done', () => {
    expect(new Set(ROUTINES.map(({ code }) => code)).size).toBe(ROUTINES.length);
    for (const { code } of ROUTINES) {
      if (code === 'penetrometer' || code === 'infiltration' || code === 'bracket') continue;
      expect(judge(code, [], { slopeDeg: 10, soil: null, hangingMm: 300 }).move).toBe('again');
    }
  });

  it('suit the family: no coasting on a tractor, no soil cone on a bicycle', () => {
    expect(routinesFor('farm')).not.toContain('rollOut');
    expect(routinesFor('farm')).toContain('infiltration');
    expect(routinesFor('bicycle')).not.toContain('penetrometer');
    expect(routinesFor('bicycle')).toEqual(
      expect.arrayContaining(['rollOut', 'shake', 'kerb', 'turnAndHit', 'bracket']),
    );
  });
});

describe('chalk', () => {
  const line = (zones: string, pressurePsi = 36): RoutineValues => {
    const [outerLeft, left, middle, right, outerRight] = [...zones].map(
      (z) => ({ '.': 'worn', o: 'partly', '#': 'still' })[z]!,
    );
    return {
      wheel: 'front left',
      pressureKpa: psi(pressurePsi),
      outerLeft: outerLeft!,
      left: left!,
      middle: middle!,
      right: right!,
      outerRight: outerRight!,
    };
  };

  // Facts of the trade: gone in the middle is too hard, gone at the edges too soft. Common practice, no source.
  it.each([
    ['##.##', 'tooHard', 32],
    ['#o.o#', 'tooHard', 34],
    ['..#..', 'tooSoft', 40],
    ['.....', 'right', 36],
    ['ooooo', 'right', 36],
    ['#####', 'notRolled', null],
    ['..o##', 'oneSided', null],
  ])('%s is %s', (zones, verdict, tryPsi) => {
    const result = judge('chalk', [line(zones)]);
    expect(result.verdict).toBe(verdict);
    expect(inPsi(result.tryKpa)).toBe(tryPsi);
  });

  it('tells the gravest of all wheels at the pressure that stands now, and which of two lines was evener', () => {
    expect(judge('chalk', [line('.....'), line('..#..')])).toMatchObject({
      verdict: 'tooSoft',
      runs: ['right', 'tooSoft'],
    });
    const two = judge('chalk', [line('##.##', 40), line('.....', 30)]);
    expect(two).toMatchObject({ verdict: 'right', move: 'keep' });
    expect(two.levels.map(({ mean }) => mean)).toEqual([1, 0]);
  });
});

describe('climb', () => {
  const attempt = (
    pressurePsi: number,
    result: 'reached' | 'nearly' | 'stopped',
    brokeLoose: string | null = null,
  ): RoutineValues => ({
    pressureKpa: psi(pressurePsi),
    result,
    distanceM: null,
    brokeLoose,
  });
  const setup = { slopeDeg: 6, soil: 'drySand' };

  it('finds the firmest that goes up, with how sure the next attempt is', () => {
    const runs = [attempt(20, 'stopped', 'crest'), attempt(18, 'reached'), attempt(18, 'reached')];
    const result = judge('climb', runs, setup);
    expect(result).toMatchObject({ verdict: 'found', move: 'keep', runs: ['crest', 'reached', 'reached'] });
    expect(inPsi(result.tryKpa)).toBe(18);
    expect(result.sure).toBeCloseTo(3 / 4, 12);
  });

  it('goes half the way between a pass and a failure, further down where none passes, up where all do', () => {
    expect(inPsi(judge('climb', [attempt(36, 'stopped'), attempt(16, 'reached')], setup).tryKpa)).toBe(26);
    expect(inPsi(judge('climb', [attempt(36, 'stopped'), attempt(26, 'stopped')], setup).tryKpa)).toBe(22);
    expect(judge('climb', [attempt(16, 'reached')], setup)).toMatchObject({
      verdict: 'allPass',
      move: 'firmer',
      tryKpa: psi(16) + 2 * psi(2),
    });
  });

  it('is judged without the slope, and takes one step where it nearly got there', () => {
    const runs = [attempt(26, 'stopped'), attempt(18, 'nearly')];
    expect(judge('climb', runs, { slopeDeg: null })).toMatchObject({
      verdict: 'nonePasses',
      runs: ['stopped', 'nearly'],
    });
    expect(inPsi(judge('climb', runs, { slopeDeg: null }).tryKpa)).toBe(16);
    expect(judge('climb', [attempt(26, 'reached'), attempt(16, 'nearly')], setup).verdict).toBe('contradicts');
  });

  it('stops before it digs in further, and shows a contradiction instead of averaging it', () => {
    expect(judge('climb', [attempt(26, 'stopped', 'dugIn')], setup).verdict).toBe('dugIn');
    const crossed = judge('climb', [attempt(26, 'reached'), attempt(16, 'stopped')], setup);
    expect(crossed).toMatchObject({ verdict: 'contradicts', move: 'again', contradictions: [[1, 0]] });
  });
});

describe('climb of a bicycle', () => {
  it('says which wheel lost its hold, and is not asked whether it dug in', () => {
    const run = { pressureKpa: psi(20), result: 'stopped', distanceM: null, brokeLoose: null, slipped: 'rear' };
    expect(judge('climb', [run], {}, 'mountainBike').runs).toEqual(['slipped rear']);
    const field = routineOf('climb').run.brokeLoose as Extract<Field, { type: 'choice' }>;
    expect(optionsFor(field, 'bicycle')).not.toContain('dugIn');
    expect(optionsFor(field, 'car')).toContain('dugIn');
    expect(isAskedOf(routineOf('climb').run.slipped!, 'car')).toBe(false);
  });
});

describe('pullAway', () => {
  const start = (at: number, result: string): RoutineValues => ({ pressureKpa: psi(at), result, otherAxleKpa: null });

  it('finds the firmest that gets away, and stops where it digs', () => {
    expect(judge('pullAway', [start(40, 'digsIn')]).verdict).toBe('dugIn');
    const found = judge('pullAway', [start(17, 'labors'), start(15, 'away'), start(15, 'away')]);
    expect(found).toMatchObject({ verdict: 'found', move: 'keep' });
    expect(inPsi(routineOf('pullAway').proves!.pressureKpa(found))).toBe(15);
    const crossed = judge('pullAway', [start(40, 'away'), start(15, 'digsIn')]);
    expect(crossed.verdict).toBe('contradicts');
    expect(routineOf('pullAway').proves!.pressureKpa(crossed)).toBeNull();
  });

  it('knows what the other axle had at that pressure, and nothing where nobody wrote it down', () => {
    const { otherKpa } = routineOf('pullAway').proves!;
    const runs = [
      { ...start(15, 'away'), otherAxleKpa: psi(18) },
      { ...start(15.2, 'away'), otherAxleKpa: psi(19) },
      { ...start(30, 'digsIn'), otherAxleKpa: psi(35) },
    ];
    expect(otherKpa!(runs as never, psi(15))! / psi(1)).toBeCloseTo(18.5, 9);
    expect(otherKpa!([start(15, 'away')] as never, psi(15))).toBeNull();
    // Four wheels at four readings: an axle has the mean of its two.
    const four = { ...start(15, 'away'), mateKpa: psi(17), otherAxleKpa: psi(18), otherMateKpa: psi(21) };
    expect(otherKpa!([four] as never, psi(16))! / psi(1)).toBeCloseTo(19.5, 9);
    expect(judge('pullAway', [four]).levels[0]!.pressureKpa / psi(1)).toBeCloseTo(16, 9);
    // A row that was kept on a device before there was such a field.
    expect(otherKpa!([{ pressureKpa: psi(15), result: 'away' }] as never, psi(15))).toBeNull();
  });
});

describe('steadyPower', () => {
  it('takes the pressure with less power, once the runs say so', () => {
    const runs = [30, 30, 30, 26, 26, 26].map((at, index) => ({
      pressureKpa: psi(at),
      powerW: (at === 30 ? 210 : 200) + (index % 3),
    }));
    const judged = judge('steadyPower', runs, { surface: 'rough' }, 'gravelBike');
    expect(judged).toMatchObject({ verdict: 'better', move: 'keep' });
    expect(inPsi(judged.tryKpa)).toBe(26);
  });
});

describe('disagreement', () => {
  const predicted = [36, 26, 16].map((at, index) => ({
    pressureKpa: psi(at),
    code: 'climbs' as const,
    climbsDeg: [-3, 1, 6][index]!,
  }));
  const level = (at: number, mean: number) => ({ pressureKpa: psi(at), mean });

  it.each([
    ['all as predicted', [level(36, 0), level(16, 1)], 5, null],
    ['up at a pressure that can’t move on the level', [level(36, 1)], null, 'wentUp'],
    ['up a slope that is too steep for it', [level(26, 1), level(16, 1)], 5, 'wentUp'],
    ['stopped where it climbs with some in hand', [level(16, 0)], 3, 'stopped'],
    ['stopped, but nobody knows how steep', [level(16, 0)], null, null],
    ['as near as the formulas are', [level(16, 0)], 5, null],
    ['now this, now that', [level(16, 0.5)], 3, null],
  ] as const)('%s', (_, levels, slopeDeg, code) => {
    expect(disagreement(predicted, levels, slopeDeg)?.code ?? null).toBe(code);
  });

  it('is not told of a bicycle, whose order alone is predicted', () => {
    expect(disagreement([{ pressureKpa: psi(26), code: 'place', place: 2 }], [level(26, 1)], 9)).toBeNull();
  });
});

describe('split', () => {
  const pull = (left: number, right: number, slippedFirst: string): RoutineValues => ({
    pressureKpa: psi(left),
    otherKpa: psi(right),
    slippedFirst,
  });

  it('counts only with the sides changed over', () => {
    expect(judge('split', [pull(26, 16, 'left')]).verdict).toBe('changeSides');
    const both = judge('split', [pull(26, 16, 'left'), pull(16, 26, 'right')]);
    expect(both).toMatchObject({ verdict: 'softerHolds', move: 'softer', runs: ['softerHeld', 'softerHeld'] });
    expect(inPsi(both.tryKpa)).toBe(16);
  });

  it('learns nothing where neither side slips, and sends to slicker ground', () => {
    expect(judge('split', [pull(26, 16, 'neither')])).toMatchObject({ verdict: 'neitherSlips', move: 'again' });
    expect(judge('split', [pull(26, 16, 'neither'), pull(16, 26, 'right')]).verdict).toBe('changeSides');
  });

  it('sees a side that only stood on better ground', () => {
    expect(judge('split', [pull(26, 16, 'left'), pull(16, 26, 'left')])).toMatchObject({
      verdict: 'noDifference',
      sure: 0.5,
    });
    expect(judge('split', [pull(26, 16, 'left'), pull(26, 16, 'right')]).contradictions).toEqual([[0, 1]]);
  });
});

describe('tests that go by the worst', () => {
  const ride = (change: RoutineValues): RoutineValues => ({
    pressureKpa: psi(24),
    turn: 'holds',
    roots: 'takes',
    rimStrikes: 0,
    burps: 0,
    ...change,
  });

  it.each([
    [{ rimStrikes: 1, turn: 'folds' }, 'rimStrike', 26],
    [{ burps: 2 }, 'burp', 26],
    [{ turn: 'folds' }, 'folds', 26],
    [{ roots: 'pings' }, 'pings', 22],
    [{}, 'right', 24],
  ])('a ride with %j: %s', (change, verdict, tryPsi) => {
    const result = judge('turnAndHit', [ride({}), ride(change)], {}, 'mountainBike');
    expect(result.verdict).toBe(verdict);
    expect(inPsi(result.tryKpa)).toBe(tryPsi);
  });

  it('steps by the family: five psi on a motorcycle', () => {
    expect(inPsi(judge('turnAndHit', [ride({ rimStrikes: 1 })], {}, 'trailSingle').tryKpa)).toBe(29);
  });

  it('shows a firmer one that hurt where a softer one could still go lower', () => {
    const runs = [ride({ pressureKpa: psi(20), roots: 'pings' }), ride({ rimStrikes: 1 })];
    expect(judge('turnAndHit', runs, {}, 'mountainBike').contradictions).toEqual([[0, 1]]);
  });

  it.each([
    ['obstacle', { wrap: 'some', bulge: 'clear', rim: 'touches', clearanceMm: 180 }, 'rimTouches', 'firmer'],
    ['obstacle', { wrap: 'none', bulge: 'clear', rim: 'clear', clearanceMm: null }, 'hardly', 'softer'],
    ['obstacle', { wrap: 'some', bulge: 'clear', rim: 'clear', clearanceMm: null }, 'right', 'keep'],
    ['obstacle', { wrap: 'some', bulge: 'near', rim: 'clear', clearanceMm: null }, 'bulgeNear', 'keep'],
    [
      'obstacle',
      { wrap: 'some', bulge: 'clear', rim: 'clear', felt: 'felt', clearanceMm: null },
      'wrapsAndFelt',
      'keep',
    ],
    ['feel', { symptom: 'bottomsOut' }, 'bottomsOut', 'firmer'],
    ['feel', { symptom: 'bouncy' }, 'bouncy', 'softer'],
    ['kerb', { rim: 'touches' }, 'touches', 'firmer'],
    ['kerb', { rim: 'far' }, 'far', 'softer'],
    ['kerb', { rim: 'near' }, 'near', 'keep'],
    ['feel', { symptom: 'pings' }, 'pings', 'softer'],
    ['feel', { symptom: 'pushesWide' }, 'pushesWide', 'softer'],
    ['feel', { symptom: 'folds' }, 'folds', 'firmer'],
    ['feel', { symptom: 'drags' }, 'drags', 'firmer'],
  ] as const)('%s with %j goes %s', (code, values, verdict, move) => {
    expect(judge(code, [{ pressureKpa: psi(24), ...values }], {}, 'mountainBike')).toMatchObject({ verdict, move });
  });
});

describe('tests that are measured', () => {
  const roll = (pressurePsi: number, distanceM: number): RoutineValues => ({
    pressureKpa: psi(pressurePsi),
    distanceM,
  });

  it('ask for three runs at each of two pressures', () => {
    expect(judge('rollOut', [roll(40, 50)], { surface: 'smooth' }).verdict).toBe('onePressure');
    expect(judge('rollOut', [roll(40, 50), roll(30, 45)], { surface: 'smooth' }).verdict).toBe('moreRuns');
  });

  it('say which does better, and that a difference smaller than the spread is none', () => {
    const plain = [roll(40, 50), roll(40, 51), roll(40, 50.5), roll(30, 45), roll(30, 44.5), roll(30, 45.4)];
    const result = judge('rollOut', plain, { surface: 'smooth' });
    expect(result).toMatchObject({ verdict: 'better', move: 'keep' });
    expect(inPsi(result.tryKpa)).toBe(40);
    const noisy = [roll(40, 50), roll(40, 44), roll(40, 47), roll(30, 45), roll(30, 49), roll(30, 46.5)];
    expect(judge('rollOut', noisy, { surface: 'smooth' }).verdict).toBe('noDifference');
  });

  it('a rut is better the shallower', () => {
    const place = (pressurePsi: number, rutMm: number): RoutineValues => ({
      pressureKpa: psi(pressurePsi),
      rutMm,
      lugMm: null,
    });
    const runs = [place(24, 90), place(24, 95), place(24, 92), place(12, 60), place(12, 63), place(12, 58)];
    expect(inPsi(judge('rut', runs, {}, 'tractor').tryKpa)).toBe(12);
  });
});

describe('standingHeight', () => {
  it('tells a stiff carcass from a soft one, and gives what was measured as evidence', () => {
    const height = (settlesMm: number): RoutineValues => ({ pressureKpa: psi(36), loadedMm: 300 - settlesMm });
    const verdict = (settlesMm: number): string =>
      judge('standingHeight', [height(settlesMm)], { hangingMm: 300 }).verdict;
    // The reference rig settles by about 18 mm at 36 psi.
    expect([verdict(12), verdict(18.5), verdict(25), verdict(-4)]).toEqual([
      'stiffer',
      'asExpected',
      'softer',
      'noRuns',
    ]);
    const test = { code: 'standingHeight' as const, setup: { hangingMm: 300 }, runs: [height(12)], on: on() };
    expect(routineEvidence(test)).toEqual([expect.objectContaining({ of: 'settles', valueMm: 12, loadKg: 600 })]);
  });

  it('keeps the heights where nobody knows the load, and says what is withheld', () => {
    const test = {
      code: 'standingHeight' as const,
      setup: { hangingMm: 300 },
      runs: [{ pressureKpa: 200, loadedMm: 280 }],
      on: on('fourWheel', null),
    };
    expect(judgeRoutine(test)).toMatchObject({
      verdict: 'loadMissing',
      levels: [expect.objectContaining({ mean: 20 })],
    });
    expect(routineEvidence(test)).toEqual([]);
  });
});

describe('print', () => {
  const print = (pressurePsi: number, lengthMm: number): RoutineValues => ({
    pressureKpa: psi(pressurePsi),
    how: 'ruler',
    lengthMm,
    widthMm: 200,
    grossMm2: null,
    netMm2: 30_000,
    outline: null,
    photoId: null,
  });

  it('tells areas and what presses on them', () => {
    const result = judge('print', [print(36, 170), print(16, 230)]);
    expect(result).toMatchObject({ verdict: 'nested', figures: { grossMm2: 46_000 } });
    // 600 kg · 9.80665 / 0.046 m² = 127.9 kPa; exact.
    expect(result.figures.grossKpa).toBeCloseTo(127.913, 3);
    expect(result.figures.voidShare).toBeCloseTo(1 - 30 / 46, 9);
    expect(routineOf('print').evidence!([print(36, 170)] as never, {} as never, on())).toHaveLength(2);
  });

  it('withholds the pressure on the ground without a load, and shows prints that contradict each other', () => {
    const none = judgeRoutine({ code: 'print', setup: {}, runs: [print(36, 170)], on: on('fourWheel', null) });
    expect(none.verdict).toBe('loadMissing');
    expect(none.figures.grossKpa).toBeUndefined();
    expect(judge('print', [print(36, 230), print(16, 170)])).toMatchObject({
      verdict: 'contradicts',
      contradictions: [[1, 0]],
    });
  });
});
