import { useEffect, useState } from 'react';

const QUERY = '(prefers-reduced-motion: reduce)';
const asked = (): MediaQueryList | undefined => globalThis.matchMedia?.(QUERY);

/** Whether the person wants things to stand still. */
export function usePrefersStill(): boolean {
  const [still, setStill] = useState(() => asked()?.matches ?? false);
  useEffect(() => {
    const list = asked();
    const hear = (): void => setStill(list?.matches ?? false);
    list?.addEventListener('change', hear);
    return () => list?.removeEventListener('change', hear);
  }, []);
  return still;
}
