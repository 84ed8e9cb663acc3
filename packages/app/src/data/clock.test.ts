import { act, renderHook } from '@testing-library/react';

import { clockJumped, runIsTimed, useNow } from './clock';

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

describe('useNow', () => {
  beforeEach(() => jest.useFakeTimers({ now: 1_000_000 }));
  afterEach(() => jest.useRealTimers());

  it('draws once with the time there was, and again when it ticks', () => {
    const drawn: number[] = [];
    renderHook(() => {
      // As on a slow phone: it is later by the time that it stands.
      if (drawn.push(useNow(true, 1_000)) === 1) jest.setSystemTime(1_000_040);
    });
    expect(drawn).toEqual([1_000_000]);
    act(() => void jest.advanceTimersByTime(1_000));
    expect(drawn).toEqual([1_000_000, 1_001_040]);
  });

  it('is right at once when something begins to run after a rest, and when the clock was set back meanwhile', () => {
    const { result, rerender } = renderHook(({ running }) => useNow(running, 1_000), {
      initialProps: { running: false },
    });
    jest.setSystemTime(1_500_000);
    rerender({ running: true });
    expect(result.current).toBe(1_500_000);
    rerender({ running: false });
    jest.setSystemTime(900_000);
    rerender({ running: true });
    expect(result.current).toBe(900_000);
  });
});
