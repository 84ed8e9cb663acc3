import type { GroundPlan, SchoolCode } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../data/preferences';
import { Numerals } from '../../pieces/Numerals';
import { Text } from '../../pieces/Text';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { speedGuide } from '../../words/cautions';
import { axleOnGauge, pressure, pressureRange } from '../../words/format';
import { floorText, heldText } from '../../words/limits';

interface AxleNumbersProps {
  readonly plan: GroundPlan;
  /** Positions of axles whose beads are clamped. */
  readonly beadLocked: ReadonlySet<string>;
  readonly school: SchoolCode;
}

/** The number first: for each axle what to set, its window, how low at the most, and why. */
export function AxleNumbers({ plan, beadLocked, school }: AxleNumbersProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  const guide = speedGuide(plan);
  return (
    <View style={[styles.box, { backgroundColor: palette.card, borderColor: palette.line }]}>
      <Numerals
        axles={plan.axles.map((axle) => {
          const { startKpa, lowKpa, highKpa, floorKpa } = axleOnGauge(axle, units);
          return {
            position: axle.position,
            pressureKpa: startKpa,
            below:
              plan.ground === 'pavement' ? (
                <Text as="small">the placard</Text>
              ) : (
                <>
                  <Text as="small">{`window ${pressureRange(lowKpa, highKpa, units)}`}</Text>
                  <Text as="small">{`floor ${pressure(floorKpa, units)}: ${floorText(axle, beadLocked.has(axle.position))}`}</Text>
                </>
              ),
          };
        })}
      />
      {plan.axles.map((axle) => {
        const held = heldText(axle, school, units);
        return (
          held !== undefined && (
            <Text key={axle.position} as="small" tone="muted">
              {`${AXLE_WORDS[axle.position]}: ${held}`}
            </Text>
          )
        );
      })}
      {guide !== undefined && (
        <Text as="strong" style={[styles.guide, { borderColor: palette.line }]}>
          {`Speed guide: ${guide}`}
        </Text>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 6 },
  guide: { borderTopWidth: 1, paddingTop: 6 },
});
