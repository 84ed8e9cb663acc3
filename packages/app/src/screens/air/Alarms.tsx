import { alarmLevels, gaugeNowKpa, wheelKey } from '@dunlinmoss/core';
import { gaugeStepKpa, onGauge, type WatchedWheel } from '@dunlinmoss/domain';

import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { pressure, pressureRange } from '../../words/format';
import type { AirJob } from '../../hooks/useAirJob';

/** The levels a monitor of one's own should be set to. */
export function Alarms({ job, wheels }: { readonly job: AirJob; readonly wheels: readonly WatchedWheel[] }) {
  const { units, conditions } = job;
  const axles = [...new Map(wheels.map((each) => [each.wheel.position, each])).values()];
  return (
    <Unfold
      label="Alarms for this pressure"
      value={axles
        .map(({ wheel, target }) => {
          const { lowKpa, highKpa } = alarmLevels(target, gaugeStepKpa(units));
          return `${AXLE_WORDS[wheel.position]} ${pressureRange(onGauge(lowKpa, units, 'up'), highKpa, units)}`;
        })
        .join(', ')}
    >
      {axles.map(({ wheel, target }) => {
        const { lowKpa, highKpa } = alarmLevels(target, gaugeStepKpa(units));
        return (
          <Text key={wheelKey(wheel)}>
            {`${AXLE_WORDS[wheel.position]}: low at ${pressure(onGauge(lowKpa, units, 'up'), units)} cold (${pressure(gaugeNowKpa(lowKpa, conditions), units)} now), high at ${pressure(highKpa, units)}.`}
          </Text>
        );
      })}
      <Text as="small" tone="muted">
        They follow what is set: a tenth below it or the floor, a quarter above. A monitor that still has the road’s
        alarm cries after airing down: that is expected. Allow for a lag of minutes.
      </Text>
    </Unfold>
  );
}
