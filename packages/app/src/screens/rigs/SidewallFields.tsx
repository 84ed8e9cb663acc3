import type { Rig } from '@dunlinmoss/contract';
import type { RigFormField } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { RowPressure, RowQuantity } from '../../forms/fields';
import { useValue } from '../../forms/useRowForm';
import { unitsStore } from '../../settings/preferences';
import { pressure } from '../../words/format';
import type { TireFieldsProps } from './MarkingField';
import { placesOf } from './tirePlaces';
import { LoadLines } from './TirePoints';

/** Pressures and loads that stand on a sidewall. */
export function SidewallFields({ form, axles, family, spoken }: TireFieldsProps) {
  const units = unitsStore.use();
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  const lines = useValue<Rig, Rig['axles'][number]['lines']>(form, placesOf(axles, 'lines').at);
  const rules = lines.length === 1 ? lines[0]!.pressureKpa : null;
  const own = { form, axles, spoken };
  // A sidewall says anything between half and three times of what is driven with.
  const { low, high } = family.likely.roadKpa;
  const usual = { low, high: 1.5 * high };
  return (
    <>
      {asks('loadLines') && <LoadLines {...own} />}
      <View style={styles.pair}>
        <View style={styles.half}>
          <RowPressure
            form={form}
            {...placesOf(axles, 'minKpa')}
            label="Least"
            spoken={`${spoken}least pressure`}
            usual={usual}
          />
        </View>
        <View style={styles.half}>
          <RowPressure
            form={form}
            {...placesOf(axles, 'maxKpa')}
            label="Maximum"
            spoken={`${spoken}maximum pressure`}
            usual={usual}
            hint={rules === null ? undefined : `The one line is the maximum too: ${pressure(rules, units)}.`}
          />
        </View>
      </View>
      {asks('treadWidth') && (
        <RowQuantity
          form={form}
          {...placesOf(axles, 'treadWidthMm')}
          label="Tread width, if measured"
          spoken={`${spoken}tread width`}
          quantity="length"
        />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  half: { flex: 1, minWidth: 0 },
});
