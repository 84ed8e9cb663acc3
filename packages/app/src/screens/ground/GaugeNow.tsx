import { gaugeNowKpa, type GroundPlan } from '@dunlinmoss/core';
import { axleOnGauge } from '@dunlinmoss/domain';
import { useConditions } from '../../hooks/useConditions';
import { conditionsOf, COLD_CONDITIONS } from '../../settings/conditions';
import type { Units } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { ConditionFields } from '../../components/ConditionFields';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { AXLE_WORDS } from '../../words/axles';
import { pressure } from '../../words/format';

interface GaugeNowProps {
  readonly plan: GroundPlan;
  readonly rigId: string;
  readonly units: Units;
}

/** The plan's numbers are cold ones: what the gauge should show on tires that are not, or up high. */
export function GaugeNow({ plan, rigId, units }: GaugeNowProps) {
  const { typed, change } = useConditions(rigId);
  const conditions = conditionsOf(typed);
  const now =
    conditions &&
    plan.axles.map((axle) => {
      const { startKpa } = axleOnGauge(axle, units);
      return `${AXLE_WORDS[axle.position].toLowerCase()} ${pressure(gaugeNowKpa(startKpa, conditions), units)}`;
    });
  return (
    <Unfold label="On the gauge now" value={now ? now.join(', ') : 'As above, while the tires are cold'}>
      <Text as="small">
        Warm air presses more. Measure a tire with a thermometer at its tread, or take it as warm as your hand finds it.
      </Text>
      <Choice
        label="In"
        value={typed.scale}
        options={[
          { code: 'metric', name: '°C and m' },
          { code: 'imperial', name: '°F and ft' },
        ]}
        onChange={(scale) => change({ ...COLD_CONDITIONS, scale, cold: scale === 'metric' ? '20' : '68' })}
      />
      <ConditionFields typed={typed} change={change} />
      {now && <Action label="Tires are cold again" onPress={() => change({ tire: '' })} />}
      <Text as="small" tone="muted">
        Never let air out of a hot road tire to reach a cold figure: what is in it comes down by itself.
      </Text>
    </Unfold>
  );
}
