import { memo, useEffect, useRef, useState, type ReactNode } from 'react';

/** Drawn a little before it comes into view, px. */
const AHEAD = '120px';
/** Out of view it catches up once nothing has changed for so long, ms. */
const AT_REST_MS = 250;

/**
 * Draws what follows a finger only while somebody can see it; out of view it catches up when the finger rests, or when it
 * is scrolled to. What moves in it moves nothing outside.
 */
export function WhileSeen({ children }: { readonly children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(true);
  const [rests, setRests] = useState(0);
  useEffect(() => {
    const observer = new IntersectionObserver(([entry]) => setSeen(entry!.isIntersecting), { rootMargin: AHEAD });
    observer.observe(box.current!);
    return () => observer.disconnect();
  }, []);
  useEffect(() => {
    if (seen) return;
    const timer = setTimeout(() => setRests((count) => count + 1), AT_REST_MS);
    return () => clearTimeout(timer);
  }, [children, seen]);
  return (
    <div ref={box} style={{ contain: 'layout', minWidth: 0 }}>
      <Kept seen={seen} rests={rests}>
        {children}
      </Kept>
    </div>
  );
}

interface KeptProps {
  readonly seen: boolean;
  readonly rests: number;
  readonly children: ReactNode;
}

const Kept = memo(
  ({ children }: KeptProps) => children,
  (before, next) => !next.seen && before.rests === next.rests,
);
Kept.displayName = 'Kept';
