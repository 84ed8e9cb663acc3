import { lazy, Suspense, type ComponentProps, type ComponentType, type ReactNode } from 'react';

import type { RestScreens } from './rest';

const AGAIN_MS = 3_000;

/** The file with all other screens; where the line is broken, again and again. */
export async function loadRest(): Promise<typeof import('./rest')> {
  for (;;) {
    try {
      return await import('./rest');
    } catch {
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}

const Rest = lazy(loadRest);

/**
 * A screen, or a part of one, that ships in the second file, with all screens but the first. One file, since whatever two
 * files share would be loaded with the first page.
 */
export function lazyScreen<Name extends keyof RestScreens>(
  name: Name,
): ComponentType<ComponentProps<RestScreens[Name]>> {
  return function LazyScreen(props) {
    return <Rest name={name} props={props as object} />;
  };
}

/** A part of the first screen that comes with the other screens: nothing stands in for it. */
export const Later = ({ children }: { readonly children: ReactNode }) => <Suspense>{children}</Suspense>;
