import type { GroundPlan } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../data/preferences';
import { Numerals } from '../../pieces/Numerals';
import { Text } from '../../pieces/Text';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { speedGuide } from '../../words/cautions';
import { axleOnGauge, pressure, pressureRange } from '../../words/format';
import { floorText, heldText, NEED_WORDS } from '../../words/limits';
import { MODIFIER_WORDS } from '../../words/modifiers';
import { SCHOOL_WORDS } from '../../words/schools';

interface AxleNumbersProps {
  readonly plan: GroundPlan;
  readonly units: Units;
  /** Positions of axles whose beads are held. */
  readonly beadHeld: ReadonlySet<string>;
}

/** The number first: for each axle what to set, its window, how low at the most, and why. */
export function AxleNumbers({ plan, units, beadHeld }: AxleNumbersProps) {
  const palette = usePalette();
  const guide = speedGuide(plan);
  const counted = [...new Set(plan.axles.flatMap(({ modifiers }) => modifiers))];
  return (
    <View style={[styles.box, { backgroundColor: palette.card, borderColor: palette.line }]}>
      <Numerals
        units={units}
        axles={plan.axles.map((axle) => {
          const { startKpa, lowKpa, highKpa, floorKpa, ceilingKpa } = axleOnGauge(axle, units);
          return {
            position: axle.position,
            pressureKpa: startKpa,
            below:
              plan.school === null ? (
                <Text as="small">the road pressure you gave</Text>
              ) : (
                <>
                  <Text as="small">
                    {`window ${pressureRange(lowKpa, highKpa, units)}${ceilingKpa === null ? '' : `, never over ${pressure(ceilingKpa, units)}`}`}
                  </Text>
                  <Text as="small">{`floor ${pressure(floorKpa, units)}: ${floorText(axle, beadHeld.has(axle.position))}`}</Text>
                </>
              ),
          };
        })}
      />
      {plan.school !== null &&
        plan.axles.map((axle) => {
          const held = heldText(axle, plan.school!, units);
          return (
            held !== undefined && (
              <Text key={axle.position} as="small" tone="muted">
                {`${AXLE_WORDS[axle.position]}: ${held}`}
              </Text>
            )
          );
        })}
      {plan.silentSchool && (
        <Text as="small" tone="rust">
          {`${SCHOOL_WORDS[plan.silentSchool.code].name} ${NEED_WORDS[plan.silentSchool.needs]}; until then ${SCHOOL_WORDS[plan.school!].name.toLowerCase()} stands in.`}
        </Text>
      )}
      {counted.length > 0 && (
        <Text as="small" tone="muted">
          {`Counted in: ${counted.map((code) => MODIFIER_WORDS[code].name.toLowerCase()).join(', ')}.`}
        </Text>
      )}
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
