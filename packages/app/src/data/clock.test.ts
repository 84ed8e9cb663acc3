import { clockJumped, runIsTimed } from './clock';

const mark = { wallMs: 1_000_000, stopwatchMs: 5_000 };
const after = (wall: number, stopwatch: number) => ({
  wallMs: mark.wallMs + wall,
  stopwatchMs: mark.stopwatchMs + stopwatch,
});

describe('clockJumped', () => {
  it.each([
    ['both went on alike', after(60_000, 60_000), false, false],
    ['set back', after(-3_540_000, 60_000), false, true],
    ['set ahead in view', after(3_660_000, 60_000), false, true],
    ['slept', after(3_660_000, 60_000), true, false],
    ['set back while it slept', after(-60_000, 60_000), true, true],
  ])('%s', (_, now, slept, jumped) => expect(clockJumped(mark, slept, now)).toBe(jumped));
});

describe('runIsTimed', () => {
  it('is not where a run began in the future', () => {
    expect(runIsTimed('unmarked', new Date(Date.now() + 60_000).toISOString())).toBe(false);
    expect(runIsTimed('unmarked', new Date(Date.now() - 60_000).toISOString())).toBe(true);
  });
});
