import { useConditions } from '../../hooks/useConditions';
import { conditionsOf } from '../../settings/conditions';
import { Action } from '../../components/Action';
import { ConditionFields } from '../../components/ConditionFields';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';

interface GaugeConditionsProps {
  readonly rigId: string;
  /** What stands there while nobody measured. */
  readonly unmeasured?: string;
}

/** How warm the tires are and how high they stand: what turns a cold number into what the gauge should read. */
export function GaugeConditions({ rigId, unmeasured = 'Cold' }: GaugeConditionsProps) {
  const { typed, change } = useConditions(rigId);
  const known = conditionsOf(typed);
  const degrees = typed.scale === 'metric' ? '°C' : '°F';
  return (
    <Unfold
      label="Tires are"
      value={
        known && known.tireTempC !== known.coldTempC
          ? `${typed.tire} ${degrees}, air ${typed.cold} ${degrees}`
          : unmeasured
      }
    >
      <ConditionFields typed={typed} change={change} />
      {known && <Action label="Tires are cold again" onPress={() => change({ tire: '' })} />}
      <Text as="small" tone="muted">
        A target is a cold one: warm tires read more for the same air, and thin air up high a little more again.
      </Text>
    </Unfold>
  );
}
