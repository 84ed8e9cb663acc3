import type { ProofTestRow, RoutineTestRow } from '@dunlinmoss/contract';
import { ROUTINE_CODES, routineOf, type RoutineCode, type RoutineValues } from '@dunlinmoss/core';
import { testedWheels } from '@dunlinmoss/domain';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Controller, useFieldArray, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { Empty } from '../../components/States';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { canonicalOf, type QuantityText } from '../../components/quantityText';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { duration, wheelName } from '../../words/air';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { loadText } from '../../words/proof/print';
import { GaugeOfTest } from './GaugeOfTest';
import { HowTo } from './HowTo';
import { anotherRun, isPendingRun, type FieldText, type RoutineFormValues } from './routineForm';
import { RoutineField } from './RoutineField';
import type { InputProps } from './routines/onScreen';
import { onScreen } from './routines/registry';
import { RoutineVerdict } from './RoutineVerdict';
import { TestPage, type OpenedTest } from './TestPage';
import { useRoutine } from './useRoutine';

const isRoutine = (code: string): code is RoutineCode => ROUTINE_CODES.some((each) => each === code);

/** One test of the registry: `/proof/<kind>/new` begins one. */
export function RoutineScreen() {
  const router = useRouter();
  const { kind, id } = useLocalSearchParams<{ kind: string; id: string }>();
  if (!isRoutine(kind)) {
    return (
      <Page title="Proof">
        <Empty text="There is no such test." action={{ label: 'All tests', onPress: () => router.replace('/proof') }} />
      </Page>
    );
  }
  return (
    <TestPage title={ROUTINE_WORDS[kind].name} isOwn={(row: ProofTestRow): row is RoutineTestRow => row.kind === kind}>
      {({ row, rig, outing }) => (
        <RoutineForm
          key={`${kind} ${id} ${row?.revision ?? 0} ${rig.id}`}
          code={kind}
          row={row}
          rig={rig}
          outing={outing}
        />
      )}
    </TestPage>
  );
}

