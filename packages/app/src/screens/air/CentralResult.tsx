import { contactPatch, type CentralCost, type UpProblem } from '@dunlinmoss/core';
import { planAxles, type CentralLegs } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { AirJob } from '../../hooks/useAirJob';
import type { Units } from '../../settings/preferences';
import { AXLE_WORDS } from '../../words/axles';
import { duration, UP_PROBLEM_WORDS } from '../../words/air';
import { distance, pressure, pressureNumber } from '../../words/format';

interface CentralRoundProps {
  readonly legs: readonly CentralLegs[];
  readonly downS: number;
  readonly upS: number | null;
  readonly upProblem: UpProblem | null;
  readonly cost: CentralCost | undefined;
  readonly cycles: number;
  readonly units: Units;
}

/** The pressures of each leg, how long it takes between them, and whether it is done by the gate. */
export function CentralRoundResult(props: CentralRoundProps) {
  const { legs, downS, upS, upProblem, cost, cycles, units } = props;
  return (
    <Panel title="Out, in the field, and home">
      <View style={styles.row}>
        <Text as="small" tone="muted" style={styles.name}>
          {units.pressure}
        </Text>
        {['Out', 'Field', 'Home'].map((leg) => (
          <Text key={leg} as="small" tone="muted" style={styles.figure}>
            {leg}
          </Text>
        ))}
      </View>
      {legs.map(({ position, outKpa, fieldKpa, homeKpa }) => (
        <View key={position} style={styles.row}>
          <Text style={styles.name}>{AXLE_WORDS[position]}</Text>
          {[outKpa, fieldKpa, homeKpa].map((kpa, leg) => (
            <Text key={leg} as="figure" style={styles.figure}>
              {pressureNumber(kpa, units)}
            </Text>
          ))}
        </View>
      ))}
      <View style={styles.pair}>
        <View style={styles.half}>
          <Text as="label" tone="muted">
            Down
          </Text>
          <Text as="title">{duration(downS)}</Text>
        </View>
        <View style={styles.half}>
          <Text as="label" tone="muted">
            Back up
          </Text>
          <Text as="title">{upS === null ? '—' : duration(upS)}</Text>
        </View>
      </View>
      {upProblem && (
        <Text role="alert" tone="rust">
          {UP_PROBLEM_WORDS[upProblem]}
        </Text>
      )}
      {cost && (
        <>
          <Text as="strong">
            {cost.doneBeforeGate
              ? `Down before the gate: begin ${distance(cost.beginM, units)} ahead of it.`
              : `Not down by the gate: wait ${duration(cost.waitDownS)}, or begin ${distance(cost.beginM, units)} ahead.`}
          </Text>
          <Text>
            {cost.waitUpS === 0
              ? 'Back up on the way out, no wait.'
              : `On the way out wait ${duration(cost.waitUpS)} before the road: never on it below road pressure.`}
          </Text>
          <Text>{`${Math.round(cost.minutesADay)} min a day of waiting, ${cycles} ${cycles === 1 ? 'time' : 'times'}.`}</Text>
        </>
      )}
    </Panel>
  );
}

interface GroundSavedProps {
  readonly job: AirJob;
  readonly legs: readonly CentralLegs[];
  readonly loadCaseId: string | null;
}

/** What stands on the ground at road and at field pressure, by the load that comes to the field. */
export function GroundSaved({ job: { rig, question, units }, legs, loadCaseId }: GroundSavedProps) {
  const planned = planAxles(rig, question.tests, loadCaseId);
  if (!planned.ok || legs.length === 0) return null;
  return (
    <Panel title="What it saves the ground">
      {legs.map(({ position, outKpa, fieldKpa }) => {
        const axle = planned.value.axles.find((each) => each.position === position)!;
        const load = Math.max(axle.leftLoadKg, axle.rightLoadKg);
        const [road, soft] = [outKpa, fieldKpa].map((kpa) => contactPatch({ tire: axle.tire, carcass: 1 }, load, kpa));
        if (!road || !soft) return null;
        return (
          <Text key={position}>
            {`${AXLE_WORDS[position]}: ${pressure(road.groundPressureKpa, units)} on the ground at road pressure, ${pressure(soft.groundPressureKpa, units)} at field pressure.`}
          </Text>
        );
      })}
      <Text as="small" tone="muted">
        Without it the one fixed pressure must carry the heaviest load at the highest speed, so most of this is lost.
      </Text>
    </Panel>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 34 },
  name: { flex: 1 },
  figure: { width: 64, textAlign: 'right' },
  pair: { flexDirection: 'row', gap: 12 },
  half: { flex: 1 },
});
