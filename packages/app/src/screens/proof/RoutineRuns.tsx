import { routineOf, type Fields, type RoutineValues } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { duration } from '../../words/air';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { nextRun } from './nextRun';
import { anotherRun } from './routineForm';
import { FieldOfRoutine, GaugeOfRoutine, RemoveRun } from './RoutineFields';
import type { InputProps } from './routines/onScreen';
import { onScreen } from './routines/registry';
import type { OpenRoutine } from './openRoutine';

/** Setup and runs of a test, drawn from its fields alone. */
export function RoutineRuns({ open }: { readonly open: OpenRoutine }) {
  const palette = usePalette();
  const { code, form, values, units, test, judgement, rig } = open;
  const routine = routineOf(code);
  const own = onScreen(code);
  const { fields, append, drop } = open.runs;
  const runWord = ROUTINE_WORDS[code].run ?? 'Run';
  const clocked = Object.values(routine.run).some((field) => field.type === 'number' && field.clock === true);
  const now = useNow(clocked && values.clockFrom !== '', 1000);
  const elapsedS = values.clockFrom === '' ? 0 : Math.max(0, Math.round((now - Date.parse(values.clockFrom)) / 1000));
  const names = Object.keys(routine.run);

  const input: InputProps = {
    rigId: rig.id,
    units,
    setup: test?.setup,
    setSetup: (name, text) => form.setValue(`setup.${name}`, text, { shouldDirty: true }),
    addRuns: (runs) => append(runs.map((run) => anotherRun(code, run, units))),
  };

  /** The next run at what is to be tried, else as the last one; a clock that runs gives the time. */
  const another = (also: RoutineValues = {}): void => {
    const tryKpa = judgement?.move === 'softer' || judgement?.move === 'firmer' ? judgement.tryKpa : null;
    append(nextRun({ ...open, runs: form.getValues('runs') }, tryKpa, also));
  };

  return (
    <>
      {Object.keys(routine.setup).length > 0 && (
        <Panel title="The test">
          {Object.keys(routine.setup).map((name) => (
            <FieldOfRoutine key={name} open={open} name={name} />
          ))}
          {own.SetupInput && <own.SetupInput {...input} />}
        </Panel>
      )}
      {own.RunsInput && <own.RunsInput {...input} />}
      <Panel title={`${runWord}s`}>
        <GaugeOfRoutine open={open} />
        {clocked && (
          <View style={styles.clock}>
            <Text as="heading">{values.clockFrom === '' ? 'Clocks stand' : duration(elapsedS)}</Text>
            <Action
              label={values.clockFrom === '' ? 'Poured: start both clocks' : 'Start them again'}
              onPress={() => form.setValue('clockFrom', new Date().toISOString(), { shouldDirty: true })}
            />
            {elapsedS > FORGOTTEN_S && (
              <Text role="alert" tone="rust">
                These clocks have run for hours: a look now tells nothing of how fast the water went in. Start them
                again with fresh water, or type when you looked. What you wrote down stays.
              </Text>
            )}
            {values.clockFrom !== '' && (
              <View style={styles.clock}>
                <Action label="Look at A now" onPress={() => another({ track: 'trackA', atS: elapsedS })} />
                <Action label="Look at B now" onPress={() => another({ track: 'trackB', atS: elapsedS })} />
              </View>
            )}
          </View>
        )}
        {fields.map(({ id }, index) => (
          <View key={id} style={[styles.run, { borderColor: palette.line }]}>
            <View style={styles.head}>
              <Text as="label" tone="muted">{`${runWord} ${index + 1}`}</Text>
              <RemoveRun of={`${runWord.toLowerCase()} ${index + 1}`} onPress={() => drop(index)} />
            </View>
            <View style={isPair(routine.run) ? styles.pair : styles.fields}>
              {names.map((name) => (
                <View key={name} style={isPair(routine.run) && styles.half}>
                  <FieldOfRoutine open={open} name={name} run={index} />
                </View>
              ))}
            </View>
          </View>
        ))}
        <Action label={`Another ${runWord.toLowerCase()}`} icon="plus" onPress={() => another()} />
      </Panel>
    </>
  );
}

/** Nobody waits this long for a ring, s: the clocks were forgotten. Assumption. */
const FORGOTTEN_S = 3 * 3600;

/** Two numbers fit beside one another on a phone. */
const isPair = (run: Fields): boolean =>
  Object.keys(run).length === 2 && Object.values(run).every(({ type }) => type === 'number');

const styles = StyleSheet.create({
  run: { borderTopWidth: 1, paddingTop: 8, gap: 8 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  pair: { flexDirection: 'row', gap: 8 },
  half: { flex: 1 },
  fields: { gap: 10 },
  clock: { gap: 6 },
});
