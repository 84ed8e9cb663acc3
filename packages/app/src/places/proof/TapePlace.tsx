import type { OutingRow, ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { gaugeOffset } from '@dunlinmoss/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Controller, useFieldArray, useForm, useWatch, type Path } from 'react-hook-form';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { gaugeOffsets, useGauges } from '../../data/gauges';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { useRow, useRows } from '../../data/rows';
import { useOpenOuting } from '../../data/outings';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { notify } from '../../pieces/Notice';
import { Page } from '../../pieces/Page';
import { Panel } from '../../pieces/Panel';
import { Press } from '../../pieces/Press';
import { putAsideAndSay } from '../../pieces/putAside';
import { QuantityField } from '../../pieces/QuantityField';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { UnitChoice } from '../../pieces/UnitChoice';
import { Unfold } from '../../pieces/Unfold';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { mass, pressureFine } from '../../words/format';
import { offsetText } from '../../words/gauges';
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
import { TapeVerdict } from './TapeVerdict';

/** One tape test: `/proof/tape/new` begins one, on the outing given or under way. */
export function TapePlace() {
  const { id, outing: outingId, rig: rigId } = useLocalSearchParams<{ id: string; outing?: string; rig?: string }>();
  const router = useRouter();
  const isNew = id === 'new';
  const test = useRow('tests', isNew ? undefined : id);
  const open = useOpenOuting();
  const linked = useRow('outings', isNew ? outingId : (test.row?.outingId ?? undefined));
  const rigs = useRows('rigs');
  const outing = linked.row ?? (isNew && rigId === undefined ? open.outing : undefined);
  const wanted = test.row?.rigId ?? outing?.rigId ?? rigId ?? rigs.rows[0]?.id;
  const rig = useRow('rigs', wanted);

  if (test.missing || rig.missing) {
    return (
      <Page title="Tape test">
        <Empty
          text="This test, or its rig, is not here or was put aside."
          action={{ label: 'All tests', onPress: () => router.replace('/proof') }}
        />
      </Page>
    );
  }
  if (isNew && !rigs.loading && rigs.rows.length === 0) {
    return (
      <Page title="Tape test">
        <Empty
          text="A test needs a rig: load, tires and placard."
          action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
        />
      </Page>
    );
  }
  if (!rig.row || (!isNew && !test.row) || (isNew && (open.loading || linked.loading))) {
    return (
      <Page title="Tape test">
        <Loading />
      </Page>
    );
  }
  const start = wheelOf(rig.row, 'frontLeft', outing?.loadCaseId);
  if (!test.row && !start) {
    const { id: tested, name } = rig.row;
    return (
      <Page title="Tape test">
        <Empty
          text={`A test is held against the load on its wheel, and that of ${name} is not known yet.`}
          action={{
            label: 'Tell its load',
            onPress: () => router.navigate({ pathname: '/rigs/[id]', params: { id: tested } }),
          }}
        />
      </Page>
    );
  }
  const key = `${id} ${test.row?.revision ?? 0} ${rig.row.id}`;
  return <TapeForm key={key} row={test.row} rig={rig.row} outing={outing} start={test.row?.details ?? start!} />;
}

interface TapeFormProps {
  readonly row: ProofTestRow | undefined;
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
      ? { id: row.id, rigId: row.rigId, outingId: row.outingId, performedAt: row.performedAt }
      : { ...fresh, rigId: rig.id, outingId: outing?.id ?? null };
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

  const putTestAside = (test: ProofTestRow): Promise<void> =>
    putAsideAndSay('tests', test, 'The test', () => {
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
          {row && (
            <Action kind="hurt" icon={Trash} label="Put this test aside" onPress={() => void putTestAside(row)} />
          )}
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
        {gauges.length > 0 && (
          <Controller
            control={control}
            name="gaugeId"
            render={({ field }) => (
              <Unfold
                label="Read with"
                value={gauges.find(({ id }) => id === field.value)?.name ?? 'A gauge taken as true'}
              >
                {(close) => (
                  <Choice
                    label="Gauge"
                    layout="list"
                    value={field.value}
                    options={[
                      { code: '', name: 'A gauge taken as true' },
                      ...gauges.map((gauge) => ({
                        code: gauge.id,
                        name: gauge.name,
                        note: offsetText(gaugeOffset(gauge.comparisons), units),
                      })),
                    ]}
                    onChange={(gaugeId) => {
                      field.onChange(gaugeId);
                      close();
                    }}
                  />
                )}
              </Unfold>
            )}
          />
        )}
        {offsetKpa !== 0 && (
          <Text as="small" tone="muted">
            {`Type what it shows. The ${pressureFine(Math.abs(offsetKpa), units)} that it reads too ${offsetKpa > 0 ? 'much' : 'little'} is allowed for; both are kept.`}
          </Text>
        )}
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
