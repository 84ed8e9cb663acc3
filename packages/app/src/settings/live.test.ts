import { act, renderHook } from '@testing-library/react';

import { createLive, useRested, type InTurn } from './live';

jest.mock('../timing/inTask', () => ({ inTask: (run: () => void) => run() }));

/** What waits for the next frame, and how long frames take. */
const waiting: FrameRequestCallback[] = [];
let now = 0;
let frameMs = 4;
beforeEach(() => {
  waiting.length = 0;
  frameMs = 4;
  jest.spyOn(performance, 'now').mockImplementation(() => now + frameMs);
  jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((run) => waiting.push(run));
  jest.spyOn(globalThis, 'cancelAnimationFrame').mockImplementation((id) => void delete waiting[id! - 1]);
});
afterEach(() => jest.restoreAllMocks());

const frame = (): void => {
  now += 16;
  for (const run of waiting.splice(0)) run?.(now);
};
const framesUntilStill = (): number => {
  let count = 0;
  while (waiting.length > 0) {
    frame();
    count += 1;
    if (count > 100) throw new Error('it never comes to rest');
  }
  return count;
};

/** Writes a value in as many pieces, one in each turn, and notes what it wrote. */
function piecewise(said: string[], name: string, pieces: number, isSeen = () => true): InTurn<number> {
  const written = new Map<number, number>();
  let at = 0;
  return {
    isSeen,
    next(value) {
      for (let asked = 0; asked < pieces; asked += 1) {
        at = (at + 1) % pieces;
        if (written.get(at) === value) continue;
        written.set(at, value);
        said.push(`${name}${at}=${value}`);
        return true;
      }
      return false;
    },
    rest: (value) => void said.push(`${name} rests at ${value}`),
  };
}

describe('what is under a finger', () => {
  it('is heard of at once by those who follow every frame, and one piece a frame by those who take turns', () => {
    const said: string[] = [];
    const live = createLive(0);
    live.follow((value, rests) => void said.push(`staff=${value}${rests ? ' rests' : ''}`));
    live.followInTurn(piecewise(said, 'a', 1));
    live.followInTurn(piecewise(said, 'b', 2));
    live.move(1);
    expect(said).toEqual(['staff=1']);
    frame();
    expect(said).toHaveLength(2);
    live.move(2);
    framesUntilStill();
    // Moved on before all had had their turn: each piece ends at what it came to, whatever it missed.
    for (const piece of ['a0', 'b0', 'b1']) {
      expect(said.filter((each) => each.startsWith(piece)).at(-1)).toBe(`${piece}=2`);
    }
    expect(said.filter((each) => each.startsWith('staff'))).toEqual(['staff=1', 'staff=2']);
    expect(live.rest.get()).toBe(0);
  });

  it('gives nobody a turn who is not seen, and asks for no frame once all are up to date', () => {
    const said: string[] = [];
    const live = createLive(0);
    live.followInTurn(piecewise(said, 'hidden', 3, () => false));
    const stop = live.followInTurn(piecewise(said, 'seen', 1));
    live.move(1);
    framesUntilStill();
    expect(said).toEqual(['seen0=1']);
    live.settle(2);
    expect(said.slice(1)).toEqual(['hidden rests at 2', 'seen rests at 2']);
    expect(waiting.filter(Boolean)).toEqual([]);
    stop();
    live.move(3);
    framesUntilStill();
    expect(said).toHaveLength(3);
  });

  it('leaves frames to what can not wait where one with a piece took long', () => {
    const live = createLive(0);
    const said: string[] = [];
    live.followInTurn(piecewise(said, 'a', 3));
    live.move(1);
    const quick = framesUntilStill();
    frameMs = 14;
    live.move(2);
    const slow = framesUntilStill();
    expect(said.slice(3)).toEqual(['a1=2', 'a2=2', 'a0=2']);
    // Two frames after each of its three pieces, and after the question that found none.
    expect(slow).toBeGreaterThanOrEqual(quick + 6);
  });

  it('is drawn by React as it rested, that of another thing at once', () => {
    const front = createLive({ kpa: 1 });
    const rear = createLive({ kpa: 5 });
    const { result, rerender } = renderHook(({ live }) => useRested(live), { initialProps: { live: front } });
    act(() => front.move({ kpa: 2 }));
    expect(result.current.kpa).toBe(1);
    act(() => front.settle({ kpa: 3 }));
    expect(result.current.kpa).toBe(3);
    rerender({ live: rear });
    expect(result.current.kpa).toBe(5);
    act(() => front.settle({ kpa: 4 }));
    expect(result.current.kpa).toBe(5);
    act(() => rear.settle({ kpa: 6 }));
    expect(result.current.kpa).toBe(6);
  });
});
