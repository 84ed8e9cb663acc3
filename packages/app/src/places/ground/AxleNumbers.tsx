import { familyOf, type GroundPlan } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../data/preferences';
import { Numerals } from '../../pieces/Numerals';
import { Text } from '../../pieces/Text';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { speedGuide } from '../../words/cautions';
import { axleOnGauge, pressure, pressureRange } from '../../words/format';
import { decidedBy, floorText, heldText, NEED_WORDS } from '../../words/limits';
import { MODIFIER_WORDS } from '../../words/modifiers';
import { isAlarming, remarkText } from '../../words/remarks';
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
                    {`window ${pressureRange(lowKpa, highKpa, units)}${ceilingKpa === null || axle.ceiling!.code === 'unreadSidewall' ? '' : `, never over ${pressure(ceilingKpa, units)}`}`}
                  </Text>
                  <Text as="small">{`floor ${pressure(floorKpa, units)}: ${floorText(axle, beadHeld.has(axle.position))}`}</Text>
                </>
              ),
          };
        })}
      />
      <Remarks plan={plan} units={units} />
      <Text as="small">{decidedText(plan)}</Text>
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

/** Whose the number is, once where both axles have it from the same. */
function decidedText({ axles, school }: GroundPlan): string {
  const by = axles.map((axle) => decidedBy(axle, school));
  if (by.every((each) => each === by[0])) return `Decided by: ${by[0]}.`;
  return axles.map(({ position }, index) => `${AXLE_WORDS[position]}, decided by: ${by[index]}.`).join(' ');
}

/** What belongs beside the numbers: what is wrong first, each once, with its axle where they differ. */
function Remarks({ plan, units }: Pick<AxleNumbersProps, 'plan' | 'units'>) {
  const { kind } = familyOf(plan.family);
  const found = plan.axles.flatMap(({ position, remarks }) =>
    remarks.map((remark) => ({ position, alarming: isAlarming(remark), text: remarkText(remark, kind, units) })),
  );
  const texts = [...new Set(found.map(({ text }) => text))];
  return texts.map((text) => {
    const on = found.filter((each) => each.text === text);
    const axle =
      on.length === plan.axles.length ? '' : `${on.map(({ position }) => AXLE_WORDS[position]).join(', ')}: `;
    return (
      <Text
        key={text}
        as="small"
        tone={on[0]!.alarming ? 'rust' : undefined}
        role={on[0]!.alarming ? 'alert' : undefined}
      >
        {`${axle}${text}`}
      </Text>
    );
  });
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 6 },
  guide: { borderTopWidth: 1, paddingTop: 6 },
});
