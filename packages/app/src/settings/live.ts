import { createStore, type Store } from './store';

/** Hears of every frame; `rests` when the finger is off and React draws next. */
type Follower<T> = (value: T, rests: boolean) => void;

/** Something under a finger: every frame of it is for those who write into the page, what it came to for React. */
export interface Live<T> {
  readonly get: () => T;
  /** As it stood when it last rested. */
  readonly rest: Store<T>;
  readonly move: (value: T) => void;
  readonly settle: (value: T) => void;
  /** Gives back the way to stop. */
  readonly follow: (follower: Follower<T>) => () => void;
}

export function createLive<T>(initial: T): Live<T> {
  let now = initial;
  const rest = createStore(initial);
  const followers = new Set<Follower<T>>();
  const tell = (value: T, rests: boolean): void => {
    now = value;
    followers.forEach((follower) => follower(value, rests));
  };
  return {
    get: () => now,
    rest,
    move: (value) => tell(value, false),
    settle(value) {
      // What is out of sight has missed frames, and React would take it for up to date.
      tell(value, true);
      rest.set(value);
    },
    follow(follower) {
      followers.add(follower);
      return () => followers.delete(follower);
    },
  };
}
