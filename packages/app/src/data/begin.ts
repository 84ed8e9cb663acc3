import { useEffect } from 'react';
import { preload } from 'swr';

import { firstScreenComes, firstScreenStands } from './firstScreen';
import { startOutbox } from './outbox';
import { useEveryKind } from './useKind';
import { startSetBack } from './setBack';
import { syncFirst } from './sync';
import { followOtherTabs } from './takeIn';

/** Looks at the server, the outbox and the other tabs, before anything is drawn. */
export function beginData(): void {
  firstScreenComes();
  followOtherTabs();
  startOutbox();
  startSetBack();
  // Away is told elsewhere.
  Promise.resolve(preload('changes', syncFirst)).catch(() => undefined);
}

/** Does something once the first screen stands with its rows, or there are none to be had: nobody waits for it. */
export function useBehind(run: () => void): void {
  // Each kind is followed as long as the application is open: what changes while no screen shows it is in its list, too.
  const stands = [...useEveryKind().values()].every(({ loading }) => !loading);
  useEffect(() => {
    if (!stands) return undefined;
    let waits = requestAnimationFrame(() => {
      waits = requestAnimationFrame(() => {
        firstScreenStands();
        run();
      });
    });
    return () => cancelAnimationFrame(waits);
  }, [stands, run]);
}
