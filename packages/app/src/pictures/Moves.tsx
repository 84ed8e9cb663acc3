import { useEffect, useRef, type ReactNode } from 'react';

import { whenIdle } from '../timing/whenIdle';
import type { Live } from '../settings/live';
import { writerOf, type Moving, type Writer } from './moving';

interface MovesProps<T> {
  readonly by: Live<T>;
  /** Where the parts in it stand; null where they can't. */
  readonly at: (value: T) => Moving | null;
  /** It need not follow in every frame: it waits for its turn. */
  readonly inTurn?: boolean;
  readonly children: ReactNode;
}

/**
 * What follows a finger, frame by frame or in turn with others and without React, while somebody can see it. It moves
 * nothing outside.
 */
export function Moves<T>({ by, at, inTurn = false, children }: MovesProps<T>) {
  const box = useRef<HTMLDivElement>(null);
  const latest = useRef(at);
  const writer = useRef<Writer>(undefined);
  /** Written into since it last rested: then React does not know how it stands. */
  const written = useRef(false);
  const write = useRef((value: T, how: keyof Writer): boolean => {
    const moving = latest.current(value);
    if (!moving) return false;
    written.current = true;
    return (writer.current ??= writerOf(box.current!))[how](moving);
  });
  useEffect(() => {
    latest.current = at;
    // React may have drawn others, and those as they last rested.
    writer.current = undefined;
    if (written.current) write.current(by.get(), 'all');
  });
  useEffect(() => {
    let seen = true;
    const observer = new IntersectionObserver(([entry]) => (seen = entry!.isIntersecting));
    observer.observe(box.current!);
    const rest = (value: T): void => {
      if (seen || written.current) write.current(value, 'all');
      written.current = false;
      // What React draws by itself from now on is not known here.
      writer.current = undefined;
    };
    const stop = inTurn
      ? by.followInTurn({ isSeen: () => seen, next: (value) => write.current(value, 'some'), rest })
      : by.follow((value, rests) => {
          if (rests) rest(value);
          else if (seen) write.current(value, 'all');
        });
    let isHere = true;
    // Once before any finger comes, when it changes nothing: what runs for the first time takes several frames.
    whenIdle(() => isHere && seen && !written.current && write.current(by.get(), 'all'));
    return () => {
      isHere = false;
      observer.disconnect();
      stop();
    };
  }, [by, inTurn]);
  return (
    <div ref={box} style={{ contain: 'layout', minWidth: 0 }}>
      {children}
    </div>
  );
}
