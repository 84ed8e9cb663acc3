import { lazy, type ComponentType, type LazyExoticComponent } from 'react';

type Rest = typeof import('./rest');
// What a component takes is its own affair.
type AnyComponent = ComponentType<any>;
type Components = { [Name in keyof Rest as Rest[Name] extends AnyComponent ? Name : never]: Rest[Name] };

const AGAIN_MS = 3_000;
let rest: Promise<Rest> | undefined;

/** Fetches everything but the first screen, once; where the line is broken, again and again. */
export const fetchRest = (): Promise<Rest> =>
  (rest ??= import('./rest').catch(async () => {
    await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    rest = undefined;
    return fetchRest();
  }));

/** Something that comes with all the other screens. */
export const later = <Name extends keyof Components>(name: Name): LazyExoticComponent<Components[Name]> =>
  lazy(() => fetchRest().then((all) => ({ default: all[name] as Components[Name] })));
