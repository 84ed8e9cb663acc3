import { memo, useEffect, useRef, useState, type ReactNode } from 'react';

/** Drawn a little before it comes into view, px. */
const AHEAD = '120px';

/**
 * Draws what follows a finger only while somebody can see it; out of view it stays as it was, and catches up when it is
 * scrolled to. What moves in it moves nothing outside.
 */
export function WhileSeen({ children }: { readonly children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(true);
  useEffect(() => {
    const observer = new IntersectionObserver(([entry]) => setSeen(entry!.isIntersecting), { rootMargin: AHEAD });
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, []);
  return (
    <div ref={box} style={{ contain: 'layout', minWidth: 0 }}>
      <Kept seen={seen}>{children}</Kept>
    </div>
  );
}

const Kept = memo(
  ({ children }: { readonly seen: boolean; readonly children: ReactNode }) => children,
  (_, next) => !next.seen,
);
Kept.displayName = 'Kept';
