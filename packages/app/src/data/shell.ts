import { createStore } from '../settings/store';

/*
 * The application shell on this device: a service worker holds every file, so that every address opens without a server.
 * A newer version is fetched beside it and waits until the person takes it: nobody is thrown out of a half-filled form.
 */

/** Which version this is, as it was built. */
export const VERSION = process.env.EXPO_PUBLIC_VERSION ?? 'in development';

/** A newer version waits on this device. */
export const newerStore = createStore(false);

/** Every file is on this device, so that it opens without a server. */
export const shellStore = createStore(false);

/** How often a page that stays open asks for a newer version, ms. */
const LOOK_MS = 30 * 60_000;

let registration: ServiceWorkerRegistration | undefined;

/** Puts the shell on this device, once the page has what it needs itself. Not while it is worked on: files change there. */
export function startShell(): void {
  const workers = globalThis.navigator?.serviceWorker;
  if (process.env.NODE_ENV !== 'production' || !workers) return;
  const put = async (): Promise<void> => {
    try {
      registration = await workers.register('/sw.js');
    } catch {
      // Without one it works as long as there is a server.
    }
    // Some that block it say nothing.
    if (!registration) return;
    const look = (): void => newerStore.set(Boolean(registration?.waiting && workers.controller));
    look();
    void workers.ready.then(() => shellStore.set(true));
    registration.addEventListener('updatefound', () => {
      registration!.installing?.addEventListener('statechange', look);
    });
  };
  const ask = (): void => void registration?.update().catch(() => undefined);
  const seen = (): void => void (document.visibilityState === 'visible' && ask());
  if (document.readyState === 'complete') void put();
  else globalThis.addEventListener('load', () => void put(), { once: true });
  setInterval(ask, LOOK_MS);
  document.addEventListener('visibilitychange', seen);
}

/** Takes the version that waits: this page comes again at the same address, in the new one. */
export function takeNewer(): void {
  const { serviceWorker } = globalThis.navigator;
  serviceWorker.addEventListener('controllerchange', () => globalThis.location.reload(), { once: true });
  registration?.waiting?.postMessage({ type: 'SKIP_WAITING' });
}

/** Asks the browser not to clear what is on this device when room is short; false where it does not promise that. */
export const keepForGood = (): Promise<boolean> =>
  globalThis.navigator.storage?.persist?.().catch(() => false) ?? Promise.resolve(false);

/** Whether the browser promised it already. */
export const isKeptForGood = (): Promise<boolean> =>
  globalThis.navigator.storage?.persisted?.().catch(() => false) ?? Promise.resolve(false);
