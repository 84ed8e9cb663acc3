import { CRITERIA, familyOf, planGround, type BracketRun } from '@dunlinmoss/core';
import { askedOf, onGauge, planInput } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../../components/Panel';
import { Text } from '../../../components/Text';
import { usePalette } from '../../../theme/useLight';
import { pressure } from '../../../words/format';
import { CRITERION_WORDS } from '../../../words/proof/bracket';
import { RemoveRun } from '../RoutineFields';
import type { OpenRoutine } from '../openRoutine';
import { setOn } from '../nextRun';
import type { RoutineOnScreen } from './onScreen';
import { TrialInput, trialOf } from './TrialInput';

/** Its runs, without what they were while it is blind. */
function Runs({ open }: { readonly open: OpenRoutine }) {
  const palette = usePalette();
  const { units } = open;
  const { setup, runs, blind } = trialOf(open);
  if (open.runs.fields.length === 0) return null;
  const ratingsOf = (run: BracketRun): string =>
    CRITERIA.flatMap((name) =>
      run[name] === null ? [] : [`${CRITERION_WORDS[name].toLowerCase()} ${run[name]}`],
    ).join(', ');
  return (
    <Panel title="Runs">
      {open.runs.fields.map(({ id }, index) => {
        const run = runs[index];
        return (
          <View key={id} style={[styles.run, index > 0 && [styles.next, { borderColor: palette.line }]]}>
            <Text style={styles.words}>
              {blind || !run
                ? `Run ${index + 1}`
                : `${index + 1}: ${pressure(run.pressureKpa, units)}, ${setup?.by === 'ratings' || run.measured === null ? ratingsOf(run) : Number(run.measured.toFixed(2))}`}
            </Text>
            <RemoveRun of={`run ${index + 1}`} onPress={() => open.runs.drop(index)} />
          </View>
        );
      })}
    </Panel>
  );
}

/** What is rated of a run unless the person says otherwise: all of it alike, the worst hit twice. */
const WEIGHTS = { climbs: 1, turns: 1, rolls: 1, comfort: 1, worstHit: 2 } as const;
const SEEDS = 1_000_000;

/** From the plan's own start, floor and ceiling where there is one. */
const begin: NonNullable<RoutineOnScreen['begin']> = ({ rig, outing, tests, wheel, units }) => {
  const { trialStepKpa: stepKpa } = familyOf(rig.family);
  const input = outing ? planInput(rig, tests, askedOf(outing)) : undefined;
  const plan = input?.ok ? planGround(input.value) : undefined;
  const axle = plan?.ok ? plan.value.axles.find(({ position }) => position === wheel.position) : undefined;
  const startKpa = onGauge(setOn(outing, wheel) ?? axle?.startKpa ?? wheel.roadKpa ?? 150, units);
  return {
    setup: {
      startKpa,
      stepKpa,
      lowestKpa: axle ? axle.floor.pressureKpa : Math.max(0, startKpa - 3 * stepKpa),
      highestKpa: axle?.ceiling ? axle.ceiling.pressureKpa : null,
      by: 'ratings',
      blind: 'open',
      seed: Math.floor(Math.random() * SEEDS),
      ...WEIGHTS,
    },
    runs: [],
  };
};

export const bracketOnScreen: RoutineOnScreen = {
  // The coach beside it says how sure it is.
  strip: { sureElsewhere: true },
  Body: TrialInput,
  Beside: Runs,
  withheld: (open) => (trialOf(open).blind ? 'Blind: pressures and results stay hidden until the trial ends.' : null),
  begin,
  saving: (open) => {
    const { runs, nextKpa } = trialOf(open);
    if (runs.length === 0) return null;
    return nextKpa === null ? { label: 'Save this trial', main: true } : { label: 'Stop here and save', main: false };
  },
};

const styles = StyleSheet.create({
  run: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingVertical: 4 },
  next: { borderTopWidth: 1 },
  words: { flex: 1 },
});
