import { useEffect, useRef, useState } from 'react';
import { AccessibilityInfo } from 'react-native';

const DURATION_MS = 450;
const ease = (t: number): number => 1 - (1 - t) ** 3;

/**
 * Values that glide to their new state, as water does; at once for people who asked for less motion, and where they
 * follow a finger.
 */
export function useTween(target: readonly number[], still = false): readonly number[] {
  const [shown, setShown] = useState(target);
  const from = useRef(target);
  const key = target.join();
  useEffect(() => {
    if (still) return;
    let frame = 0;
    let stopped = false;
    const start = from.current.length === target.length ? from.current : target;
    void AccessibilityInfo.isReduceMotionEnabled().then((reduced) => {
      if (stopped) return;
      const begun = performance.now();
      const draw = (now: number): void => {
        const t = reduced ? 1 : Math.min(1, Math.max(0, (now - begun) / DURATION_MS));
        const next = target.map((value, index) => start[index]! + (value - start[index]!) * ease(t));
        from.current = next;
        setShown(next);
        if (t < 1) frame = requestAnimationFrame(draw);
      };
      frame = requestAnimationFrame(draw);
    });
    return () => {
      stopped = true;
      cancelAnimationFrame(frame);
    };
    // The values themselves are the key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, still]);
  if (still) return target;
  return shown.length === target.length ? shown : target;
}
