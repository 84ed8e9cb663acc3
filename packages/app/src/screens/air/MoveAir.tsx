import { hoseJoin, moveAir, wheelKey } from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../components/quantityText';
import { Choice } from '../../components/Choice';
import { NumberField } from '../../components/NumberField';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { levelText, wheelName } from '../../words/air';
import { parseNumber } from '../../settings/typedNumber';
import { pressure } from '../../words/format';
import type { AirJob } from '../../hooks/useAirJob';

const SPARE = 'spare';

interface MoveAirProps {
  readonly job: AirJob;
  readonly kpaOf: (wheel: AirJob['wheels'][number]) => number | undefined;
}

/** Two hoses' worth of chucks and no pump: from the others, and the spare, into the soft one. */
export function MoveAir({ job, kpaOf }: MoveAirProps) {
  const { wheels, units, outsideKpaAbs } = job;
  const softest = wheels.reduce((least, wheel) => ((kpaOf(wheel) ?? 1e9) < (kpaOf(least) ?? 1e9) ? wheel : least));
  const [softKey, setSoftKey] = useState<string>();
  const soft = wheels.find((wheel) => wheelKey(wheel) === softKey) ?? softest;
  const [target, setTarget] = useState<QuantityText>();
  const targetKpa =
    target === undefined ? (job.planned(soft)?.startKpa ?? soft.axle.roadKpa ?? 100) : canonicalOf('pressure', target);
  const [withSpare, setWithSpare] = useState(true);
  const [spareText, setSpareText] = useState(EMPTY_QUANTITY);
  const spareKpa = canonicalOf('pressure', spareText);
  const [keep, setKeep] = useState('90');
  const keepShare = (parseNumber(keep) ?? 90) / 100;
  const softKpa = kpaOf(soft);
  if (softKpa === undefined || targetKpa === undefined) return null;

  const others = wheels
    .filter((wheel) => wheelKey(wheel) !== wheelKey(soft))
    .map((wheel) => ({ code: wheelName(wheel), volumeL: wheel.volumeL, pressureKpa: kpaOf(wheel) ?? 0 }))
    .map((donor) => ({ ...donor, keepKpa: donor.pressureKpa * keepShare }));
  const spare =
    withSpare && spareKpa !== undefined
      ? [{ code: SPARE, volumeL: soft.volumeL, pressureKpa: spareKpa, keepKpa: 0 }]
      : [];
  const { transfers, reachedKpa, reached } = moveAir(
    { volumeL: soft.volumeL, pressureKpa: softKpa },
    [...others, ...spare],
    targetKpa,
  );
  return (
    <Panel title="From one tire to another">
      <Text as="small" tone="muted">
        A hose with a chuck at each end moves air without a pump: into the soft tire, from those that can spare it.
      </Text>
      <Choice
        label="Into"
        value={wheelKey(soft)}
        options={wheels.map((wheel) => ({ code: wheelKey(wheel), name: wheelName(wheel) }))}
        onChange={setSoftKey}
      />
      <QuantityField
        label="To reach"
        quantity="pressure"
        value={target ?? quantityText('pressure', units.pressure, targetKpa)}
        onChange={setTarget}
        stepsFrom={targetKpa}
        problem={targetKpa > 2000 ? 'Expected a pressure that a tire can have.' : undefined}
      />
      <Toggle label="The spare helps" value={withSpare} onChange={setWithSpare} />
      {withSpare && (
        <QuantityField
          label="Spare reads"
          quantity="pressure"
          value={spareText}
          onChange={setSpareText}
          stepsFrom={240}
        />
      )}
      <NumberField
        label="The others keep at least"
        unit="%"
        value={keep}
        onChange={setKeep}
        problem={keepShare >= 0 && keepShare <= 1 ? undefined : 'Expected 0 to 100 %.'}
      />
      {transfers.length === 0 ? (
        <Text>{softKpa >= targetKpa ? 'It has that already.' : 'No other tire is firm enough to help.'}</Text>
      ) : (
        transfers.map((each, index) => (
          <View key={each.code} style={styles.step}>
            <Text as="strong">{`${index + 1}. ${each.code === SPARE ? 'The spare' : each.code}`}</Text>
            <Text as="small">
              {`${pressure(each.donorBeforeKpa, units)} → ${pressure(each.donorAfterKpa, units)}; the soft one ${pressure(each.softBeforeKpa, units)} → ${pressure(each.softAfterKpa, units)}. ${
                each.closedEarly
                  ? 'Close it there, before they are level.'
                  : levelText(
                      hoseJoin(
                        { volumeL: soft.volumeL, pressureKpa: each.softBeforeKpa },
                        { volumeL: soft.volumeL, pressureKpa: each.donorBeforeKpa },
                        outsideKpaAbs,
                        gaugeStepKpa(units),
                      ).seconds,
                    )
              }`}
            </Text>
          </View>
        ))
      )}
      {softKpa < targetKpa && (
        <Text as="strong">
          {reached
            ? `${transfers.length === 1 ? 'One joining' : `${transfers.length} joinings`}, and it has ${pressure(reachedKpa, units)}.`
            : `It comes to ${pressure(reachedKpa, units)}, not to ${pressure(targetKpa, units)}.`}
        </Text>
      )}
      <Text as="small" tone="muted">
        By the volumes from the sizes, equally warm. Never out of a tire that ran flat, or into one.
      </Text>
    </Panel>
  );
}

const styles = StyleSheet.create({
  step: { gap: 1 },
});
