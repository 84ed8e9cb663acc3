import type { Occasion, ReadingRound } from '@dunlinmoss/contract';
import { correctedKpa, WARM_FOR_MIN, warmAdvice, wheelKey } from '@dunlinmoss/core';
import { likelyDriven, onGauge, type RigWheel } from '@dunlinmoss/domain';
import { useState } from 'react';

import { useNow } from '../../data/clock';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { QuantityField } from '../../components/QuantityField';
import { EMPTY_QUANTITY } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import type { AirJob } from '../../hooks/useAirJob';
import { useConditions } from '../../hooks/useConditions';
import { conditionsOf } from '../../settings/conditions';
import { wheelName } from '../../words/air';
import { pressure } from '../../words/format';
import { warmText } from '../../words/warm';
import { knownText } from '../../words/wheelState';
import { GaugeConditions } from './GaugeConditions';
import { GaugePick, useGaugeInHand } from './GaugePick';
import { gaugeRangeProblem } from './gaugeRange';
import { useWheelReadings } from './readings';

interface RoundFieldsProps {
  readonly job: AirJob;
  readonly occasion: Occasion;
  readonly button: string;
}

/** A round with the gauge: what each wheel reads. Nothing is filled in, so that nothing is kept that nobody read. */
export function RoundFields({ job, occasion, button }: RoundFieldsProps) {
  const { rig, outing, units, wheels, conditions, known, gauges, stepKpa, airings } = job;
  const nowMs = useNow(true, 60_000);
  const inHand = useGaugeInHand(rig.id, gauges);
  const measured = conditionsOf(useConditions(rig.id).typed);
  const [driven, setDriven] = useState(() => likelyDriven(outing, airings, Date.now()));
  const readings = useWheelReadings(`${occasion}:${rig.id}`, () => EMPTY_QUANTITY);
  const read = wheels.filter((wheel) => readings.textOf(wheel).text.trim() !== '');
  const problemOf = (wheel: RigWheel): string | undefined =>
    read.includes(wheel) ? gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units) : undefined;
  // A thermometer knows better than a guess.
  const justDriven = driven && measured === undefined;

  const keep = async (): Promise<void> => {
    const round: ReadingRound = {
      id: newId(),
      revision: 0,
      rigId: rig.id,
      outingId: outing?.id ?? null,
      readAt: new Date().toISOString(),
      occasion,
      gauge: inHand.used,
      airTempC: measured?.coldTempC ?? null,
      tireTempC: measured?.tireTempC ?? null,
      altitudeM: conditions.altitudeM,
      justDriven: driven,
      wheels: read.map((wheel) => ({
        position: wheel.position,
        wheel: wheel.wheel,
        shownKpa: readings.kpaOf(wheel)!,
      })),
    };
    const saved = await save('readings', round);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    readings.clear();
    notify(
      justDriven
        ? 'Kept as read warm. Read again when they are cold: a warm reading closes no road check.'
        : 'The round is kept, with its time and warmth.',
    );
  };
  const adviceOf = (wheel: RigWheel): string | undefined => {
    const shownKpa = readings.kpaOf(wheel);
    const setKpa = job.lastSet(wheel);
    if (shownKpa === undefined || setKpa === undefined || problemOf(wheel) !== undefined) return undefined;
    // Nearer to road pressure, air was put back without this application: nobody knows what it was set to.
    const roadKpa = wheel.axle.roadKpa ?? 0;
    if (roadKpa > setKpa && shownKpa > (setKpa + roadKpa) / 2) return undefined;
    const advice = warmAdvice({
      setKpa,
      shownKpa: correctedKpa(shownKpa, inHand.used?.offsetKpa ?? 0),
      justDriven,
      airTempC: conditions.coldTempC,
      altitudeM: conditions.altitudeM,
      stepKpa,
    });
    return warmText(advice, onGauge(setKpa, units), justDriven, units);
  };

  return (
    <>
      <Toggle
        label="Just driven"
        note={`Within ${WARM_FOR_MIN} minutes: a warm tire reads high`}
        value={driven}
        onChange={setDriven}
      />
      {wheels.map((wheel) => {
        const inIt = known(wheel);
        const before = inIt?.coldKpa ?? wheel.axle.roadKpa ?? 100;
        return (
          <QuantityField
            key={wheelKey(wheel)}
            label={wheelName(wheel)}
            spokenLabel={`${wheelName(wheel)} reads`}
            quantity="pressure"
            value={readings.textOf(wheel)}
            onChange={(value) => readings.type(wheel, value)}
            stepsFrom={onGauge(before, units)}
            problem={problemOf(wheel)}
            hint={adviceOf(wheel) ?? (inIt && `${pressure(inIt.coldKpa, units)}: ${knownText(inIt, nowMs)}.`)}
          />
        );
      })}
      <GaugePick rigId={rig.id} gauges={gauges} />
      <GaugeConditions rigId={rig.id} unmeasured={driven ? 'Warm, not measured' : 'Cold'} />
      <Action
        kind="main"
        label={button}
        disabled={read.length === 0 || read.some((wheel) => problemOf(wheel) !== undefined)}
        onPress={() => void keep()}
      />
      {read.length > 0 && read.length < wheels.length && (
        <Text as="small" tone="muted">
          {`${read.length} of ${wheels.length} wheels read. The others stay as they were.`}
        </Text>
      )}
    </>
  );
}
