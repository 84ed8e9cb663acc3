/** Some browsers don't say when they are idle: then after so long, ms. */
const SOON_MS = 200;
/** Whatever else is going on, ms. */
const AT_LATEST_MS = 2_000;

/** A finger on the page is not kept waiting: in the pauses between its moves there is no time for anything else. */
const fingers = new Set<number>();
const waiting = new Set<() => void>();

function lifted(): void {
  if (fingers.size > 0) return;
  const all = [...waiting];
  waiting.clear();
  all.forEach(whenIdle);
}
if ('document' in globalThis) {
  const listen = <Type extends keyof WindowEventMap>(type: Type, heard: (event: WindowEventMap[Type]) => void): void =>
    globalThis.addEventListener(type, heard, { capture: true, passive: true });
  // By their names: where a menu of the browser swallows the end of one press, the next of that mouse makes up for it.
  listen('pointerdown', ({ pointerId }) => fingers.add(pointerId));
  for (const type of ['pointerup', 'pointercancel'] as const) {
    listen(type, ({ pointerId }) => {
      fingers.delete(pointerId);
      lifted();
    });
  }
  // Of a finger that is lifted elsewhere nothing is heard.
  listen('blur', ({ target }) => {
    if (target !== globalThis) return;
    fingers.clear();
    lifted();
  });
}

/** Once the browser has nothing else to do, and no finger is on it. */
export function whenIdle(run: () => void): void {
  const runOrWait = (): void => {
    if (fingers.size > 0) waiting.add(run);
    else run();
  };
  if ('requestIdleCallback' in globalThis) requestIdleCallback(runOrWait, { timeout: AT_LATEST_MS });
  else setTimeout(runOrWait, SOON_MS);
}

export const untilIdle = (): Promise<void> => new Promise((resolve) => whenIdle(resolve));
