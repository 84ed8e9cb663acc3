import { usePathname, useRouter as useAnyRouter } from 'expo-router';
import { useEffect, useMemo, useRef } from 'react';

type ScreenRouter = Pick<ReturnType<typeof useAnyRouter>, 'navigate' | 'replace' | 'setParams' | 'back'>;

/**
 * The router for what leads on after something was saved: the answer may come when the person has gone elsewhere already,
 * and must not drag them back from there. Tapped on its own screen it goes as any other.
 */
export function useRouter(): ScreenRouter {
  const router = useAnyRouter();
  const pathname = usePathname();
  const here = useRef(pathname);
  useEffect(() => {
    here.current = pathname;
  }, [pathname]);
  return useMemo(() => {
    const fromHere =
      <Said extends readonly never[]>(go: (...said: Said) => void) =>
      (...said: Said): void => {
        if (here.current === globalThis.location.pathname) go(...said);
      };
    return {
      navigate: fromHere(router.navigate),
      replace: fromHere(router.replace),
      setParams: fromHere(router.setParams),
      back: fromHere(router.back),
    } as ScreenRouter;
  }, [router]);
}
