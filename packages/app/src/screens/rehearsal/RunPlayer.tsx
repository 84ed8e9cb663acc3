import { useEffect, useMemo, useState, type ReactNode } from 'react';

import { createLive, type Live } from '../../settings/live';
import { usePrefersStill } from '../../theme/usePrefersStill';
import { Slider } from '../../components/Slider';

interface RunPlayerProps {
  readonly fromS: number;
  readonly toS: number;
  /** What is drawn, following the clock. */
  readonly children: (clock: Live<number>) => ReactNode;
}

/** A run takes no longer to look at, s: a longer one is shown faster. */
const LONGEST_S = 8;

/**
 * Plays a run from one time to another, then lets it be looked at anywhere. Where somebody wants no movement it stands at
 * its end, and is moved by hand alone. Nothing of a frame goes through React.
 */
export function RunPlayer({ fromS, toS, children }: RunPlayerProps) {
  const still = usePrefersStill();
  const clock = useMemo(() => createLive(still ? toS : fromS), [still, fromS, toS]);
  const [ended, setEnded] = useState(still);
  const lasts = Math.max(0.1, toS - fromS);
  const rate = Math.max(1, lasts / LONGEST_S);
  useEffect(() => {
    if (ended) return undefined;
    let frame = 0;
    let began: number | undefined;
    const tick = (ms: number): void => {
      began ??= ms;
      const at = fromS + ((ms - began) / 1000) * rate;
      if (at >= toS) {
        clock.settle(toS);
        setEnded(true);
        return;
      }
      clock.move(at);
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [clock, ended, fromS, toS, rate]);
  const rest = clock.rest.use();
  return (
    <>
      {children(clock)}
      <Slider
        label={rate > 1.05 ? `Look back, shown ${rate.toFixed(1)} times as fast` : 'Look back'}
        shown={`${((ended ? rest : toS) - fromS).toFixed(1)} s`}
        value={ended ? rest : toS}
        min={fromS}
        max={toS}
        step={lasts / 200}
        onChange={(at) => {
          setEnded(true);
          clock.settle(at);
        }}
      />
    </>
  );
}
