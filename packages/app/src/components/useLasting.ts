import { useEffect, useState } from 'react';

/** Whether something has been so for a while, ms. */
export function useLasting(isSo: boolean, forMs: number): boolean {
  const [lasts, setLasts] = useState(false);
  useEffect(() => {
    if (!isSo) return undefined;
    const timer = setTimeout(() => setLasts(true), forMs);
    return () => {
      clearTimeout(timer);
      setLasts(false);
    };
  }, [isSo, forMs]);
  return isSo && lasts;
}