function RoutineForm({ code, row, rig, outing }: OpenedTest<RoutineTestRow> & { readonly code: RoutineCode }) {
  const palette = usePalette();
  const routine = routineOf(code);
  const words = ROUTINE_WORDS[code];
  const own = onScreen(code);
  const wheels = testedWheels(rig, outing?.loadCaseId);
  const open = useRoutine({
    code,
    row,
    rig,
    outing,
    begin: ({ roadKpa, key, position }) => {
      const setKpa = outing?.pressures.find((each) => each.position === position)?.pressureKpa ?? roadKpa;
      // Wheels are gone round in walking order; the soil is read untouched first.
      return {
        ...(own.setup && { setup: own.setup }),
        runs: [{ pressureKpa: setKpa, wheel: wheels[0]?.key ?? key, track: 'untouched' }],
      };
    },
  });
  const { form, values, units, wheel, test, judgement } = open;
  const { control, getValues, setValue } = form;
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'runs' });
  const names = Object.fromEntries(wheels.map((each) => [each.key, wheelName(each)]));
  const clocked = Object.values(routine.run).some((field) => field.type === 'number' && field.clock === true);
  const now = useNow(clocked && values.clockFrom !== '', 1000);
  const elapsedS = values.clockFrom === '' ? 0 : Math.max(0, Math.round((now - Date.parse(values.clockFrom)) / 1000));

  const input: InputProps = {
    rigId: rig.id,
    units,
    setup: test?.setup,
    setSetup: (name, text) => setValue(`setup.${name}`, text, { shouldDirty: true }),
    addRuns: (runs) => append(runs.map((run) => anotherRun(code, run, units))),
  };

  /** The next run at what is to be tried, else as the last one; a clock that runs gives the time. */
  const another = (also: RoutineValues = {}): void => {
    const last = getValues('runs').at(-1);
    const lastKpa = last && canonicalOf('pressure', (last.pressureKpa ?? { text: '', unit: '' }) as QuantityText);
    append(
      anotherRun(
        code,
        {
          pressureKpa:
            (judgement?.move === 'keep' || judgement?.move === 'again' ? null : judgement?.tryKpa) ?? lastKpa ?? null,
          ...(last?.otherKpa !== undefined && { otherKpa: lastKpa ?? null }),
          ...(last?.track !== undefined && { track: last.track as string }),
          ...(last?.wheel !== undefined && {
            wheel: nextOf(
              wheels.map(({ key }) => key),
              last.wheel as string,
            ),
          }),
          ...also,
        },
        units,
      ),
    );
  };
  const drop = (index: number): void => {
    const run = getValues(`runs.${index}`);
    remove(index);
    if (!isPendingRun(routine.run, run)) notify(`${words.run ?? 'Run'} removed.`, () => insert(index, run));
  };
  const field = (part: 'setup' | `runs.${number}`, name: string, spoken: string) => (
    <Controller
      key={name}
      control={control}
      name={`${part}.${name}` as Path<RoutineFormValues>}
      render={({ field: { value, onChange }, fieldState }) => (
        <RoutineField
          field={(part === 'setup' ? routine.setup : routine.run)[name]!}
          label={words.fields[name] ?? name}
          spoken={spoken}
          value={value as FieldText}
          onChange={onChange}
          options={words.options?.[name]}
          wheels={names}
          problem={fieldState.error?.message}
        />
      )}
    />
  );
  const runWord = words.run ?? 'Run';

  return (
    <Page
      title={words.name}
      action={
        <Action kind="main" label={row ? 'Save the changes' : 'Save this test'} onPress={() => void open.submit()} />
      }
      result={
        <>
          <RoutineVerdict test={test} judgement={judgement} wheels={names} />
          {open.archiveRow && <Action kind="hurt" icon={Trash} label="Archive this test" onPress={open.archiveRow} />}
        </>
      }
    >
      <Text tone="muted">
        {routine.oneWheel
          ? `${rig.name}. ${wheel.tireMarking}, ${loadText(wheel.wheelLoadKg, units)}.`
          : `${rig.name}.`}
      </Text>
      <HowTo code={code} />
      {routine.oneWheel && wheels.length > 1 && (
        <Controller
          control={control}
          name="wheel"
          render={({ field: { value, onChange } }) => (
            <Choice
              label="Wheel"
              value={value}
              options={wheels.map((each) => ({ code: each.key, name: wheelName(each) }))}
              onChange={onChange}
            />
          )}
        />
      )}
      {Object.keys(routine.setup).length > 0 && (
        <Panel title="Once">
          {Object.keys(routine.setup).map((name) => field('setup', name, words.fields[name] ?? name))}
          {own.SetupInput && <own.SetupInput {...input} />}
        </Panel>
      )}
      {own.RunsInput && <own.RunsInput {...input} />}
      <Panel title={`${runWord}s`}>
        <GaugeOfTest
          gaugeId={values.gaugeId}
          onChange={(gaugeId) => setValue('gaugeId', gaugeId, { shouldDirty: true })}
          offsetKpa={open.offsetKpa}
          units={units}
        />
        {clocked && (
          <View style={styles.clock}>
            <Text as="heading">{values.clockFrom === '' ? 'Clocks stand' : duration(elapsedS)}</Text>
            <Action
              label={values.clockFrom === '' ? 'Poured: start both clocks' : 'Start them again'}
              onPress={() => setValue('clockFrom', new Date().toISOString(), { shouldDirty: true })}
            />
            {values.clockFrom !== '' && (
              <View style={styles.pair}>
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
              <Press
                aria-label={`Remove ${runWord.toLowerCase()} ${index + 1}`}
                onPress={() => drop(index)}
                style={styles.remove}
              >
                <Trash size={18} color={palette.muted} />
                <Text as="small" tone="muted">
                  Remove
                </Text>
              </Press>
            </View>
            {Object.keys(routine.run).map((name) =>
              field(`runs.${index}`, name, `${runWord} ${index + 1}: ${(words.fields[name] ?? name).toLowerCase()}`),
            )}
          </View>
        ))}
        <Action label={`Another ${runWord.toLowerCase()}`} icon={Plus} onPress={() => another()} />
      </Panel>
      <Controller
        control={control}
        name="note"
        render={({ field: { value, onChange, onBlur }, fieldState }) => (
          <TextField
            label="Note (if you like)"
            value={value}
            onChange={onChange}
            onBlur={onBlur}
            problem={fieldState.error?.message}
          />
        )}
      />
    </Page>
  );
}

/** The one after it, round and round: after one wheel comes the next. */
const nextOf = (all: readonly string[], last: string): string => all[(all.indexOf(last) + 1) % all.length] ?? last;

const styles = StyleSheet.create({
  run: { borderTopWidth: 1, paddingTop: 8, gap: 8 },
  head: { flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' },
  remove: { flexDirection: 'row', gap: 4, alignItems: 'center', paddingHorizontal: 8 },
  clock: { gap: 6 },
  pair: { gap: 6 },
});
