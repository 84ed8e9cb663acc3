import { levelling, wheelKey } from '@dunlinmoss/core';
import { gaugeStepKpa, onGauge } from '@dunlinmoss/domain';

import { quantityText } from '../../components/quantityText';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { QuantityField } from '../../components/QuantityField';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { wheelName } from '../../words/air';
import { pressure, pressureFine } from '../../words/format';
import { AirQuestion } from './AirQuestion';
import { gaugeRangeProblem } from './gaugeRange';
import { useWheelReadings } from './readings';
import type { AirJob } from '../../hooks/useAirJob';
import { MoveAir } from './MoveAir';

/** Left and right of an axle alike, and air moved from one tire to another by a hose. */
export const LevelScreen = () => (
  <AirQuestion title="Level">{(job, choice) => <Level key={job.rig.id} job={job} choice={choice} />}</AirQuestion>
);

function Level({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const { rig, units, wheels } = job;
  const stepKpa = gaugeStepKpa(units);
  const readings = useWheelReadings(`level:${rig.id}`, (place) => {
    const wheel = wheels.find((each) => wheelKey(each) === wheelKey(place))!;
    const kpa = job.known(wheel)?.coldKpa ?? wheel.axle.roadKpa ?? 100;
    return quantityText('pressure', units.pressure, onGauge(kpa, units));
  });
  const axles = [...new Set(wheels.map(({ position }) => position))];
  const problemOf = (wheel: (typeof wheels)[number]): string | undefined =>
    gaugeRangeProblem(readings.kpaOf(wheel), undefined, units);
  return (
    <Page
      title="Level"
      result={
        <>
          {axles.map((position) => {
            const own = wheels.filter((wheel) => wheel.position === position);
            const read = own.map((wheel) => ({ ...wheel, pressureKpa: readings.kpaOf(wheel) ?? 0 }));
            if (own.length < 2) return null;
            // Levelled to what is planned where they stand at about that, else to the softer of them.
            const planned = job.planned(own[0]!)?.startKpa;
            const softest = Math.min(...read.map(({ pressureKpa }) => pressureKpa));
            const onPlan = planned !== undefined && Math.abs(softest - planned) <= 4 * stepKpa;
            const targetKpa = onPlan ? planned : softest;
            const level = levelling(read, targetKpa, stepKpa);
            return (
              <Panel key={position} title={`${AXLE_WORDS[position]} axle`}>
                <Text as="strong">
                  {level.apart
                    ? `${pressureFine(level.apartKpa, units)} apart: more than the gauge’s step. It pulls to the softer side.`
                    : 'As level as the gauge can show.'}
                </Text>
                {level.apart &&
                  level.touch.map((each) => (
                    <Text key={wheelKey(each)}>
                      {`${wheelName(each)}: ${each.way === 'out' ? 'let out' : 'put in'} ${pressureFine(Math.abs(each.fromKpa - each.toKpa), units)}, to ${pressure(each.toKpa, units)}.`}
                    </Text>
                  ))}
              </Panel>
            );
          })}
          {wheels.length > 1 && <MoveAir job={job} kpaOf={readings.kpaOf} />}
        </>
      }
    >
      {choice}
      <Text tone="muted">What each wheel reads, all as warm as each other.</Text>
      {wheels.map((wheel) => (
        <QuantityField
          key={wheelKey(wheel)}
          label={wheelName(wheel)}
          quantity="pressure"
          value={readings.textOf(wheel)}
          onChange={(value) => readings.type(wheel, value)}
          stepsFrom={wheel.axle.roadKpa ?? 100}
          problem={problemOf(wheel)}
        />
      ))}
    </Page>
  );
}
