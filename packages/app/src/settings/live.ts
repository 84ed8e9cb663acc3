import { startTransition, useEffect, useState } from 'react';

import { inTask } from '../timing/inTask';
import { createStore, type Store } from './store';

/** Hears of every frame; `rests` when the finger is off and React draws next. */
type Follower<T> = (value: T, rests: boolean) => void;

/** A frame that took longer leaves little for what may wait, ms. */
const LONG_MS = 10;
/** How many frames then are left to what can't wait. */
const LEFT_FRAMES = 2;

/** What follows a little later, a piece at a time: to write all of it in one frame takes a slow phone longer than a frame. */
export interface InTurn<T> {
  /** Whether somebody can see it: who can't be seen is given no turn. */
  readonly isSeen: () => boolean;
  /** Writes a piece of what is out of date; false where there is none. */
  readonly next: (value: T) => boolean;
  /** The finger is off and React draws next. */
  readonly rest: (value: T) => void;
}

/** Something under a finger: every frame of it is for those who write into the page, what it came to for React. */
export interface Live<T> {
  readonly get: () => T;
  /** As it stood when it last rested. */
  readonly rest: Store<T>;
  readonly move: (value: T) => void;
  readonly settle: (value: T) => void;
  /** Gives back the way to stop. */
  readonly follow: (follower: Follower<T>) => () => void;
  /** Follows in turn with others, one of them a frame, until all is up to date. Gives back the way to stop. */
  readonly followInTurn: (follower: InTurn<T>) => () => void;
}

export function createLive<T>(initial: T): Live<T> {
  let now = initial;
  const rest = createStore(initial);
  const followers = new Set<Follower<T>>();
  const inTurn = new Set<InTurn<T>>();
  let frame = 0;
  let turns = 0;
  /** How many in a row had nothing to write. */
  let upToDate = 0;
  let left = 0;
  const turn = (beganMs: number): void => {
    frame = 0;
    if (left > 0) {
      left -= 1;
      frame = requestAnimationFrame(turn);
      return;
    }
    const seen = [...inTurn].filter((follower) => follower.isSeen());
    if (upToDate >= seen.length) return;
    turns += 1;
    upToDate = seen[turns % seen.length]!.next(now) ? 0 : upToDate + 1;
    frame = requestAnimationFrame(turn);
    // Runs once the frame is drawn.
    inTask(() => (left = performance.now() - beganMs > LONG_MS ? LEFT_FRAMES : 0));
  };
  const tell = (value: T, rests: boolean): void => {
    now = value;
    followers.forEach((follower) => follower(value, rests));
  };
  return {
    get: () => now,
    rest,
    move(value) {
      tell(value, false);
      upToDate = 0;
      frame ||= requestAnimationFrame(turn);
    },
    settle(value) {
      cancelAnimationFrame(frame);
      frame = 0;
      // What is out of sight or waits for its turn has missed frames, and React would take it for up to date.
      tell(value, true);
      inTurn.forEach((follower) => follower.rest(value));
      rest.set(value);
    },
    follow(follower) {
      followers.add(follower);
      return () => followers.delete(follower);
    },
    followInTurn(follower) {
      inTurn.add(follower);
      return () => inTurn.delete(follower);
    },
  };
}

/** As it last rested. What follows is written already, so React draws it when there is time, in pieces. */
export function useRested<T extends object>(live: Live<T>): T {
  const [drawn, setDrawn] = useState(() => ({ live, value: live.rest.get() }));
  useEffect(() => {
    const draw = (): void =>
      startTransition(() => {
        const value = live.rest.get();
        setDrawn((was) => (was.live === live && was.value === value ? was : { live, value }));
      });
    // What came to rest before anybody listened.
    draw();
    return live.rest.subscribe(draw);
  }, [live]);
  return drawn.live === live ? drawn.value : live.rest.get();
}
