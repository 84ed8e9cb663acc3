import type { OutingRow, ProofTestRow, RigRow, TapeTestRow } from '@dunlinmoss/contract';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Controller, useFieldArray, useForm, useWatch, type Path } from 'react-hook-form';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { gaugeOffsets, useGauges } from '../../data/gauges';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { archiveAndSay } from '../../components/archiveAndSay';
import { QuantityField } from '../../components/QuantityField';
import { Empty } from '../../components/States';
import { Text } from '../../components/Text';
import { UnitChoice } from '../../components/UnitChoice';
import { Unfold } from '../../components/Unfold';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { mass } from '../../words/format';
import { savedText } from '../../words/saved';
import { WHEEL_WORDS } from '../../words/tape';
import {
  isPending,
  EMPTY_READING,
  judgeTyped,
  newTape,
  tapeValues,
  toTest,
  wheelOf,
  type TapeFormValues,
  type TestedWheel,
} from './tapeForm';
import { GaugeOfTest } from './GaugeOfTest';
import { TapesBeside } from './TapesBeside';
import { TapeVerdict } from './TapeVerdict';
import { TestPage } from './TestPage';

const isTape = (row: ProofTestRow): row is TapeTestRow => row.kind === 'tape';

/** One tape test: `/proof/tape/new` begins one, on the outing given or under way. */
export function TapeScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  return (
    <TestPage title="Tape test" isOwn={isTape}>
      {({ row, rig, outing }) => {
        const start = wheelOf(rig, 'frontLeft', outing?.loadCaseId);
        if (!row && !start) {
          return (
            <Page title="Tape test">
              <Empty
                text={`A test is held against the load on its wheel, and that of ${rig.name} is not known yet.`}
                action={{
                  label: 'Tell its load',
                  onPress: () => router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } }),
                }}
              />
            </Page>
          );
        }
        const key = `${id} ${row?.revision ?? 0} ${rig.id}`;
        return <TapeForm key={key} row={row} rig={rig} outing={outing} start={row?.details ?? start!} />;
      }}
    </TestPage>
  );
}

interface TapeFormProps {
  readonly row: TapeTestRow | undefined;
  readonly rig: RigRow;
  readonly outing: OutingRow | undefined;
  /** The wheel that the test begins with. */
  readonly start: TestedWheel;
}

