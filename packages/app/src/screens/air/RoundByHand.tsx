import type { ReadingRound } from '@dunlinmoss/contract';
import { gaugeNowKpa, wheelKey } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';

import { conditionsOf, conditionsStore } from '../../settings/conditions';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { QuantityField } from '../../components/QuantityField';
import { quantityText } from '../../components/quantityText';
import { Unfold } from '../../components/Unfold';
import { wheelName } from '../../words/air';
import { GaugeConditions } from './GaugeConditions';
import { GaugePick, useGaugeInHand } from './GaugePick';
import { gaugeRangeProblem } from './gaugeRange';
import { useWheelReadings } from './readings';
import type { AirJob } from '../../hooks/useAirJob';

/** A round with the gauge. */
export function ByHand({ job }: { readonly job: AirJob }) {
  const { rig, outing, units, wheels, conditions, known, gauges } = job;
  const inHand = useGaugeInHand(gauges);
  const typedConditions = conditionsStore.use();
  const readings = useWheelReadings(`watch:${rig.id}`, (place) => {
    const wheel = wheels.find((each) => wheelKey(each) === wheelKey(place))!;
    const cold = known(wheel)?.coldKpa ?? wheel.axle.roadKpa ?? 100;
    return quantityText('pressure', units.pressure, onGauge(gaugeNowKpa(cold, conditions), units));
  });
  const wrong = wheels.some((wheel) => gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units) !== undefined);
  const keep = async (): Promise<void> => {
    const measured = conditionsOf(typedConditions);
    const round: ReadingRound = {
      id: newId(),
      revision: 0,
      rigId: rig.id,
      outingId: outing?.id ?? null,
      readAt: new Date().toISOString(),
      occasion: 'watch',
      gauge: inHand.used,
      airTempC: measured?.coldTempC ?? null,
      tireTempC: measured?.tireTempC ?? null,
      altitudeM: conditions.altitudeM,
      wheels: wheels.map(({ position, wheel }) => ({
        position,
        wheel,
        shownKpa: readings.kpaOf({ position, wheel })!,
      })),
    };
    const saved = await save('readings', round);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    readings.clear();
    notify('The round is kept, with its time and warmth.');
  };
  return (
    <Unfold label="Read a round by hand">
      {wheels.map((wheel) => (
        <QuantityField
          key={wheelKey(wheel)}
          label={wheelName(wheel)}
          spokenLabel={`${wheelName(wheel)} reads`}
          quantity="pressure"
          value={readings.textOf(wheel)}
          onChange={(value) => readings.type(wheel, value)}
          stepsFrom={wheel.axle.roadKpa ?? 100}
          problem={gaugeRangeProblem(readings.kpaOf(wheel), inHand.gauge, units)}
        />
      ))}
      <GaugePick gauges={gauges} />
      <GaugeConditions />
      <Action kind="main" label="Keep this round" disabled={wrong} onPress={() => void keep()} />
    </Unfold>
  );
}
