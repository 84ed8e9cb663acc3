import type { Occasion, ReadingRound } from '@dunlinmoss/contract';
import { riseVerdict, wheelKey } from '@dunlinmoss/core';
import { onGauge, roadGaps } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { conditionsOf, conditionsStore } from '../../settings/conditions';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { saveOuting } from '../../data/outings';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { NumberField } from '../../components/NumberField';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { quantityText } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { wheelName } from '../../words/air';
import { parseNumber } from '../../settings/typedNumber';
import { pressure, pressureFine } from '../../words/format';
import { AirQuestion } from './AirQuestion';
import { GaugePick, useGaugeInHand } from './GaugePick';
import { gaugeRangeProblem } from './gaugeRange';
import { useWheelReadings } from './readings';
import type { AirJob } from '../../hooks/useAirJob';

/** Before pavement: what is missing, how fast till then, and whether the cold figure was right. */
export const RoadScreen = () => (
  <AirQuestion title="Road check">
    {(job, choice) => <RoadCheck key={job.rig.id} job={job} choice={choice} />}
  </AirQuestion>
);

function RoadCheck({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const router = useRouter();
  const { rig, outing, units, family } = job;
  const { gaps, unread, limpKmh } = roadGaps(job);
  const road = family.kind === 'farm' ? 'the road' : 'pavement';
  const ready = gaps.length === 0 && unread.length === 0;
  const close = async (): Promise<void> => {
    if (outing) {
      const saved = await saveOuting(outing, { state: 'closed' });
      if (saved.kind === 'refused') return notify(saved.problem.title);
      notify('All wheels back at road pressure. The outing is in the Book.');
    }
    router.navigate('/');
  };
  return (
    <Page
      title="Road check"
      action={
        ready ? (
          <Action
            kind="main"
            label={outing ? 'Ready for the road: close the outing' : 'Ready for the road'}
            onPress={() => void close()}
          />
        ) : (
          <Action
            kind="main"
            label="Put the air back"
            onPress={() => router.navigate({ pathname: '/air/in', params: { rig: rig.id } })}
          />
        )
      }
      result={<HourLater job={job} />}
    >
      {choice}
      {ready ? (
        <Panel title={`Ready for ${road}`}>
          <Text>Every wheel has its road pressure for this load, as far as it was read.</Text>
          <Text as="small" tone="muted">
            Look once round: caps on, no hiss, no bulge. Sidewall, placard, local law and a qualified tire fitter
            overrule this.
          </Text>
        </Panel>
      ) : (
        <Panel title={`Not ready for ${road}`}>
          {gaps.map((gap) => (
            <View key={wheelKey(gap)} style={styles.row}>
              <Text style={styles.name}>{wheelName(gap)}</Text>
              <Text as="figure">{`${pressure(gap.nowKpa, units)} → ${pressure(gap.roadKpa, units)}`}</Text>
            </View>
          ))}
          {unread.map((wheel) => (
            <Text key={wheelKey(wheel)}>{`${wheelName(wheel)}: nobody read it.`}</Text>
          ))}
          <Text role="alert" tone="rust" as="strong">
            {limpKmh === null
              ? 'Soft tires overheat and fail on the road.'
              : `If it can’t be helped: ${limpKmh} km/h at the most, straight and short, to the next air.`}
          </Text>
          <Text as="small" tone="muted">
            Soft tires at speed overheat and fail, and can leave the rim in a sharp turn. The speed is the trade’s for
            the softest wheel, carried over to this load and size; there is no safe distance in it.
          </Text>
        </Panel>
      )}
    </Page>
  );
}

/** After an hour on the road: the rise tells whether the cold figure was right. */
function HourLater({ job }: { readonly job: AirJob }) {
  const { rig, outing, units, wheels, rounds, gauges } = job;
  const inHand = useGaugeInHand(gauges);
  const typed = conditionsStore.use();
  const conditions = conditionsOf({ ...typed, tire: typed.tire || typed.cold });
  const cold = rounds.find(({ occasion }) => occasion === 'coldStart');
  const [air, setAir] = useState('');
  const airTempC = air.trim() === '' ? (cold?.airTempC ?? conditions?.coldTempC ?? 20) : parseNumber(air);
  const startOf = (wheel: (typeof wheels)[number]): number =>
    cold?.wheels.find((each) => wheelKey(each) === wheelKey(wheel))?.shownKpa ?? wheel.axle.roadKpa ?? 100;
  const readings = useWheelReadings(`hour:${rig.id}:${cold?.id ?? 'none'}`, (place) =>
    quantityText(
      'pressure',
      units.pressure,
      onGauge(startOf(wheels.find((each) => wheelKey(each) === wheelKey(place))!), units),
    ),
  );
  const keep = async (occasion: Occasion): Promise<void> => {
    const round: ReadingRound = {
      id: newId(),
      revision: 0,
      rigId: rig.id,
      outingId: outing?.id ?? null,
      readAt: new Date().toISOString(),
      occasion,
      gauge: inHand.used,
      airTempC: airTempC ?? null,
      // Cold tires are as warm as the air; how warm hot ones are nobody measured.
      tireTempC: occasion === 'coldStart' ? (airTempC ?? null) : null,
      altitudeM: conditions?.altitudeM ?? 0,
      wheels: wheels.map(({ position, wheel }) => ({
        position,
        wheel,
        shownKpa: readings.kpaOf({ position, wheel }) ?? 0,
      })),
    };
    const saved = await save('readings', round);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    readings.clear();
    notify(occasion === 'coldStart' ? 'Kept. Read them again after an hour on the road.' : 'Kept.');
  };
  const wrong =
    airTempC === undefined || wheels.some((wheel) => gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units));
  return (
    <Unfold
      label="Was the cold figure right?"
      value={cold ? 'Read them after an hour on the road' : 'Read them cold before you go'}
    >
      <Text as="small">
        After an hour on the road a rise of more than about 4 psi says too low for load and speed; much less says firm
        enough. Common practice.
      </Text>
      {wheels.map((wheel) => {
        const kpa = readings.kpaOf(wheel);
        const verdict =
          cold && kpa !== undefined && airTempC !== undefined && readings.typedAny
            ? riseVerdict(startOf(wheel), kpa, cold.airTempC ?? 20, airTempC, cold.altitudeM)
            : undefined;
        return (
          <View key={wheelKey(wheel)}>
            <QuantityField
              label={wheelName(wheel)}
              spokenLabel={`${wheelName(wheel)} reads ${cold ? 'now' : 'cold'}`}
              quantity="pressure"
              value={readings.textOf(wheel)}
              onChange={(value) => readings.type(wheel, value)}
              stepsFrom={wheel.axle.roadKpa ?? 100}
              problem={gaugeRangeProblem(kpa, inHand.gauge, units)}
              hint={
                verdict &&
                `Rose ${pressureFine(verdict.riseKpa, units)} beyond the day’s own warmth: ${RISE_WORDS[verdict.verdict]}.`
              }
            />
          </View>
        );
      })}
      <GaugePick gauges={gauges} />
      <NumberField
        label="Air now"
        unit="°C"
        value={air}
        onChange={setAir}
        problem={airTempC === undefined ? 'Expected a temperature.' : undefined}
        hint={`Without it ${cold?.airTempC ?? conditions?.coldTempC ?? 20} °C is taken.`}
      />
      <Action
        label={cold ? 'Keep these, after an hour' : 'Keep these, cold'}
        disabled={wrong}
        onPress={() => void keep(cold ? 'afterAnHour' : 'coldStart')}
      />
      {cold && <Action label="Begin anew, cold" disabled={wrong} onPress={() => void keep('coldStart')} />}
    </Unfold>
  );
}

const RISE_WORDS = {
  tooLow: 'too low for load and speed, start firmer next time, and slow down now',
  right: 'about right',
  firm: 'firm enough, it could start a little softer',
} as const;

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 34 },
  name: { flex: 1 },
});
