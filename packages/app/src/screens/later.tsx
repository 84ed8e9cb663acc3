import {
  lazy,
  Suspense,
  useEffect,
  useState,
  type ComponentType,
  type LazyExoticComponent,
  type ReactNode,
} from 'react';

type Rest = typeof import('./rest');
// What a component takes is its own affair.
type AnyComponent = ComponentType<any>;
type Components = { [Name in keyof Rest as Rest[Name] extends AnyComponent ? Name : never]: Rest[Name] };

const AGAIN_MS = 3_000;
let rest: Promise<Rest> | undefined;
let isHere = false;

/** Fetches everything but the first screen, once; where the line is broken, again and again. */
export const fetchRest = (): Promise<Rest> =>
  (rest ??= import('./rest').then(
    (all) => {
      isHere = true;
      return all;
    },
    async () => {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      rest = undefined;
      return fetchRest();
    },
  ));

/** Something that comes with all the other screens. */
export const later = <Name extends keyof Components>(name: Name): LazyExoticComponent<Components[Name]> =>
  lazy(() => fetchRest().then((all) => ({ default: all[name] as Components[Name] })));

/**
 * A part of the first screen that comes with the other screens: asked for once the rest of it is drawn, so that reading that
 * code does not stand before the drawing. Where it is here already, it is drawn at once.
 */
export function Afterwards({ children }: { readonly children: ReactNode }) {
  const [isDrawn, setDrawn] = useState(isHere);
  useEffect(() => {
    if (isDrawn) return undefined;
    let waits = requestAnimationFrame(() => {
      waits = requestAnimationFrame(() => setDrawn(true));
    });
    return () => cancelAnimationFrame(waits);
  }, [isDrawn]);
  return <Suspense>{isDrawn && children}</Suspense>;
}
