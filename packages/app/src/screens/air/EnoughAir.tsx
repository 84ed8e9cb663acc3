import { bestUse, budgetLiters, familyOf, onPavement, type FillPlan, type FillWheel } from '@dunlinmoss/core';
import { gaugeStepKpa, onGauge, planAxles, pumpOf, type ToolUsed } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { duration, wheelName } from '../../words/air';
import { air, pressure, speed } from '../../words/format';
import type { AirJob } from '../../hooks/useAirJob';

interface EnoughAirProps {
  readonly job: AirJob;
  readonly fill: FillPlan;
  readonly used: ToolUsed;
  readonly wheels: readonly FillWheel[];
}

/** Whether the pump will do it, wheel by wheel, and where it won't the best use of what there is. */
export function EnoughAir({ job, fill, used, wheels }: EnoughAirProps) {
  const { units } = job;
  const stalls = fill.shortBecause === 'stalls';
  return (
    <Panel title={fill.shortAt ? 'It will not be enough' : 'Wheel by wheel'}>
      {fill.shortAt && (
        <Text role="alert" tone="rust">
          {stalls
            ? `This pump does not reach ${pressure(wheels[0]!.toKpa, units)}: it stalls below it.`
            : `It runs out at ${wheelName(fill.shortAt).toLowerCase()}: ${air(fill.missingLiters, units)} of air short.`}
        </Text>
      )}
      {fill.wheels.map((wheel) => (
        <View key={wheelName(wheel)} style={styles.row}>
          <Text style={styles.name}>{wheelName(wheel)}</Text>
          <View style={styles.value}>
            <Text as="figure">
              {wheel.enough
                ? wheel.runS === 0
                  ? 'has it'
                  : duration(wheel.runS)
                : `only ${pressure(wheel.reachedKpa, units)}`}
            </Text>
            {(wheel.restS > 0 || wheel.leftLiters !== null) && (
              <Text as="small" tone="muted">
                {[
                  ...(wheel.restS > 0 ? [`and ${duration(wheel.restS)} of rest`] : []),
                  ...(wheel.leftLiters !== null ? [`${air(wheel.leftLiters, units)} left`] : []),
                ].join(', ')}
              </Text>
            )}
          </View>
        </View>
      ))}
      <Text as="small" tone="muted">
        {`${air(fill.liters + fill.missingLiters, units)} of air in all${fill.restS > 0 ? `; the pump must rest ${duration(fill.restS)}` : ''}.`}
      </Text>
      {fill.shortAt && !stalls && <BestUse job={job} used={used} wheels={wheels} />}
    </Panel>
  );
}

/** The best use of too little air, and the speed that goes with it. */
function BestUse({ job, used, wheels }: Omit<EnoughAirProps, 'fill'>) {
  const { rig, question, outing, units } = job;
  const loaded = planAxles(rig, question.tests, outing?.loadCaseId ?? question.asked.loadCaseId);
  if (!loaded.ok) return null;
  const contexts = onPavement({
    family: rig.family,
    roadSpeedKmh: rig.topSpeedKmh ?? familyOf(rig.family).roadSpeedKmh,
    ...loaded.value,
  });
  const use = bestUse(
    wheels.flatMap(({ position, wheel, volumeL, fromKpa }) => {
      const context = contexts.find(({ axle }) => axle.position === position);
      return context ? [{ position, wheel, volumeL, nowKpa: fromKpa, context }] : [];
    }),
    budgetLiters(pumpOf(used).budget),
    gaugeStepKpa(units),
  );
  return (
    <Unfold label="The best use of what there is" startsOpen>
      {use.wheels.map((wheel) => (
        <View key={wheelName(wheel)} style={styles.row}>
          <Text style={styles.name}>{wheelName(wheel)}</Text>
          <Text as="figure">{pressure(onGauge(wheel.toKpa, units, 'down'), units)}</Text>
        </View>
      ))}
      <Text as="strong" tone="rust">
        {use.speedKmh === null
          ? 'Then there is no limit but the law and the tire.'
          : `Then ${speed(use.speedKmh, units)} at the most, straight and short, to the next air.`}
      </Text>
      <Text as="small" tone="muted">
        Every wheel as much as the same speed asks of it, so that none holds the others back. By the trade’s speeds for
        each pressure, carried over to this rig.
      </Text>
    </Unfold>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 34 },
  name: { flex: 1 },
  value: { alignItems: 'flex-end' },
});
