import { runProblem, wheelState, type AiringRun } from './airing';

const run = (change: Partial<AiringRun> = {}): AiringRun => ({
  position: 'front',
  wheel: 'left',
  startedS: 1000,
  endedS: 1060,
  beforeKpa: 248,
  afterKpa: 110,
  timed: true,
  ...change,
});

describe('runProblem', () => {
  it.each([
    ['a sound one', run(), 'out', undefined],
    ['still going', run({ endedS: null, afterKpa: null }), 'out', undefined],
    ['not read yet', run({ afterKpa: null }), 'out', undefined],
    ['higher than before', run({ afterKpa: 260 }), 'out', 'roseWhileLettingOut'],
    ['lower while putting in', run(), 'in', 'fellWhilePuttingIn'],
    ['no time at all', run({ endedS: 1000 }), 'out', 'noTime'],
    ['read once more', run({ endedS: 1000, timed: false, beforeKpa: 95, afterKpa: 112 }), 'out', 'readingAlone'],
    ['a clock that was set back', run({ endedS: 900 }), 'out', 'clockJumped'],
    ['a clock that jumped', run({ timed: false }), 'out', 'clockJumped'],
  ] as const)('%s', (_, of, way, code) => expect(runProblem(of, [of], way)?.code).toBe(code));

  it('counts only the first of two phones on one wheel', () => {
    const [mine, theirs] = [run(), run({ startedS: 1005, endedS: 1062, afterKpa: 111 })];
    expect(runProblem(mine, [mine, theirs], 'out')).toBeNull();
    expect(runProblem(theirs, [mine, theirs], 'out')?.code).toBe('timedTwice');
    const later = run({ startedS: 1070, endedS: 1090, beforeKpa: 111, afterKpa: 100 });
    expect(runProblem(later, [mine, later], 'out')).toBeNull();
  });
});

describe('wheelState', () => {
  it.each([
    ['nothing yet', [], null, 'waiting'],
    ['air going out', [run({ endedS: null, afterKpa: null })], null, 'running'],
    ['stopped, not read', [run({ afterKpa: null })], null, 'toRead'],
    ['on the number', [run({ afterKpa: 112 })], null, 'done'],
    ['too firm yet', [run({ afterKpa: 130 })], null, 'more'],
    ['past it', [run({ afterKpa: 95 })], null, 'overshot'],
    ['past it, and well so', [run({ afterKpa: 95 })], 'accepted', 'done'],
    ['left out', [], 'skipped', 'skipped'],
  ] as const)('%s', (_, runs, settled, state) => expect(wheelState(runs, 110, 7, 'out', settled)).toBe(state));

  it('is past it on the way up when there is more than asked', () => {
    expect(wheelState([run({ afterKpa: 260 })], 248, 7, 'in', null)).toBe('overshot');
    expect(wheelState([run({ afterKpa: 200 })], 248, 7, 'in', null)).toBe('more');
  });
});
