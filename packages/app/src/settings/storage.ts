/**
 * The shapes of the rows and forms that are kept. One goes up when its own changes: what an earlier version of the
 * application kept is then left alone, where reading it wrongly would stop every screen.
 */
const SHAPES = { cache: 6, draft: 5, outbox: 5 } as const;

/** The key of something that has rows or forms of this shape in it. */
export const shaped = (key: keyof typeof SHAPES): string => `${key}:${SHAPES[key]}`;

/** Small text kept on this device. A browser that refuses to keep anything costs a person their drafts, not the app. */
export function readStored<T>(key: string): T | undefined {
  try {
    const text = globalThis.localStorage?.getItem(`dunlinmoss:${key}`);
    return text === null || text === undefined ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

export function writeStored(key: string, value: unknown): void {
  try {
    if (value === undefined) globalThis.localStorage?.removeItem(`dunlinmoss:${key}`);
    else globalThis.localStorage?.setItem(`dunlinmoss:${key}`, JSON.stringify(value));
  } catch {
    // Private windows and full disks: see above.
  }
}
