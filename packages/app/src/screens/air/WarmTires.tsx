import { useEffect, useState } from 'react';

import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { AirJob } from '../../hooks/useAirJob';
import { useConditions } from '../../hooks/useConditions';
import { useSimulatedGauge } from './useSimulatedGauge';

/** A target on tires this much warmer than was said comes out a psi too soft cold, °C. Common practice: 10 °F a psi. */
const WORTH_COUNTING_C = 4;

/** The monitors say that the tires are warmer or colder than was said: one tap counts it in. */
export function WarmTires({ job }: { readonly job: AirJob }) {
  const { rig, wheels, conditions } = job;
  const shows = useSimulatedGauge(rig.id);
  const { typed, change } = useConditions(rig.id);
  const [tempC, setTempC] = useState<number>();
  const { on, gauge } = shows;
  const [first] = wheels;
  useEffect(() => {
    if (on) void gauge(first!).then((told) => setTempC(told?.tempC));
    // Asked once, when they are found to be on.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [on, rig.id]);
  if (tempC === undefined || Math.abs(tempC - conditions.tireTempC) < WORTH_COUNTING_C) return null;
  const shown = Math.round(typed.scale === 'metric' ? tempC : (tempC * 9) / 5 + 32);
  const degrees = typed.scale === 'metric' ? '°C' : '°F';
  return (
    <Panel>
      <Text>{`The monitors say the tires are at ${shown} ${degrees}. If that is not counted, they are off the mark once they cool.`}</Text>
      <Action label={`Count ${shown} ${degrees} in`} onPress={() => change({ tire: String(shown) })} />
    </Panel>
  );
}
