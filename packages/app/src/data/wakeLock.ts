import { useEffect } from 'react';

/** Keeps the screen on while something runs; a browser that can't leaves it as it is. */
export function useWakeLock(active: boolean): void {
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let ended = false;
    const take = (): void => {
      // Lost whenever the page goes out of view: taken anew when it is back.
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (taken) => {
          lock = taken;
          if (ended) void taken.release();
        },
        () => undefined,
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      ended = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, [active]);
}
