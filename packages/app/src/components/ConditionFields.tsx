import { StyleSheet, View } from 'react-native';

import { conditionProblems, type TypedConditions } from '../settings/conditions';
import { NumberField } from './NumberField';

interface ConditionFieldsProps {
  readonly typed: TypedConditions;
  readonly change: (part: Partial<TypedConditions>) => void;
}

/** How warm air and tires are, and how high they stand, in the person's own scale. */
export function ConditionFields({ typed, change }: ConditionFieldsProps) {
  const problems = conditionProblems(typed);
  const [degrees, height] = typed.scale === 'metric' ? ['°C', 'm'] : ['°F', 'ft'];
  return (
    <View style={styles.fields}>
      <View style={styles.field}>
        <NumberField
          label="Air, cold"
          unit={degrees!}
          value={typed.cold}
          onChange={(cold) => change({ cold })}
          problem={problems.cold}
        />
      </View>
      <View style={styles.field}>
        <NumberField
          label="Tires now"
          unit={degrees!}
          value={typed.tire}
          onChange={(tire) => change({ tire })}
          problem={problems.tire}
        />
      </View>
      <View style={styles.field}>
        <NumberField
          label="Height"
          unit={height!}
          value={typed.altitude}
          onChange={(altitude) => change({ altitude })}
          problem={problems.altitude}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  field: { flex: 1, minWidth: 0 },
});
