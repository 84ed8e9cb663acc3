import { useEffect, useState, type ReactNode } from 'react';

import { usePrefersStill } from '../../theme/usePrefersStill';
import { Slider } from '../../components/Slider';

interface RunPlayerProps {
  readonly fromS: number;
  readonly toS: number;
  /** What is drawn at a time, s. */
  readonly children: (atS: number) => ReactNode;
}

/** A run takes no longer to look at, s: a longer one is shown faster. */
const LONGEST_S = 8;

/**
 * Plays a run from one time to another, then lets it be looked at anywhere. Where somebody wants no movement it stands at
 * its end, and is moved by hand alone.
 */
export function RunPlayer({ fromS, toS, children }: RunPlayerProps) {
  const still = usePrefersStill();
  const [atS, setAtS] = useState(still ? toS : fromS);
  const [plays, setPlays] = useState(!still);
  const lasts = Math.max(0.1, toS - fromS);
  const rate = Math.max(1, lasts / LONGEST_S);
  useEffect(() => {
    if (!plays) return undefined;
    let frame = 0;
    let began: number | undefined;
    const tick = (ms: number): void => {
      began ??= ms;
      const next = Math.min(toS, fromS + ((ms - began) / 1000) * rate);
      setAtS(next);
      if (next >= toS) setPlays(false);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [plays, fromS, toS, rate]);
  return (
    <>
      {children(atS)}
      <Slider
        label={rate > 1.05 ? `Look back, shown ${rate.toFixed(1)} times as fast` : 'Look back'}
        shown={`${(atS - fromS).toFixed(1)} s`}
        value={atS}
        min={fromS}
        max={toS}
        step={lasts / 200}
        onChange={(at) => {
          setPlays(false);
          setAtS(at);
        }}
      />
    </>
  );
}
