import type { Compromise, OnePressure } from '@dunlinmoss/core';
import { axleOnGauge, type DayLeg, onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../settings/preferences';
import { Numerals } from '../../components/Numerals';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { groundName } from '../../words/grounds';
import { heldAtText, legText, stopsText } from '../../words/oneDay';
import type { PlanQuery } from '../../hooks/usePlanQuery';

interface DayResultProps {
  readonly day: Compromise;
  readonly legs: readonly DayLeg[];
  readonly minutes: number | undefined;
  readonly question: PlanQuery;
}

export function DayResult({ day, legs, minutes, question }: DayResultProps) {
  const { units, family } = question;
  const possible = day.axles.every(({ pressureKpa }) => pressureKpa !== null);
  return (
    <>
      <Panel title="One pressure all day">
        {possible ? (
          <Numerals
            units={units}
            axles={day.axles.map(({ position, pressureKpa, lowest }) => ({
              position,
              // Never rounded below the floor that holds it.
              pressureKpa: Math.max(onGauge(pressureKpa!, units), onGauge(lowest.pressureKpa, units, 'up')),
            }))}
          />
        ) : (
          <Text role="alert" tone="rust">
            There is none: what one part must not go below is more than another may have. Stop to change.
          </Text>
        )}
        {reasons(day.axles, legs, units).map((reason) => (
          <Text key={reason} as="small" tone="muted">
            {reason}
          </Text>
        ))}
      </Panel>
      <Panel title={possible ? 'What it costs on each' : 'What each asks for'}>
        {day.legs.map((leg, index) => (
          <View key={index} style={styles.leg}>
            <Text as="strong">{`${index + 1}. ${groundName(legs[index]!.ground)}`}</Text>
            {leg.axles.map((axle, at) => (
              <Text key={axle.position} as="small">
                {`${AXLE_WORDS[axle.position]}: ${legText(axle, axleOnGauge(leg.plan.axles[at]!, units).startKpa, units)}`}
              </Text>
            ))}
          </View>
        ))}
      </Panel>
      <Panel title="Or two, and stop to change">
        <Text>{stopsText(day.changes, minutes, family.kind)}</Text>
      </Panel>
    </>
  );
}

/** What holds the one pressure up, said once where all axles are held by the same. */
function reasons(axles: readonly OnePressure[], legs: readonly DayLeg[], units: Units): string[] {
  return [
    ...new Set(
      axles
        .filter(({ held }) => held)
        .map(({ position, lowest, highest, pressureKpa }) =>
          heldAtText(
            AXLE_WORDS[position],
            { ...lowest, ground: legs[lowest.leg]!.ground },
            pressureKpa === null && highest ? { ...highest, ground: legs[highest.leg]!.ground } : null,
            units,
          ),
        ),
    ),
  ];
}

const styles = StyleSheet.create({
  leg: { gap: 1 },
});
