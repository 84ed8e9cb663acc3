import type { RigRow } from '@dunlinmoss/contract';
import { familyOf, isTrailer, type Asked, type Family, type FamilyCode, type LikelyValues } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useFieldArray, useForm, useWatch, type Control, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { gaugeOffsets, useGauges } from '../../data/gauges';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { FormQuantity } from '../../pieces/FormQuantity';
import { notify } from '../../pieces/Notice';
import { NumberField } from '../../pieces/NumberField';
import { Panel } from '../../pieces/Panel';
import { TextField } from '../../pieces/TextField';
import { Toggle } from '../../pieces/Toggle';
import { Unfold } from '../../pieces/Unfold';
import { UnitChoice } from '../../pieces/UnitChoice';
import { Plus, Trash } from '../../theme/icons';
import { axleName } from '../../words/axles';
import { ROAD_WORDS } from '../../words/families';
import { savedText } from '../../words/saved';
import { addedAxle, emptyRig, problemsByField, rigValues, toRig, type AxleValues, type RigFormValues } from './rigForm';
import { TireFields } from './TireFields';

interface RigFormProps {
  readonly family: FamilyCode;
  /** Undefined makes a new rig. */
  readonly row: RigRow | undefined;
}

/** What a rig of a family is made of: its axles and what they wear. Its loads have a form of their own. */
export function RigForm({ family: code, row }: RigFormProps) {
  const router = useRouter();
  const units = unitsStore.use();
  const family = familyOf(code);
  const gauges = useGauges();
  // One id for as long as the form is open: saving twice is one rig.
  const [ownId] = useState(newId);
  const draft = `rig:${row?.id ?? `new:${code}`}`;
  const saved = row ? rigValues(row, units) : emptyRig(code, units);
  const form = useForm<RigFormValues>({ defaultValues: readDraft<RigFormValues>(draft) ?? saved });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues, reset } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'axles' });
  const sameTires = useWatch({ control, name: 'sameTires' });
  const asks = (what: Asked): boolean => family.asks.includes(what);

  const showProblems = (problems: Readonly<Record<string, string>>): void => {
    for (const [field, message] of Object.entries(problems)) setError(field as Path<RigFormValues>, { message });
  };

  const submit = async (): Promise<void> => {
    clearErrors();
    const values = getValues();
    const rest = row ?? { id: ownId, loadCases: [], loadCaseId: null, school: null, beadFloorKpa: null };
    const { id, loadCases, loadCaseId, school, beadFloorKpa } = rest;
    const result = toRig(
      values,
      { id, family: code, loadCases, loadCaseId, school, beadFloorKpa },
      gaugeOffsets(gauges),
      units,
    );
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
    router.navigate({ pathname: '/rigs/[id]', params: { id: result.rig.id } });
  };

  const vehicleAxles = fields.filter(({ position }) => !isTrailer(position)).length;
  const hasTrailer = fields.some(({ position }) => isTrailer(position));
  const last = fields.at(-1);
  const canTandem =
    asks('tandem') && last && (vehicleAxles === 2 ? !hasTrailer : vehicleAxles === 0 && fields.length < 3);

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
      {fields.map(({ id, position }, index) => {
        const first = fields.findIndex((each) => isTrailer(each.position) === isTrailer(position)) === index;
        const shared =
          sameTires && fields.filter((each) => isTrailer(each.position) === isTrailer(position)).length > 1;
        const name = axleName(position, family.kind);
        return (
          <View key={id} style={styles.axle}>
            <Panel title={first && shared ? `Tires, and ${name.toLowerCase()}` : name}>
              {(first || !sameTires) && (
                <TireFields control={control} index={index} family={family} spoken={`${name}: `} />
              )}
              <AxleFields control={control} index={index} family={family} name={name} />
              {index >= family.axles.length && (
                <Action icon={Trash} label={`Without ${name.toLowerCase()}`} onPress={() => remove(index)} />
              )}
            </Panel>
            {first && !isTrailer(position) && vehicleAxles > 1 && (
              <Controller
                control={control}
                name="sameTires"
                render={({ field }) => (
                  <Toggle label="Rear tires are the same" value={field.value} onChange={field.onChange} />
                )}
              />
            )}
          </View>
        );
      })}
      {canTandem && (
        <Action
          icon={Plus}
          label="A second axle beside it"
          onPress={() => append(addedAxle(getValues('axles'), 'tandem', units))}
        />
      )}
      {asks('trailer') && (
        <>
          {!hasTrailer && (
            <Action
              icon={Plus}
              label="With a trailer"
              onPress={() => append(addedAxle(getValues('axles'), 'trailer', units))}
            />
          )}
          {hasTrailer && (
            <FormQuantity
              control={control}
              name="hitch"
              label="Coupling behind the front axle"
              quantity="length"
              hint="From the front hub to the ball or pin."
            />
          )}
        </>
      )}
      {asks('topSpeed') && (
        <Controller
          control={control}
          name="topSpeed"
          render={({ field, fieldState }) => (
            <NumberField
              label="Fastest on the road"
              unit="km/h"
              value={field.value}
              onChange={field.onChange}
              onBlur={field.onBlur}
              problem={fieldState.error?.message}
              hint={`Empty means ${family.roadSpeedKmh} km/h. What farm tires carry depends on it.`}
            />
          )}
        />
      )}
      <UnitChoice label="Weights in" quantity="mass" />
      <UnitChoice label="Lengths in" quantity="length" />
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
    </View>
  );
}

