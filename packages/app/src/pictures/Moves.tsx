import { useEffect, useRef, type ReactNode } from 'react';

import type { Live } from '../settings/live';
import { writerOf, type Moving, type Writer } from './moving';

interface MovesProps<T> {
  readonly by: Live<T>;
  /** Where the parts in it stand; null where they can't. */
  readonly at: (value: T) => Moving | null;
  readonly children: ReactNode;
}

/** What follows a finger, frame by frame and without React, while somebody can see it. It moves nothing outside. */
export function Moves<T>({ by, at, children }: MovesProps<T>) {
  const box = useRef<HTMLDivElement>(null);
  const latest = useRef(at);
  const writer = useRef<Writer>(undefined);
  useEffect(() => {
    latest.current = at;
    // React may have drawn others.
    writer.current = undefined;
  });
  useEffect(() => {
    const root = box.current!;
    let seen = true;
    const observer = new IntersectionObserver(([entry]) => (seen = entry!.isIntersecting));
    observer.observe(root);
    const stop = by.follow((value, rests) => {
      const moving = seen || rests ? latest.current(value) : null;
      if (moving) (writer.current ??= writerOf(root))(moving);
      // What React draws by itself in between is not known here.
      if (rests) writer.current = undefined;
    });
    return () => {
      observer.disconnect();
      stop();
    };
  }, [by]);
  return (
    <div ref={box} style={{ contain: 'layout', minWidth: 0 }}>
      {children}
    </div>
  );
}
