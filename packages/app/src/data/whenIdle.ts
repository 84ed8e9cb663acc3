/** Some browsers don't say when they are idle: then after so long, ms. */
const SOON_MS = 200;
/** Whatever else is going on, ms. */
const AT_LATEST_MS = 2_000;

/** Once the browser has nothing else to do. */
export function whenIdle(run: () => void): void {
  if ('requestIdleCallback' in globalThis) requestIdleCallback(run, { timeout: AT_LATEST_MS });
  else setTimeout(run, SOON_MS);
}

export const untilIdle = (): Promise<void> => new Promise((resolve) => whenIdle(resolve));
