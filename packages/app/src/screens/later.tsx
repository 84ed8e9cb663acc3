import {
  createElement,
  lazy,
  Suspense,
  useDeferredValue,
  useEffect,
  useState,
  type ComponentProps,
  type ComponentType,
  type ReactNode,
} from 'react';

import { LedContext, type Led } from '../components/InTurn';
import { inTask } from '../timing/inTask';
import { untilIdle } from '../timing/whenIdle';

type Rest = typeof import('./rest');
// What a component takes is its own affair.
type AnyComponent = ComponentType<any>;
type Components = { [Name in keyof Rest as Rest[Name] extends AnyComponent ? Name : never]: Rest[Name] };

const AGAIN_MS = 3_000;
let rest: Promise<Rest> | undefined;
let here: Rest | undefined;
let ranAhead: Promise<void> | undefined;

/** Fetches everything but the first screen, once; where the line is broken, again and again. */
export const fetchRest = (): Promise<Rest> =>
  (rest ??= import('./rest').then(
    (all) => {
      here = all;
      ranAhead = runAhead(all);
      return all;
    },
    async () => {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      rest = undefined;
      return fetchRest();
    },
  ));

/** Once all of it has been fetched and run. */
export const restRan = async (): Promise<Rest> => {
  const all = await fetchRest();
  await ranAhead;
  return all;
};

/** Runs all of it, one after the other while nothing else is to be done: run at once it held up the finger. */
async function runAhead(all: Rest): Promise<void> {
  for (const name of Object.keys(all) as (keyof Rest)[]) {
    await untilIdle();
    // To ask for it is to run it.
    void all[name];
  }
  // What a test is checked with is made when it is first asked for, too.
  for (const code of all.ROUTINE_CODES) {
    await untilIdle();
    all.routineDetails(code);
  }
}

let turn = Promise.resolve();
/** A task of its own, behind those that were asked for before. */
const nextTurn = (): Promise<void> => (turn = turn.then(() => new Promise((resolve) => void inTask(resolve))));

function newLed(): Led {
  let stood = false;
  return { hasStood: () => stood, stands: () => void (stood = true) };
}

/**
 * Something that comes with all the other screens. Where they are here already it is drawn at once: whatever is waited for,
 * if only for a moment, is shown three tenths of a second after its stand-in at the earliest.
 */
export function later<Name extends keyof Components>(name: Name): ComponentType<ComponentProps<Components[Name]>> {
  let themed: AnyComponent | undefined;
  const made = (all: Rest): AnyComponent => {
    if (themed) return themed;
    // Run here, and not while it is being drawn.
    const { PaperTheme, [name]: Bare } = all as Rest & Record<Name, AnyComponent>;
    return (themed = function Themed(props: object) {
      const [led] = useState(newLed);
      // The way to it is a long task of its own: what is drawn comes behind that.
      const isTurn = useDeferredValue(true, false);
      if (!isTurn) return null;
      return createElement(
        PaperTheme,
        null,
        createElement(LedContext.Provider, { value: led }, createElement(Bare as AnyComponent, props)),
      );
    });
  };
  const Awaited = lazy(async () => {
    const all = await fetchRest();
    // Several wait for it on the first screen, and all of them for this.
    await nextTurn();
    void all.PaperTheme;
    await nextTurn();
    return { default: made(all) };
  });
  return function Later(props: ComponentProps<Components[Name]>) {
    // The same as long as it stands, or else it would begin anew once the rest is here.
    const [Screen] = useState<AnyComponent>(() => (here ? made(here) : Awaited));
    return createElement(Screen, props as object);
  };
}

/**
 * A part of the first screen that comes with the other screens: asked for once the rest of it is drawn, so that reading that
 * code does not stand before the drawing. Where it is here already, it is drawn at once.
 */
export function Afterwards({ children }: { readonly children: ReactNode }) {
  const [isDrawn, setDrawn] = useState(here !== undefined);
  useEffect(() => {
    if (isDrawn) return undefined;
    let waits = requestAnimationFrame(() => {
      waits = requestAnimationFrame(() => setDrawn(true));
    });
    return () => cancelAnimationFrame(waits);
  }, [isDrawn]);
  return <Suspense>{isDrawn && children}</Suspense>;
}
