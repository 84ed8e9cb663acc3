import { familyOf, type AxlePlan, type GroundPlan } from '@dunlinmoss/core';
import { axleOnGauge, gaugeStepKpa, onGauge, type ProvedAxle } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../settings/preferences';
import { Numerals } from '../../components/Numerals';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { speedGuide } from '../../words/cautions';
import { pressure, pressureRange, speed } from '../../words/format';
import { aloneText, decidedBy, floorText, NEED_WORDS } from '../../words/limits';
import { provedText } from '../../words/learned';
import { MODIFIER_WORDS } from '../../words/modifiers';
import { isAlarming, remarkText } from '../../words/remarks';
import { SCHOOL_WORDS } from '../../words/schools';

interface AxleNumbersProps {
  readonly plan: GroundPlan;
  readonly units: Units;
  /** Positions of axles whose beads are held. */
  readonly beadHeld: ReadonlySet<string>;
  /** What the numbers stand on where it was proved. */
  readonly proved?: readonly ProvedAxle[];
}

/** The number first: for each axle what to set, its window, how low at the most, and why. */
export function AxleNumbers({ plan, units, beadHeld, proved = [] }: AxleNumbersProps) {
  const palette = usePalette();
  const guide = speedGuide(plan, units);
  const proofOf = (position: string) => proved.find((each) => each.position === position)?.next;
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
                  {proofOf(axle.position) && <Text as="label">{provedText(proofOf(axle.position)!, units)}</Text>}
                  {todayText(axle, startKpa, units) !== undefined && (
                    <Text as="small" tone="rust">
                      {todayText(axle, startKpa, units)}
                    </Text>
                  )}
                  {axle.provedKpa !== null && (
                    <Text as="small">{`by the rule ${pressure(axleOnGauge({ ...axle, startKpa: axle.ruleKpa }, units).startKpa, units)}`}</Text>
                  )}
                  <Text as="small">
                    {`try ${pressureRange(lowKpa, highKpa, units)}${ceilingKpa === null || axle.ceiling!.code === 'unreadSidewall' ? '' : `, at most ${pressure(ceilingKpa, units)}`}`}
                  </Text>
                  <Text as="small">{`floor ${pressure(floorKpa, units)}: ${floorText(axle, beadHeld.has(axle.position))}`}</Text>
                </>
              ),
          };
        })}
      />
      {guide !== undefined && (
        <Text as="strong" style={[styles.guide, { borderColor: palette.line }]}>
          {`Speed: ${guide}${upToText(plan, units)}`}
        </Text>
      )}
      <Remarks plan={plan} units={units} />
      {plan.silentSchool && (
        <Text as="small" tone="rust">
          {`${SCHOOL_WORDS[plan.silentSchool.code].name} ${NEED_WORDS[plan.silentSchool.needs]}; until then the number comes from “${SCHOOL_WORDS[plan.school!].name}”.`}
        </Text>
      )}
      {counted.length > 0 && (
        <Text as="small" tone="muted">
          {`Counted in: ${counted.map((code) => MODIFIER_WORDS[code].name.toLowerCase()).join(', ')}.`}
        </Text>
      )}
    </View>
  );
}

/** What the pressures allow beside the speed that is needed; nothing where that is the same. */
function upToText({ speedGuideKmh, upToKmh }: GroundPlan, units: Units): string {
  if (!speedGuideKmh || upToKmh === null || upToKmh < speedGuideKmh.high + 3) return '';
  return `; these pressures go up to ${speed(upToKmh, units)}`;
}

/** What keeps today's number from what was proved: its load and speed want more, or a limit allows less. */
function todayText({ provedKpa }: AxlePlan, startKpa: number, units: Units): string | undefined {
  if (provedKpa === null) return undefined;
  const proved = onGauge(provedKpa, units);
  if (Math.abs(proved - startKpa) < gaugeStepKpa(units) / 2) return undefined;
  return startKpa > proved ? 'today’s load and speed want more' : 'today’s limit allows less';
}

/** What decided each number. It stands below the dangers, because a phone has to show those first. */
export function DecidedBy({ plan, units }: Pick<AxleNumbersProps, 'plan' | 'units'>) {
  return decidedTexts(plan, units).map((text) => (
    <Text key={text} as="small">
      {text}
    </Text>
  ));
}

/** Whose the number is, once where all axles have it from the same, with what the school alone would have. */
function decidedTexts({ axles, school }: GroundPlan, units: Units): readonly string[] {
  const by = axles.map((axle) => {
    const alone = school === null ? undefined : aloneText(axle, school, units);
    return `${decidedBy(axle, school)}${alone === undefined ? '' : ` (${alone})`}`;
  });
  return by.every((each) => each === by[0])
    ? [`Decided by: ${by[0]}.`]
    : axles.map(({ position }, index) => `${AXLE_WORDS[position]}, decided by: ${by[index]}.`);
}

/** What belongs beside the numbers, each thing once: of the first axle it holds for, which is named where it is not all. */
export function Remarks({ plan, units }: Pick<AxleNumbersProps, 'plan' | 'units'>) {
  const { kind } = familyOf(plan.family);
  const found = plan.axles.flatMap(({ position, remarks }) => remarks.map((remark) => ({ position, remark })));
  return [...new Set(found.map(({ remark }) => remark.code))].map((code) => {
    const on = found.filter(({ remark }) => remark.code === code);
    const texts = on.map(({ remark }) => remarkText(remark, kind, units));
    const alike = on.length === plan.axles.length && texts.every((text) => text === texts[0]);
    const alarming = isAlarming(on[0]!.remark);
    return (
      <Text key={code} as="small" {...(alarming && { tone: 'rust' as const, role: 'alert' as const })}>
        {`${alike ? '' : `${AXLE_WORDS[on[0]!.position]}: `}${texts[0]}`}
      </Text>
    );
  });
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 6 },
  guide: { borderTopWidth: 1, borderBottomWidth: 1, paddingVertical: 6 },
});
