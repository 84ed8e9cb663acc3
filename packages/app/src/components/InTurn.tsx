import { Children, useEffect, useState, type ReactNode } from 'react';

interface InTurnProps {
  /** How many to a task. */
  readonly step?: number;
  readonly children: ReactNode;
}

/**
 * Parts of a screen that are drawn in tasks of their own, one after the other: the browser paints in between when it has
 * time, a tap is answered by what is looked at first, and nothing holds up the finger for long. Once all are drawn they are
 * like any others.
 */
export function InTurn({ step = 1, children }: InTurnProps) {
  const parts = Children.toArray(children);
  const [drawn, setDrawn] = useState(0);
  const { length } = parts;
  useEffect(() => {
    if (drawn >= length) return undefined;
    const next = setTimeout(() => setDrawn(drawn + step >= length ? Infinity : drawn + step));
    return () => clearTimeout(next);
  }, [drawn, step, length]);
  return parts.slice(0, drawn);
}
