import { familyOf, type AxlePlan, type GroundPlan } from '@dunlinmoss/core';
import { axleOnGauge, gaugeStepKpa, onGauge, type ProvedAxle } from '@dunlinmoss/domain';
import { StyleSheet } from 'react-native';

import { Text } from '../../components/Text';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { speedGuide } from '../../words/cautions';
import { COMPARED_WITH } from '../../words/families';
import { pressure, speed } from '../../words/format';
import { aloneText, decidedBy, floorText, NEED_WORDS } from '../../words/limits';
import { provedText } from '../../words/learned';
import { MODIFIER_WORDS } from '../../words/modifiers';
import { isAlarming, remarkText } from '../../words/remarks';
import { SCHOOL_WORDS } from '../../words/schools';
import { NumberBox, type NumberOfAxle } from './NumberBox';

interface AxleNumbersProps {
  readonly plan: GroundPlan;
  readonly units: Units;
  /** What the numbers come from where they were proved. */
  readonly proved?: readonly ProvedAxle[];
}

/** For each axle what to set, what to try, how low; the speed; whatever is wrong. The reasons stand under "Why". */
export function AxleNumbers({ plan, units, proved = [] }: AxleNumbersProps) {
  const palette = usePalette();
  const guide = speedGuide(plan, units);
  const sources = new Set(plan.axles.map((axle) => decidedBy(axle, plan.school)));
  return (
    <NumberBox
      isRoad={plan.school === null}
      roadName={COMPARED_WITH[familyOf(plan.family).kind]}
      units={units}
      axles={numbersOf(plan, units).map((axle, index) => {
        const proof = proved.find(({ position }) => position === axle.position)?.next;
        const today = todayText(plan.axles[index]!, axle.startKpa, units);
        return {
          ...axle,
          note: (
            <>
              {proof && <Text as="label">{provedText(proof, units)}</Text>}
              {plan.axles[index]!.provedKpa !== null && <Text as="small">{ruleText(plan.axles[index]!, units)}</Text>}
              {today !== undefined && (
                <Text as="small" tone="rust">
                  {today}
                </Text>
              )}
            </>
          ),
        };
      })}
    >
      {guide !== undefined && (
        <Text as="strong" style={[styles.guide, { borderColor: palette.line }]}>{`Speed: ${guide}`}</Text>
      )}
      {sources.size === 1 && <Text as="small">{`Decided by: ${[...sources][0]}.`}</Text>}
      <Remarks plan={plan} units={units} alarming />
    </NumberBox>
  );
}

/** Ceilings that nobody goes past by letting air out, or that belong to what is still missing. */
const UNSPOKEN: readonly string[] = ['placard', 'belowRoad', 'unreadSidewall'];

/** The numbers of a plan as a gauge can show them. */
export const numbersOf = ({ axles }: GroundPlan, units: Units): NumberOfAxle[] =>
  axles.map((axle) => {
    const { startKpa, lowKpa, highKpa, floorKpa, roadKpa, ceilingKpa } = axleOnGauge(axle, units);
    const spoken = axle.ceiling !== null && !UNSPOKEN.includes(axle.ceiling.code);
    const mostKpa = spoken ? ceilingKpa : null;
    return { position: axle.position, startKpa, lowKpa, highKpa, floorKpa, roadKpa, mostKpa };
  });

/** What keeps today's number from what was proved: its load and speed want more, or a limit allows less. */
function todayText({ provedKpa }: AxlePlan, startKpa: number, units: Units): string | undefined {
  if (provedKpa === null) return undefined;
  const proved = onGauge(provedKpa, units);
  if (Math.abs(proved - startKpa) < gaugeStepKpa(units) / 2) return undefined;
  return startKpa > proved ? 'today’s load and speed want more' : 'today’s limit allows less';
}

/** The number of the rule, beside one that was proved. */
const ruleText = (axle: AxlePlan, units: Units): string =>
  `by the rule ${pressure(axleOnGauge({ ...axle, startKpa: axle.ruleKpa }, units).startKpa, units)}`;

interface ReasonsProps {
  readonly plan: GroundPlan;
  readonly units: Units;
  /** Positions of axles whose beads are held. */
  readonly beadHeld: ReadonlySet<string>;
}

/** Why the numbers are what they are: where each comes from, what floor it has, what was counted in. */
export function Reasons({ plan, units, beadHeld }: ReasonsProps) {
  const counted = [...new Set(plan.axles.flatMap(({ modifiers }) => modifiers))];
  const upTo = upToText(plan, units);
  return (
    <>
      {plan.axles.map((axle) => (
        <Text key={axle.position} as="small">
          {`${AXLE_WORDS[axle.position]}: decided by ${sourceText(axle, plan, units)}.${plan.school === null ? '' : ` The floor: ${floorText(axle, beadHeld.has(axle.position))}.`}`}
        </Text>
      ))}
      {upTo !== undefined && <Text as="small">{upTo}</Text>}
      {plan.silentSchool && (
        <Text as="small" tone="rust">
          {`${SCHOOL_WORDS[plan.silentSchool.code].name} ${NEED_WORDS[plan.silentSchool.needs]}; until then the number comes from “${SCHOOL_WORDS[plan.school!].name}”.`}
        </Text>
      )}
      {counted.length > 0 && (
        <Text as="small">
          {`Counted in: ${counted.map((code) => MODIFIER_WORDS[code].name.toLowerCase()).join(', ')}.`}
        </Text>
      )}
      <Remarks plan={plan} units={units} alarming={false} />
    </>
  );
}

/** What decided the number of an axle, and what its method alone would have. */
function sourceText(axle: AxlePlan, { school }: GroundPlan, units: Units): string {
  const alone = school === null ? undefined : aloneText(axle, school, units);
  return `${decidedBy(axle, school)}${alone === undefined ? '' : ` (${alone})`}`;
}

/** What the pressures allow beside the speed that is needed; nothing where that is the same. */
function upToText({ speedGuideKmh, upToKmh }: GroundPlan, units: Units): string | undefined {
  if (!speedGuideKmh || upToKmh === null || upToKmh < speedGuideKmh.high + 3) return undefined;
  return `These pressures carry the load up to ${speed(upToKmh, units)}.`;
}

interface RemarksProps {
  readonly plan: GroundPlan;
  readonly units: Units;
  /** Those that say that something is wrong, or those that explain. */
  readonly alarming: boolean;
}

/** What belongs beside the numbers, each thing once: of the first axle it holds for, which is named where it is not all. */
export function Remarks({ plan, units, alarming }: RemarksProps) {
  const { kind } = familyOf(plan.family);
  const found = plan.axles
    .flatMap(({ position, remarks }) => remarks.map((remark) => ({ position, remark })))
    .filter(({ remark }) => isAlarming(remark) === alarming);
  return [...new Set(found.map(({ remark }) => remark.code))].map((code) => {
    const on = found.filter(({ remark }) => remark.code === code);
    const texts = on.map(({ remark }) => remarkText(remark, kind, units));
    const alike = on.length === plan.axles.length && texts.every((text) => text === texts[0]);
    return (
      <Text key={code} as="small" {...(alarming && { tone: 'rust' as const, role: 'alert' as const })}>
        {`${alike ? '' : `${AXLE_WORDS[on[0]!.position]}: `}${texts[0]}`}
      </Text>
    );
  });
}

const styles = StyleSheet.create({
  guide: { borderTopWidth: 1, paddingTop: 6 },
});
