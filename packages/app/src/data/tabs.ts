import type { ResourceName } from '@dunlinmoss/contract';

import { storeName } from '../settings/who';

/** What one tab tells the others. */
export type Said =
  | { readonly rows: readonly (readonly [ResourceName, string])[] }
  | { readonly outbox: true }
  | { readonly former: true }
  | { readonly allRows: true };

/** Tabs of the same person and space. A page that changes either is loaded anew. */
const NAME = storeName();
const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(NAME) : undefined;

/** Tells the other tabs of this device what is new in the store. */
export const tellTabs = (said: Said): void => channel?.postMessage(said);

/** Gives back the way to stop. */
export function onTabs(heard: (said: Said) => void): () => void {
  const listen = ({ data }: MessageEvent<Said>): void => heard(data);
  channel?.addEventListener('message', listen);
  return () => channel?.removeEventListener('message', listen);
}

/** Runs alone among the tabs of this device. Where a browser has no locks, alone in this tab. */
export function alone<T>(what: string, run: () => Promise<T>): Promise<T> {
  const { locks } = globalThis.navigator ?? {};
  if (locks) return locks.request(`${NAME}-${what}`, run) as Promise<T>;
  const before = here.get(what) ?? Promise.resolve();
  const turn = before.then(run, run);
  here.set(
    what,
    turn.catch(() => undefined),
  );
  return turn;
}
const here = new Map<string, Promise<unknown>>();

/** As after a reload. For tests. */
export const forgetTurns = (): void => here.clear();
