import {
  Children,
  createContext,
  Fragment,
  isValidElement,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  type PropsWithChildren,
  type ReactNode,
} from 'react';

import { inTask } from '../timing/inTask';

/** Parts that are drawn in turn, as those within know them. */
interface Turns {
  readonly begins: () => void;
  readonly ends: () => void;
}
const TurnsContext = createContext<Turns | null>(null);

/** For the parts within: nothing below them is drawn before they are, and nothing that stands is pushed down. */
export const Within = TurnsContext.Provider;

/**
 * How many of some parts are drawn by now: more with each task, as soon as all within those that stand are drawn, and all of
 * them for good once that is done.
 */
function useTurns(parts: number, step: number, begun: number): readonly [drawn: number, within: Turns] {
  const around = useContext(TurnsContext);
  const [drawn, setDrawn] = useState(begun);
  const open = useRef(0);
  const [ended, setEnded] = useState(0);
  const within = useMemo(
    (): Turns => ({
      begins: () => {
        open.current += 1;
        around?.begins();
      },
      ends: () => {
        open.current -= 1;
        setEnded((before) => before + 1);
        around?.ends();
      },
    }),
    [around],
  );
  const isDone = drawn >= parts;
  // Of what is within, effects are run first.
  useEffect(() => {
    if (isDone) return undefined;
    around?.begins();
    return () => around?.ends();
  }, [isDone, around]);
  useEffect(() => {
    if (isDone || open.current > 0) return undefined;
    return inTask(() => setDrawn(drawn + step >= parts ? Infinity : drawn + step));
  }, [isDone, drawn, step, parts, ended]);
  return [drawn, within];
}

/** A screen that somebody was led to: whether it stood as a whole by now. */
export interface Led {
  readonly hasStood: () => boolean;
  readonly stands: () => void;
}
export const LedContext = createContext<Led | null>(null);

interface InTurnProps {
  /** How many to a task. */
  readonly step?: number;
  /** How many are drawn along with what stands around them: what is looked at first, where it is little. */
  readonly begun?: number;
  readonly children: ReactNode;
}

/**
 * Parts of a screen that are drawn in tasks of their own, one after the other: the browser paints in between when it has
 * time, a tap is answered by what is looked at first, and nothing holds up the finger for long. Once all are drawn they are
 * like any others. Outside of a screen that somebody was led to they are drawn at once.
 */
export function InTurn({ step = 1, begun = 0, children }: InTurnProps) {
  const parts = Children.toArray(children);
  const [drawn, within] = useTurns(parts.length, step, useContext(LedContext) ? begun : Infinity);
  return <Within value={within}>{parts.slice(0, drawn)}</Within>;
}

const partsOf = (node: ReactNode): ReactNode[] =>
  Children.toArray(isValidElement<PropsWithChildren>(node) && node.type === Fragment ? node.props.children : node);

/**
 * Which parts of a page are drawn by now: while its screen comes one more with each task, in the order of the groups; once it
 * stood as a whole all at once, whatever becomes of it.
 */
export function usePageInTurn(...said: readonly ReactNode[]): readonly [drawn: ReactNode[][], within: Turns] {
  const led = useContext(LedContext);
  const groups = said.map(partsOf);
  const [drawn, within] = useTurns(groups.flat().length, 1, led && !led.hasStood() ? 0 : Infinity);
  useEffect(() => {
    if (drawn === Infinity) led?.stands();
  }, [led, drawn]);
  const before = (index: number): number => groups.slice(0, index).flat().length;
  return [groups.map((parts, index) => parts.slice(0, Math.max(0, drawn - before(index)))), within];
}
