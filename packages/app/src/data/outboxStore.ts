import { createStore } from '../settings/store';
import { openDevice } from './device';
import { keyOf, type Pending } from './pending';

/** Everything that waits, by row. */
export const outboxStore = createStore<Readonly<Record<string, Pending>>>({});

/** What waits has been read from the store: before that nobody knows whether anything does. */
export const outboxReadStore = createStore(false);

let read: Promise<void> | undefined;

/** What waits in the store of this device. */
export const outboxReady = (): Promise<void> => (read ??= readOutbox());

async function readOutbox(): Promise<void> {
  const device = await openDevice();
  const entries = (await device?.getAll('outbox').catch(() => [])) ?? [];
  // What was saved on this page while the store was being opened stands on top.
  outboxStore.set({ ...byKey(entries), ...outboxStore.get() });
  outboxReadStore.set(true);
}

export const byKey = (entries: readonly Pending[]): Record<string, Pending> =>
  Object.fromEntries(
    [...entries].sort((a, b) => a.sinceMs - b.sinceMs).map((entry) => [keyOf(entry.name, entry.id), entry]),
  );

/** As after a reload. For tests. */
export function forgetOutboxStore(): void {
  read = undefined;
  outboxReadStore.set(false);
  outboxStore.set({});
}