interface AxleFieldsProps {
  readonly control: Control<RigFormValues>;
  readonly index: number;
  readonly family: Family;
  readonly name: string;
}

/** What belongs to an axle and not to its tires: pressures, place, rating. */
function AxleFields({ control, index, family, name }: AxleFieldsProps) {
  const position = useWatch({ control, name: `axles.${index}.position` });
  const wheels = useWatch({ control, name: `axles.${index}.wheels` });
  const gauges = useGauges();
  const towed = isTrailer(position);
  const asks = (what: Asked): boolean => family.asks.includes(what);
  const own = (field: keyof AxleValues & string) => `axles.${index}.${field}` as Path<RigFormValues>;
  const likely = (key: keyof LikelyValues) => (towed && family.code !== 'farmTrailer' ? null : family.likely[key]);
  const origin = index === 0 && !towed;
  return (
    <>
      <FormQuantity
        control={control}
        name={own('road')}
        label={ROAD_WORDS[family.kind].label}
        spoken={`${name}: ${ROAD_WORDS[family.kind].label.toLowerCase()}`}
        quantity="pressure"
        likely={likely('roadKpa')}
        hint={ROAD_WORDS[family.kind].hint}
      />
      <Unfold label={`In it now, where it stands${asks('axleRating') ? ', its rating' : ''}`}>
        <FormQuantity
          control={control}
          name={own('present')}
          label="Read on the gauge now"
          spoken={`${name}: read on the gauge now`}
          quantity="pressure"
          hint="Kept as read; the gauge's own offset is taken off."
        />
        {gauges.length > 0 && (
          <Controller
            control={control}
            name={`axles.${index}.gaugeId`}
            render={({ field }) => (
              <Choice
                label="Which gauge"
                value={field.value}
                options={[
                  { code: '', name: 'Taken as true' },
                  ...gauges.map((gauge) => ({ code: gauge.id, name: gauge.name })),
                ]}
                onChange={field.onChange}
              />
            )}
          />
        )}
        {!origin && (
          <FormQuantity
            control={control}
            name={own('behind')}
            label={towed ? 'Behind the coupling' : 'Behind the front axle'}
            spoken={`${name}: ${towed ? 'behind the coupling' : 'behind the front axle'}`}
            quantity="length"
            likely={likely('wheelbaseMm')}
            hint="From hub to hub. A common one until you measure it."
          />
        )}
        {wheels > 1 && (
          <FormQuantity
            control={control}
            name={own('track')}
            label="Track"
            spoken={`${name}: track`}
            quantity="length"
            likely={likely('trackMm')}
            hint={
              wheels === 4
                ? 'From the middle of the left pair to that of the right.'
                : 'From the middle of the left wheel to that of the right.'
            }
          />
        )}
        {asks('pairs') && position !== 'front' && !towed && (
          <Controller
            control={control}
            name={`axles.${index}.wheels`}
            render={({ field }) => (
              <Toggle
                label="Pairs of wheels"
                note="Two tires on each side"
                value={field.value === 4}
                onChange={(on) => field.onChange(on ? 4 : 2)}
              />
            )}
          />
        )}
        {asks('driven') && !towed && (
          <Controller
            control={control}
            name={`axles.${index}.driven`}
            render={({ field }) => <Toggle label="Driven" value={field.value} onChange={field.onChange} />}
          />
        )}
        {asks('axleRating') && (
          <FormQuantity
            control={control}
            name={own('rating')}
            label="Axle rating"
            spoken={`${name}: axle rating`}
            quantity="mass"
            hint="From the maker's plate, if you like."
          />
        )}
      </Unfold>
    </>
  );
}

const styles = StyleSheet.create({
  form: { gap: 14 },
  axle: { gap: 10 },
});
