import type { RigRow } from '@dunlinmoss/contract';
import { LOAD_RANGE_CODES, LOAD_RANGES, type AxlePosition } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { Controller, useForm, useWatch, type Control, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { bringBack, putAside } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { notify } from '../../pieces/Notice';
import { Panel } from '../../pieces/Panel';
import { QuantityField } from '../../pieces/QuantityField';
import type { QuantityText } from '../../pieces/quantityText';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { UnitChoice } from '../../pieces/UnitChoice';
import { Trash } from '../../theme/icons';
import { MARKING_EXAMPLES, readBack } from '../../words/marking';
import { AXLE_WORDS } from '../../words/outing';
import { savedText } from '../../words/saved';
import { EMPTY_RIG, markedLoadRange, problemsByField, rigValues, toRig, type RigFormValues } from './rigForm';

interface RigFormProps {
  /** Undefined makes a new rig. */
  readonly row: RigRow | undefined;
}

/** Everything that has to be known of a four-wheel rig. */
export function RigForm({ row }: RigFormProps) {
  const router = useRouter();
  const units = unitsStore.use();
  // One id for as long as the form is open: saving twice is one rig.
  const [ownId] = useState(newId);
  const draft = `rig:${row?.id ?? 'new'}`;
  const saved = row ? rigValues(row, units) : EMPTY_RIG;
  const form = useForm<RigFormValues>({ defaultValues: readDraft<RigFormValues>(draft) ?? saved });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues, reset } = form;
  const sameTires = useWatch({ control, name: 'sameTires' });

  const showProblems = (problems: Readonly<Record<string, string>>): void => {
    for (const [field, message] of Object.entries(problems)) setError(field as Path<RigFormValues>, { message });
  };

  const submit = async (): Promise<void> => {
    clearErrors();
    const values = getValues();
    const result = toRig(values, row?.id ?? ownId, units);
    if (!result.ok) {
      showProblems(result.problems);
      notify('Not saved yet: some fields need another look.');
      return;
    }
    const outcome = await save('rigs', result.rig);
    if (outcome.kind === 'refused') {
      showProblems(problemsByField(outcome.problem.fields ?? [], values, units));
      notify(outcome.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(outcome, result.rig.name));
    router.navigate('/rigs');
  };

  const remove = async (rig: RigRow): Promise<void> => {
    try {
      await putAside('rigs', rig);
      dropDraft(draft);
      notify(`${rig.name} is put aside.`, () => void bringBack('rigs', rig.id));
      router.navigate('/rigs');
    } catch {
      notify("The store can't be reached: nothing was put aside.");
    }
  };

  return (
    <View style={styles.form}>
      <Controller
        control={control}
        name="name"
        render={({ field, fieldState }) => (
          <TextField
            label="Name"
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
          />
        )}
      />
      <AxleFields
        control={control}
        position="front"
        title={sameTires ? 'Tires, and the front axle' : 'Front axle'}
        withTire
        onLoadRange={(code) => form.setValue('front.loadRange', code, { shouldDirty: true })}
      />
      <Controller
        control={control}
        name="sameTires"
        render={({ field }) => <Toggle label="Rear tires are the same" value={field.value} onChange={field.onChange} />}
      />
      <AxleFields
        control={control}
        position="rear"
        title="Rear axle"
        withTire={!sameTires}
        onLoadRange={(code) => form.setValue('rear.loadRange', code, { shouldDirty: true })}
      />
      <Controller
        control={control}
        name="beadLocks"
        render={({ field }) => (
          <Toggle
            label="Bead locks"
            note="Rings that clamp the bead. They lower the floor to 6 psi, 0.4 bar."
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Action kind="main" label={row ? 'Save the changes' : 'Save this rig'} onPress={() => void submit()} />
      {form.formState.isDirty && row && (
        <Action
          label="Drop what I changed"
          onPress={() => {
            dropDraft(draft);
            reset(saved);
          }}
        />
      )}
      {row && <Action kind="hurt" icon={Trash} label="Put this rig aside" onPress={() => void remove(row)} />}
    </View>
  );
}

interface AxleFieldsProps {
  readonly control: Control<RigFormValues>;
  readonly position: AxlePosition;
  readonly title: string;
  readonly withTire: boolean;
  readonly onLoadRange: (code: RigFormValues['front']['loadRange']) => void;
}

function AxleFields({ control, position, title, withTire, onLoadRange }: AxleFieldsProps) {
  const units = unitsStore.use();
  const axle = useWatch({ control, name: position });
  const marked = markedLoadRange(axle.marking);
  useEffect(() => {
    if (withTire && marked && marked !== axle.loadRange) onLoadRange(marked);
    // Only a marking that says so changes the choice.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [marked, withTire]);

  const quantity = (field: 'placard' | 'axleLoad' | 'leftLoad' | 'rightLoad', label: string, hint?: string) => (
    <Controller
      control={control}
      name={`${position}.${field}`}
      render={({ field: { value, onChange, onBlur }, fieldState }) => (
        <QuantityField
          label={label}
          spokenLabel={`${AXLE_WORDS[position]}: ${label.toLowerCase()}`}
          quantity={field === 'placard' ? 'pressure' : 'mass'}
          value={value as QuantityText}
          onChange={onChange}
          onBlur={onBlur}
          problem={fieldState.error?.message}
          hint={hint}
        />
      )}
    />
  );

  return (
    <Panel title={title}>
      {withTire && (
        <>
          <Controller
            control={control}
            name={`${position}.marking`}
            render={({ field, fieldState }) => {
              const typed = field.value.trim() !== '';
              const back = readBack(field.value, units);
              const problem =
                fieldState.error?.message ?? (typed && !back.ok && fieldState.isTouched ? back.text : undefined);
              return (
                <TextField
                  label="Tire size, as on the sidewall"
                  value={field.value}
                  onChange={field.onChange}
                  onBlur={field.onBlur}
                  capitals
                  problem={back.ok ? undefined : problem}
                  hint={back.ok ? `Reads: ${back.text}.` : `Like ${MARKING_EXAMPLES}.`}
                />
              );
            }}
          />
          <Controller
            control={control}
            name={`${position}.loadRange`}
            render={({ field }) => (
              <Choice
                label={marked ? 'Load range, from the marking' : 'Load range letter on the sidewall'}
                value={marked ?? field.value}
                options={LOAD_RANGE_CODES.map((code) => ({
                  code,
                  name: code === 'standard' ? 'None' : code,
                  note: code === 'standard' ? 'standard' : `${LOAD_RANGES[code].plyRating} ply`,
                }))}
                onChange={field.onChange}
              />
            )}
          />
        </>
      )}
      {quantity('placard', 'Placard pressure, cold', 'From the door post or the fuel flap, for this load.')}
      {position === 'front' && <UnitChoice label="Weights in" quantity="mass" />}
      <Controller
        control={control}
        name={`${position}.loadsFrom`}
        render={({ field }) => (
          <Choice
            label="Load, as it stands today"
            value={field.value}
            options={[
              { code: 'axle', name: 'Whole axle', note: 'halved: estimate' },
              { code: 'wheel', name: 'Each wheel', note: 'weighed' },
            ]}
            onChange={field.onChange}
          />
        )}
      />
      {axle.loadsFrom === 'axle' ? (
        quantity('axleLoad', 'Axle load')
      ) : (
        <View style={styles.pair}>
          <View style={styles.half}>{quantity('leftLoad', 'Left')}</View>
          <View style={styles.half}>{quantity('rightLoad', 'Right')}</View>
        </View>
      )}
    </Panel>
  );
}

interface ToggleProps {
  readonly label: string;
  readonly note?: string;
  readonly value: boolean;
  readonly onChange: (value: boolean) => void;
}

function Toggle({ label, note, value, onChange }: ToggleProps) {
  return (
    <View style={styles.toggle}>
      <View style={styles.toggleWords}>
        <Text as="strong">{label}</Text>
        {note !== undefined && (
          <Text as="small" tone="muted">
            {note}
          </Text>
        )}
      </View>
      <Switch value={value} onValueChange={onChange} aria-label={label} style={styles.switch} />
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: 14 },
  half: { flex: 1 },
  pair: { flexDirection: 'row', gap: 10 },
  toggle: { flexDirection: 'row', alignItems: 'center', gap: 12, minHeight: 48 },
  toggleWords: { flex: 1 },
  switch: { margin: 8 },
});
