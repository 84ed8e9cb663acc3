import { tireOf, type LoadCaseBody, type Rig } from '@dunlinmoss/contract';
import { itemMassKg, outerDiameterMm, type AxlePosition, type RigLoads } from '@dunlinmoss/core';

import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { Text } from '../../components/Text';
import { Axles } from '../../pictures/Axles';
import { usePalette } from '../../theme/useLight';
import { mass, percent } from '../../words/format';

interface LoadPictureProps {
  readonly rig: Pick<Rig, 'axles' | 'hitchMm'>;
  readonly loads: RigLoads | undefined;
  readonly items: LoadCaseBody['items'];
  /** Axles with something wrong that can hurt. */
  readonly danger: ReadonlySet<AxlePosition>;
}

/** A rig's axles as the picture draws them, and what the numbers in it stand for. */
export function LoadPicture({ rig, loads, items, danger }: LoadPictureProps) {
  const units = unitsStore.use();
  const palette = usePalette();
  return (
    <View style={styles.picture}>
      <Axles
        axles={rig.axles.map((axle, index) => {
          const tire = tireOf(axle.tireMarking);
          const load = loads?.axles[index];
          return {
            position: axle.position,
            wheels: axle.wheels,
            behindMm: axle.behindMm,
            trackMm: axle.trackMm,
            diameterMm: outerDiameterMm(tire),
            widthMm: axle.measuredWidthMm ?? tire.sectionWidthMm,
            loadsKg: load?.wheels.map(({ loadKg }) => loadKg),
            standing: load?.standing,
            danger: danger.has(axle.position),
          };
        })}
        hitchMm={rig.hitchMm}
        items={items.map((item) => ({
          name: item.name,
          body: item.body,
          behindMm: item.behindMm,
          rightMm: item.rightMm,
          massKg: itemMassKg(item),
          ...(item.kind === 'tank' && { level: item.level }),
        }))}
        units={units}
        palette={palette}
      />
      {items.map((item, index) => (
        <Text key={`${item.name} ${index}`} as="small" tone="waterDeep">
          {`${index + 1}  ${item.name || 'Thing'}, ${mass(itemMassKg(item), units)}${item.kind === 'tank' ? ` (${percent(item.level)} full)` : ''}`}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  picture: { gap: 2 },
});
