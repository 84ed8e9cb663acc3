import { correctedKpa, gaugeNowKpa, sameWheel, wheelKey } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { readDraft, writeDraft } from '../../data/drafts';
import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { canonicalOf, quantityText, type QuantityText } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { Staff } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { duration, wheelName } from '../../words/air';
import { pressure, pressureNumber, timeOfDay } from '../../words/format';
import { gaugeRangeProblem } from './gaugeRange';
import { WheelActions, type WheelNowProps } from './WheelActions';
import { staffOf } from './wheelStaff';
import { leftText } from './WheelList';

/** Waits longer than this have a time of day, s. */
const UNTIL_S = 300;

/** The wheel one stands at: what it has, what it is to have, and the one button that comes next. */
export function WheelNow(props: WheelNowProps) {
  const { airing, progress, prediction, job, now, shows } = props;
  const palette = usePalette();
  const { units, gauges } = job;
  const { wheel, state, running, readKpa } = progress;
  const offsetKpa = airing.gauge?.offsetKpa ?? 0;
  const out = airing.way === 'out';
  const seconds = running ? now / 1000 - running.startedS : 0;
  const expectedKpa = running
    ? prediction.expectedKpa(wheel, running.beforeKpa, wheel.targetKpa, Math.max(0, seconds))
    : undefined;
  const wholeS = running ? prediction.seconds(wheel, running.beforeKpa, wheel.targetKpa) : undefined;

  const place = job.wheels.find((each) => sameWheel(each, wheel));
  const maximumKpa = place?.axle.maxKpa ?? null;
  const guess = (): number => {
    if (state === 'toRead') {
      const last = progress.runs.at(-1)!;
      const ran = (last.endedS ?? last.startedS) - last.startedS;
      return prediction.expectedKpa(wheel, last.beforeKpa, wheel.targetKpa, ran);
    }
    const known = place && job.known(place);
    return readKpa ?? (known ? gaugeNowKpa(known.coldKpa, airing) : wheel.targetKpa);
  };
  const draft = `airing:${airing.id}:${wheelKey(wheel)}:${progress.runs.length}:${state}`;
  const [typed, setTyped] = useState<QuantityText>(
    () =>
      readDraft<QuantityText>(draft) ?? quantityText('pressure', units.pressure, onGauge(guess(), units) + offsetKpa),
  );
  const type = (value: QuantityText): void => {
    setTyped(value);
    writeDraft(draft, value);
  };
  const shownKpa = canonicalOf('pressure', typed);
  const gauge = gauges.find(({ id }) => id === airing.gauge?.gaugeId);
  const problem = gaugeRangeProblem(shownKpa, gauge, units);
  const trueKpa = shownKpa === undefined ? undefined : correctedKpa(shownKpa, offsetKpa);
  const rose =
    state === 'toRead' &&
    trueKpa !== undefined &&
    (out ? trueKpa >= progress.runs.at(-1)!.beforeKpa : trueKpa <= progress.runs.at(-1)!.beforeKpa);

  const showGauge = async (): Promise<void> => {
    const told = await shows.gauge(wheel);
    if (told) type(quantityText('pressure', units.pressure, told.pressureKpa + offsetKpa));
  };

  const field = (
    <QuantityField
      label={state === 'toRead' ? 'Reads now' : 'Reads before'}
      spokenLabel={`${wheelName(wheel)} reads`}
      quantity="pressure"
      value={typed}
      onChange={type}
      stepsFrom={wheel.targetKpa}
      problem={
        problem ??
        (rose
          ? out
            ? 'More than before, though air was let out. Read it again; kept like this it is not counted.'
            : 'Less than before, though air went in. Read it again; kept like this it is not counted.'
          : maximumKpa !== null && trueKpa !== undefined && trueKpa > maximumKpa + 1e-6
            ? `Above the sidewall’s ${pressure(maximumKpa, units)}: let air out before anything else.`
            : undefined)
      }
      hint={
        offsetKpa !== 0
          ? `${gauge?.name ?? 'This gauge'} reads ${pressure(Math.abs(offsetKpa), units)} ${offsetKpa > 0 ? 'high' : 'low'}: type what it shows.`
          : undefined
      }
    />
  );
  const readGauge = shows.on && <Action label="Press the simulated gauge on" onPress={() => void showGauge()} />;

  const number = running ? expectedKpa! : state === 'waiting' || state === 'toRead' ? guess() : (readKpa ?? guess());
  return (
    <Panel title={wheelName(wheel)}>
      <View style={styles.columns}>
        <View style={styles.numbers}>
          <Text as="label" tone="muted">
            {running ? 'About now' : state === 'toRead' ? 'Should read' : 'Now'}
          </Text>
          <View style={styles.numeral}>
            <Text as="numeral" aria-live="off">
              {pressureNumber(number, units)}
            </Text>
            <Text as="strong">{units.pressure}</Text>
          </View>
          <Text as="label" tone="muted">
            {airing.tireTempC === airing.coldTempC ? 'To' : 'To, as warm as they are'}
          </Text>
          <View style={styles.numeral}>
            <Text as="numeral">{pressureNumber(wheel.targetKpa, units)}</Text>
            <Text as="strong">{units.pressure}</Text>
          </View>
          {running && (
            <>
              <Text as="heading" tone={wholeS! - seconds <= 0 ? 'rust' : 'ink'}>
                {leftText(wholeS! - seconds)}
              </Text>
              <Text as="small" tone="muted">
                {`of ${duration(wholeS!)}${wholeS! > UNTIL_S ? `, until ${timeOfDay((running.startedS + wholeS!) * 1000)}` : ''}`}
              </Text>
            </>
          )}
        </View>
        <View style={styles.staff}>
          <Staff
            still={running !== undefined}
            axles={[staffOf(job, airing, progress, number)]}
            units={units}
            palette={palette}
          />
        </View>
      </View>
      <WheelActions
        {...props}
        field={field}
        readGauge={readGauge}
        shownKpa={problem === undefined ? shownKpa : undefined}
        trueKpa={trueKpa}
      />
    </Panel>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: 8 },
  numbers: { flex: 1, gap: 1 },
  staff: { width: 176 },
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 5 },
});
