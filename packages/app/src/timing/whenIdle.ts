/** Some browsers don't say when they are idle: then after so long, ms. */
const SOON_MS = 200;
/** Whatever else is going on, ms. */
const AT_LATEST_MS = 2_000;

/** A finger on the page is not kept waiting: in the pauses between its moves there is no time for anything else. */
let fingers = 0;
const waiting = new Set<() => void>();

function lifted(left: number): void {
  fingers = Math.max(0, left);
  if (fingers > 0) return;
  const all = [...waiting];
  waiting.clear();
  all.forEach(whenIdle);
}
if ('document' in globalThis) {
  const listen = (type: string, heard: (event: Event) => void): void =>
    globalThis.addEventListener(type, heard, { capture: true, passive: true });
  listen('pointerdown', () => (fingers += 1));
  for (const type of ['pointerup', 'pointercancel']) listen(type, () => lifted(fingers - 1));
  // Of a finger that is lifted elsewhere nothing is heard.
  listen('blur', ({ target }) => target === globalThis && lifted(0));
}

/** Once the browser has nothing else to do, and no finger is on it. */
export function whenIdle(run: () => void): void {
  const runOrWait = (): void => {
    if (fingers > 0) waiting.add(run);
    else run();
  };
  if ('requestIdleCallback' in globalThis) requestIdleCallback(runOrWait, { timeout: AT_LATEST_MS });
  else setTimeout(runOrWait, SOON_MS);
}

export const untilIdle = (): Promise<void> => new Promise((resolve) => whenIdle(resolve));
