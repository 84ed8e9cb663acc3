/**
 * The shape of the drafts that are kept. It goes up when their own changes: what an earlier version of the application
 * kept is then left alone, where reading it wrongly would stop every screen.
 */
const DRAFT_SHAPE = 5;

/** What the key of a draft of this shape begins with. */
export const DRAFTS = `draft:${DRAFT_SHAPE}`;

const PREFIX = 'dunlinmoss:';

/** Small text kept on this device: drafts and settings. Rows, photos and what waits are in the store of the device. */
export function readStored<T>(key: string): T | undefined {
  try {
    const text = globalThis.localStorage?.getItem(PREFIX + key);
    return text === null || text === undefined ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** False where it is not kept: a full disk, or a window that keeps nothing. */
export function writeStored(key: string, value: unknown): boolean {
  try {
    if (value === undefined) globalThis.localStorage?.removeItem(PREFIX + key);
    else globalThis.localStorage?.setItem(PREFIX + key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** Keys of a kind that are kept, whatever shape is behind them: `outbox`, `outbox:4`. */
export function storedKeys(kind: string): string[] {
  try {
    return Object.keys(globalThis.localStorage ?? {})
      .filter((key) => key === PREFIX + kind || key.startsWith(`${PREFIX}${kind}:`))
      .map((key) => key.slice(PREFIX.length));
  } catch {
    return [];
  }
}
