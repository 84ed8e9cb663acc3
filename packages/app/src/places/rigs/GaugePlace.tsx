import type { GaugeRow } from '@dunlinmoss/contract';
import { GAUGE_GRADES, gaugeOffset } from '@dunlinmoss/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useFieldArray, useForm, useWatch, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { useRow } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { FormQuantity } from '../../pieces/FormQuantity';
import { notify } from '../../pieces/Notice';
import { NumberField } from '../../pieces/NumberField';
import { Panel } from '../../pieces/Panel';
import { Press } from '../../pieces/Press';
import { putAsideAndSay } from '../../pieces/putAside';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { offsetText } from '../../words/gauges';
import { savedText } from '../../words/saved';
import {
  EMPTY_COMPARISON,
  emptyGauge,
  gaugeValues,
  toGauge,
  typedComparisons,
  type GaugeFormValues,
} from './gaugeForm';
import { BesideList } from './RigPlace';

/** One gauge; `new` begins another. */
export function GaugePlace() {
  const router = useRouter();
  const { id } = useLocalSearchParams<{ id: string }>();
  const { row, missing } = useRow('gauges', id === 'new' ? undefined : id);
  return (
    <BesideList title={row?.name ?? (id === 'new' ? 'New gauge' : 'Gauge')}>
      {missing ? (
        <Empty
          text="This gauge is not here, or was put aside."
          action={{ label: 'All gauges', onPress: () => router.replace('/rigs/tools') }}
        />
      ) : id === 'new' || row ? (
        <GaugeForm key={`${id} ${row?.revision ?? 0}`} row={row} />
      ) : (
        <Loading />
      )}
    </BesideList>
  );
}

function GaugeForm({ row }: { readonly row: GaugeRow | undefined }) {
  const router = useRouter();
  const palette = usePalette();
  const units = unitsStore.use();
  const [ownId] = useState(newId);
  const draft = `gauge:${row?.id ?? 'new'}`;
  const form = useForm<GaugeFormValues>({
    defaultValues: readDraft<GaugeFormValues>(draft) ?? (row ? gaugeValues(row, units) : emptyGauge(units)),
  });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'comparisons' });
  const values = useWatch({ control }) as GaugeFormValues;
  const offset = gaugeOffset(typedComparisons(values));

  const submit = async (): Promise<void> => {
    clearErrors();
    const result = toGauge(getValues(), row?.id ?? ownId, units);
    if (!result.ok) {
      for (const [field, message] of Object.entries(result.problems)) {
        setError(field as Path<GaugeFormValues>, { message });
      }
      notify('Not saved yet: some fields need another look.');
      return;
    }
    const saved = await save('gauges', result.gauge);
    if (saved.kind === 'refused') {
      notify(saved.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(saved, result.gauge.name));
    router.navigate('/rigs/tools');
  };
  const archive = (gauge: GaugeRow): Promise<void> =>
    putAsideAndSay('gauges', gauge, gauge.name, () => {
      dropDraft(draft);
      router.navigate('/rigs/tools');
    });

  return (
    <View style={styles.form}>
      <Controller
        control={control}
        name="name"
        render={({ field, fieldState }) => (
          <TextField label="Name" value={field.value} onChange={field.onChange} problem={fieldState.error?.message} />
        )}
      />
      <View style={styles.pair}>
        <View style={styles.half}>
          <FormQuantity control={control} name="from" label="Scale from" quantity="pressure" />
        </View>
        <View style={styles.half}>
          <FormQuantity control={control} name="fullScale" label="to" spoken="Scale to" quantity="pressure" />
        </View>
      </View>
      <Controller
        control={control}
        name="grade"
        render={({ field, fieldState }) => (
          <>
            <Choice
              label="Class on the dial (EN 837-1): the most it may be off, of the full scale"
              value={
                GAUGE_GRADES.some((grade) => String(grade) === field.value) || field.value === ''
                  ? field.value
                  : undefined
              }
              options={[
                { code: '', name: 'None there' },
                ...GAUGE_GRADES.map((grade) => ({ code: String(grade), name: String(grade), note: `± ${grade} %` })),
              ]}
              onChange={field.onChange}
            />
            <NumberField
              label="or another figure"
              unit="%"
              spokenLabel="Class"
              value={field.value}
              onChange={field.onChange}
              problem={fieldState.error?.message}
            />
          </>
        )}
      />
      <Panel title="Held against a trusted gauge">
        <Text as="small" tone="muted">
          Read one tire with both, at two or three pressures. The mean difference is taken off what this gauge reads.
        </Text>
        {fields.map(({ id }, index) => (
          <View key={id} style={styles.pair}>
            <View style={styles.half}>
              <FormQuantity
                control={control}
                name={`comparisons.${index}.gauge`}
                label="This one"
                spoken={`Comparison ${index + 1}: this one`}
                quantity="pressure"
              />
            </View>
            <View style={styles.half}>
              <FormQuantity
                control={control}
                name={`comparisons.${index}.trusted`}
                label="Trusted"
                spoken={`Comparison ${index + 1}: trusted`}
                quantity="pressure"
              />
            </View>
            <Press aria-label={`Remove comparison ${index + 1}`} onPress={() => remove(index)} style={styles.remove}>
              <Trash size={20} color={palette.muted} />
            </Press>
          </View>
        ))}
        <Action icon={Plus} label="A comparison" onPress={() => append(EMPTY_COMPARISON)} />
        <Text as="strong">{offsetText(offset, units)}</Text>
      </Panel>
      <Action kind="main" label={row ? 'Save the changes' : 'Save this gauge'} onPress={() => void submit()} />
      {row && <Action kind="hurt" icon={Trash} label="Put this gauge aside" onPress={() => void archive(row)} />}
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: 14 },
  pair: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  half: { flex: 1, minWidth: 0 },
  remove: { alignItems: 'center', marginTop: 6, height: 50, width: 48 },
});
