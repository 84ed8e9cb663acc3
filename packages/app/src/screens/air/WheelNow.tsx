import type { Airing, AiringWheel } from '@dunlinmoss/contract';
import { correctedKpa, gaugeNowKpa, sameWheel, wheelKey } from '@dunlinmoss/core';
import { gaugeStepKpa, onGauge, type Prediction, type WheelProgress } from '@dunlinmoss/domain';
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
import { duration, timeOfDay, wheelName } from '../../words/air';
import { pressure, pressureNumber } from '../../words/format';
import { gaugeRangeProblem } from './gaugeRange';
import type { AirJob } from '../../hooks/useAirJob';
import type { Shows } from './useSimulatedGauge';
import { leftText } from './WheelList';

interface WheelNowProps {
  readonly airing: Airing;
  readonly progress: WheelProgress;
  readonly prediction: Prediction;
  readonly job: AirJob;
  /** Epoch, ms. */
  readonly now: number;
  readonly shows: Shows;
  /** The wheels that go together with this one; none for a tool on one wheel. */
  readonly group: readonly WheelProgress[];
  readonly onStart: (starts: readonly { readonly wheel: AiringWheel; readonly beforeKpa: number }[]) => void;
  readonly onStop: () => void;
  readonly onRead: (afterKpa: number) => void;
  /** Read once more, after it was put right by hand. */
  readonly onReadAlone: (afterKpa: number) => void;
  /** Nothing to do here: it reads so much, and stays. */
  readonly onAccept: (readsKpa: number) => void;
  readonly onSettle: (settled: 'accepted' | 'skipped') => void;
}

/** Waits longer than this have a time of day, s. */
const UNTIL_S = 300;

/** The wheel one stands at: what it has, what it is to have, and the one button that comes next. */
export function WheelNow(props: WheelNowProps) {
  const {
    airing,
    progress,
    prediction,
    job,
    now,
    shows,
    group,
    onStart,
    onStop,
    onRead,
    onReadAlone,
    onAccept,
    onSettle,
  } = props;
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
  // Out of a wheel that is down already, or into one that is up, there is nothing to start.
  const past = trueKpa !== undefined && (out ? trueKpa <= wheel.targetKpa + 1e-6 : trueKpa >= wheel.targetKpa - 1e-6);
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
  // Hoses join the wheels they are on: what is read on one is in all of them.
  const starts = (group.length > 0 ? group : [progress]).map((each) => ({ wheel: each.wheel, beforeKpa: shownKpa! }));
  const verb = out ? 'Let out' : 'Pump';

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
      {state === 'running' ? (
        <>
          <Action kind="main" label={group.length > 0 ? 'Stop all' : 'Stop'} onPress={onStop} />
          <Action label="Leave it out" onPress={() => onSettle('skipped')} />
        </>
      ) : state === 'toRead' ? (
        <>
          {field}
          {readGauge}
          <Action
            kind="main"
            label="Keep this reading"
            disabled={shownKpa === undefined || problem !== undefined}
            onPress={() => onRead(shownKpa!)}
          />
        </>
      ) : state === 'overshot' ? (
        <>
          <Text>
            {out
              ? `It is past it, by ${pressure(wheel.targetKpa - readKpa!, units)}. Put a little back, or leave it if it is above the floor.`
              : `It is past it, by ${pressure(readKpa! - wheel.targetKpa, units)}. Let a little out, or leave it if it is below the sidewall maximum.`}
          </Text>
          {field}
          {readGauge}
          <Action
            label="Corrected: keep this reading"
            disabled={shownKpa === undefined || problem !== undefined}
            onPress={() => onReadAlone(shownKpa!)}
          />
          <Action kind="main" label="Well as it is" onPress={() => onSettle('accepted')} />
        </>
      ) : state === 'done' || state === 'skipped' ? (
        <>
          <Text>
            {state === 'done'
              ? 'On its number. To do it again, read it first.'
              : 'Left out. To do it after all, read it first.'}
          </Text>
          {field}
          {readGauge}
          <Action
            label={`${verb} from there`}
            disabled={shownKpa === undefined || problem !== undefined || past}
            onPress={() => onStart([{ wheel, beforeKpa: shownKpa! }])}
          />
        </>
      ) : (
        <>
          {field}
          {readGauge}
          {past && Math.abs(trueKpa - wheel.targetKpa) > gaugeStepKpa(units) / 2 + 1e-6 && (
            <Text>
              {out
                ? `It has ${pressure(wheel.targetKpa - trueKpa, units)} less than that already: pump it up, or leave it if it is above the floor.`
                : `It has ${pressure(trueKpa - wheel.targetKpa, units)} more than that already: let some out while it is cold, or leave it.`}
            </Text>
          )}
          {past ? (
            <Action
              kind="main"
              label={
                Math.abs(trueKpa - wheel.targetKpa) > gaugeStepKpa(units) / 2 + 1e-6
                  ? 'Leave it as it is: next wheel'
                  : 'There already: next wheel'
              }
              onPress={() => onAccept(shownKpa!)}
            />
          ) : (
            <Action
              kind="main"
              label={group.length > 1 ? `Start all ${group.length}` : 'Start'}
              disabled={shownKpa === undefined || problem !== undefined}
              onPress={() => onStart(starts)}
            />
          )}
          <Action label="Leave this wheel out" onPress={() => onSettle('skipped')} />
        </>
      )}
    </Panel>
  );
}

/** The wheel on the staff, all of it as the gauge reads now. */
function staffOf(job: AirJob, airing: Airing, { wheel }: WheelProgress, levelKpa: number) {
  const place = job.wheels.find((each) => sameWheel(each, wheel));
  const planned = place && job.planned(place);
  const warm = (kpa: number): number => gaugeNowKpa(kpa, airing);
  const road = place?.axle.roadKpa;
  const roadKpa = road ? warm(road) : null;
  return airing.way === 'out' && planned
    ? {
        name: 'now',
        startKpa: levelKpa,
        lowKpa: warm(planned.lowKpa),
        highKpa: warm(planned.highKpa),
        floorKpa: warm(planned.floorKpa),
        roadKpa,
      }
    : {
        name: 'now',
        startKpa: levelKpa,
        lowKpa: wheel.targetKpa,
        highKpa: wheel.targetKpa,
        floorKpa: planned ? warm(planned.floorKpa) : 0,
        roadKpa,
      };
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: 8 },
  numbers: { flex: 1, gap: 1 },
  staff: { width: 176 },
  numeral: { flexDirection: 'row', alignItems: 'baseline', gap: 5 },
});