function TapeForm({ row, rig, outing, start }: TapeFormProps) {
  const router = useRouter();
  const palette = usePalette();
  const units = unitsStore.use();
  // Made once for as long as the form is open: saving twice is one test.
  const [fresh] = useState(() => ({ id: newId(), performedAt: new Date().toISOString() }));
  const draft = `tape:${row?.id ?? `new:${rig.id}:${outing?.id ?? ''}`}`;
  const form = useForm<TapeFormValues>({
    defaultValues:
      readDraft<TapeFormValues>(draft) ??
      (row ? tapeValues(row, units) : newTape(rig, outing?.pressures[0]?.pressureKpa, units)),
  });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues } = form;
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'readings' });
  const values = useWatch({ control }) as TapeFormValues;
  // A test that was saved keeps the tire and load of its day; a new one takes them from the rig.
  const wheel =
    row && row.details.wheel === values.wheel
      ? { tireMarking: row.details.tireMarking, loadRange: row.details.loadRange, wheelLoadKg: row.details.wheelLoadKg }
      : (wheelOf(rig, values.wheel, outing?.loadCaseId) ?? start);
  const gauges = useGauges();
  const kept = row?.details.gauge;
  // A saved test keeps the offset of its day for as long as it keeps its gauge.
  const offsetKpa = kept?.gaugeId === values.gaugeId ? kept.offsetKpa : (gaugeOffsets(gauges).get(values.gaugeId) ?? 0);
  const result = judgeTyped(values, wheel, offsetKpa);

  const drop = (index: number): void => {
    const reading = getValues(`readings.${index}`);
    remove(index);
    if (!isPending(reading)) notify('Reading removed.', () => insert(index, reading));
  };

  const submit = async (): Promise<void> => {
    clearErrors();
    const identity = row
      ? { id: row.id, rigId: row.rigId, outingId: row.outingId, performedAt: row.performedAt, counts: row.counts }
      : { ...fresh, rigId: rig.id, outingId: outing?.id ?? null, counts: true };
    const checked = toTest(getValues(), identity, wheel, offsetKpa, units);
    if (!checked.ok) {
      for (const [field, message] of Object.entries(checked.problems)) {
        setError(field as Path<TapeFormValues>, { message });
      }
      notify('Not saved yet: some readings need another look.');
      return;
    }
    const saved = await save('tests', checked.test);
    if (saved.kind === 'refused') {
      notify(saved.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(saved, 'The test', 'in the Book'));
    router.navigate(checked.test.outingId ? '/' : '/proof');
  };

  const putTestAside = (test: TapeTestRow): Promise<void> =>
    archiveAndSay('tests', test, 'The test', () => {
      dropDraft(draft);
      router.navigate('/proof');
    });

  return (
    <Page
      title="Tape test"
      action={<Action kind="main" label={row ? 'Save the changes' : 'Save this test'} onPress={() => void submit()} />}
      result={
        <>
          <TapeVerdict result={result} wheel={wheel} />
          <TapesBeside
            rigId={rig.id}
            open={{ id: row?.id, taped: { wheel: values.wheel, surface: values.surface, readings: result.rows } }}
          />
          {row && <Action kind="hurt" icon={Trash} label="Archive this test" onPress={() => void putTestAside(row)} />}
        </>
      }
    >
      <Text tone="muted">{`${rig.name}. ${wheel.tireMarking}, ${mass(wheel.wheelLoadKg, units)} on this wheel.`}</Text>
      <Unfold label="How to measure">
        <Text>Stand the wheel straight on level ground. Read its pressure.</Text>
        <Text>
          Poles: stand a straight pole against the tread in front and one behind, and measure between them. Marks: on
          firm ground mark where the tread leaves the ground, front and rear.
        </Text>
        <Text>
          Let air out to the next pressure on the same spot and measure again. Two pressures tell; three show how sure
          it is.
        </Text>
      </Unfold>
      <Controller
        control={control}
        name="wheel"
        render={({ field }) => (
          <Choice
            label="Wheel"
            value={field.value}
            options={(Object.keys(WHEEL_WORDS) as (keyof typeof WHEEL_WORDS)[]).map((code) => ({
              code,
              name: WHEEL_WORDS[code],
            }))}
            onChange={field.onChange}
          />
        )}
      />
      <View style={styles.pair}>
        <Controller
          control={control}
          name="method"
          render={({ field }) => (
            <Choice
              label="Measured between"
              value={field.value}
              options={[
                { code: 'poles', name: 'Poles', note: 'stood against the tread' },
                { code: 'marks', name: 'Marks', note: 'at the ends of the print' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
        <Controller
          control={control}
          name="surface"
          render={({ field }) => (
            <Choice
              label="Ground there"
              value={field.value}
              options={[
                { code: 'firm', name: 'Firm' },
                { code: 'soft', name: 'Soft' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
      </View>
      <Panel title="Readings">
        <Controller
          control={control}
          name="gaugeId"
          render={({ field }) => (
            <GaugeOfTest gaugeId={field.value} onChange={field.onChange} offsetKpa={offsetKpa} units={units} />
          )}
        />
        {fields.map(({ id }, index) => (
          <View key={id} style={[styles.reading, index > 0 && [styles.next, { borderColor: palette.line }]]}>
            <View style={styles.fields}>
              <View style={styles.field}>
                <Controller
                  control={control}
                  name={`readings.${index}.pressure`}
                  render={({ field, fieldState }) => (
                    <QuantityField
                      label="Gauge"
                      spokenLabel={`Reading ${index + 1}: pressure`}
                      quantity="pressure"
                      value={field.value}
                      onChange={field.onChange}
                      onBlur={field.onBlur}
                      problem={fieldState.error?.message}
                    />
                  )}
                />
              </View>
              <View style={styles.field}>
                <Controller
                  control={control}
                  name={`readings.${index}.length`}
                  render={({ field, fieldState }) => (
                    <QuantityField
                      label="Length"
                      spokenLabel={`Reading ${index + 1}: contact length`}
                      quantity="length"
                      value={field.value}
                      onChange={field.onChange}
                      onBlur={field.onBlur}
                      problem={fieldState.error?.message}
                    />
                  )}
                />
              </View>
              <Press aria-label={`Remove reading ${index + 1}`} onPress={() => drop(index)} style={styles.remove}>
                <Trash size={20} color={palette.muted} />
                <Text as="small" tone="muted">
                  Remove
                </Text>
              </Press>
            </View>
          </View>
        ))}
        <Action label="Another reading" icon={Plus} onPress={() => append(EMPTY_READING)} />
        <UnitChoice label="Lengths in" quantity="length" />
      </Panel>
    </Page>
  );
}

const styles = StyleSheet.create({
  pair: { gap: 12 },
  reading: { gap: 6 },
  next: { borderTopWidth: 1, paddingTop: 8 },
  fields: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  field: { flex: 1 },
  remove: { alignItems: 'center', marginTop: 6, height: 50, width: 56 },
});
