import type { Occasion, ReadingRound } from '@dunlinmoss/contract';
import { riseVerdict, wheelKey } from '@dunlinmoss/core';
import { useState } from 'react';
import { View } from 'react-native';

import { useConditions } from '../../hooks/useConditions';
import { conditionsOf } from '../../settings/conditions';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { NumberField } from '../../components/NumberField';
import { QuantityField } from '../../components/QuantityField';
import { EMPTY_QUANTITY } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { wheelName } from '../../words/air';
import { parseNumber } from '../../settings/typedNumber';
import { pressureFine } from '../../words/format';
import { GaugePick, useGaugeInHand } from './GaugePick';
import { gaugeRangeProblem } from './gaugeRange';
import { useWheelReadings } from './readings';
import type { AirJob } from '../../hooks/useAirJob';

/** After an hour on the road: the rise tells whether the cold figure was right. */
export function HourLater({ job }: { readonly job: AirJob }) {
  const { rig, outing, units, wheels, rounds, gauges } = job;
  const inHand = useGaugeInHand(rig.id, gauges);
  const { typed } = useConditions(rig.id);
  const conditions = conditionsOf({ ...typed, tire: typed.tire || typed.cold });
  const cold = rounds.find(({ occasion }) => occasion === 'coldStart');
  const [air, setAir] = useState('');
  const airTempC = air.trim() === '' ? (cold?.airTempC ?? conditions?.coldTempC ?? 20) : parseNumber(air);
  const startOf = (wheel: (typeof wheels)[number]): number =>
    cold?.wheels.find((each) => wheelKey(each) === wheelKey(wheel))?.shownKpa ?? wheel.axle.roadKpa ?? 100;
  // Nothing is filled in, so that nothing is kept that nobody read.
  const readings = useWheelReadings(`hour:${rig.id}:${cold?.id ?? 'none'}`, () => EMPTY_QUANTITY);
  const read = wheels.filter((wheel) => readings.textOf(wheel).text.trim() !== '');
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
      // Their pressure is held against the cold one for its rise: hot is what they are.
      justDriven: occasion === 'afterAnHour',
      wheels: read.map(({ position, wheel }) => ({
        position,
        wheel,
        shownKpa: readings.kpaOf({ position, wheel })!,
      })),
    };
    const saved = await save('readings', round);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    readings.clear();
    notify(occasion === 'coldStart' ? 'Kept. Read them again after an hour on the road.' : 'Kept.');
  };
  const wrong =
    airTempC === undefined ||
    read.length === 0 ||
    read.some((wheel) => gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units));
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
          cold && kpa !== undefined && airTempC !== undefined
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
              stepsFrom={startOf(wheel)}
              problem={read.includes(wheel) ? gaugeRangeProblem(kpa, inHand.gauge, units) : undefined}
              hint={
                verdict &&
                `Rose ${pressureFine(verdict.riseKpa, units)} beyond the day’s own warmth: ${RISE_WORDS[verdict.verdict]}.`
              }
            />
          </View>
        );
      })}
      <GaugePick rigId={rig.id} gauges={gauges} />
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
