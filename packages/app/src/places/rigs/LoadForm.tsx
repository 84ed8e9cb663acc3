import { doubtfulLoads, rigLoads, type LoadCaseBody, type RigRow } from '@dunlinmoss/contract';
import { familyOf, POSTURE_CODES, type AxlePosition, type LoadItem } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useFieldArray, useForm, useWatch, type Control, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { rigBody } from '../../data/rigs';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { FormQuantity } from '../../pieces/FormQuantity';
import { notify } from '../../pieces/Notice';
import { NumberField } from '../../pieces/NumberField';
import { Page } from '../../pieces/Page';
import { Panel } from '../../pieces/Panel';
import { Slider } from '../../pieces/Slider';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { UnitChoice } from '../../pieces/UnitChoice';
import { Unfold } from '../../pieces/Unfold';
import { Trash } from '../../theme/icons';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS, axleName, PART_WORDS } from '../../words/axles';
import { PLACE_WORDS, POSTURE_WORDS } from '../../words/families';
import { mass, percent } from '../../words/format';
import { loadProblemText, METHOD_WORDS, weighingHint } from '../../words/loads';
import { savedText } from '../../words/saved';
import { LoadPicture } from './LoadPicture';
import { LoadWorking } from './LoadWorking';
import {
  askedParts,
  hasTrailer,
  loadValues,
  newItem,
  placesOf,
  toLoadCase,
  typedCase,
  type LoadFormValues,
} from './loadForm';

interface LoadFormProps {
  readonly rig: RigRow;
  /** Undefined makes a new load case. */
  readonly loadCase: LoadCaseBody | undefined;
}

/** One way a rig is loaded, with the load on every wheel following what is typed. */
export function LoadForm({ rig, loadCase }: LoadFormProps) {
  const router = useRouter();
  const units = unitsStore.use();
  const wide = useWide();
  const family = familyOf(rig.family);
  const [ownId] = useState(newId);
  const id = loadCase?.id ?? ownId;
  const draft = `load:${rig.id}:${loadCase?.id ?? 'new'}`;
  const form = useForm<LoadFormValues>({
    defaultValues: readDraft<LoadFormValues>(draft) ?? loadValues(rig, loadCase, units),
  });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues } = form;
  const values = useWatch({ control }) as LoadFormValues;
  const typed = typedCase(values, rig);
  const loads = rigLoads(rig, typed);
  const doubtful = loads.ok ? doubtfulLoads(rig.family, loads.value) : [];

  const submit = async (): Promise<void> => {
    clearErrors();
    const result = toLoadCase(getValues(), id, rig, units);
    if (!result.ok) {
      for (const [field, message] of Object.entries(result.problems)) {
        setError(field as Path<LoadFormValues>, { message });
      }
      notify('Not saved yet: some fields need another look.');
      return;
    }
    const others = rig.loadCases.filter((each) => each.id !== id);
    const loadCases = loadCase
      ? rig.loadCases.map((each) => (each.id === id ? result.loadCase : each))
      : [...others, result.loadCase];
    // What was just told is how it stands.
    const outcome = await save('rigs', { ...rigBody(rig), loadCases, loadCaseId: id });
    if (outcome.kind === 'refused') {
      notify(outcome.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(outcome, result.loadCase.name));
    router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });
  };

  const remove = async (): Promise<void> => {
    const loadCases = rig.loadCases.filter((each) => each.id !== id);
    const body = { ...rigBody(rig), loadCases, loadCaseId: loadCases[0]?.id ?? null };
    const outcome = await save('rigs', body);
    dropDraft(draft);
    if (outcome.kind === 'saved') {
      const undone = { ...rigBody(rig), revision: outcome.row.revision };
      notify(`${loadCase!.name} is gone.`, () => void save('rigs', undone));
    }
    router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });
  };

  return (
    <Page
      title={loadCase ? loadCase.name : `Load of ${rig.name}`}
      action={
        <View style={styles.foot}>
          {/* In view while a tank is dragged or a weight is typed. */}
          {loads.ok && !wide && (
            <Text as="label" style={styles.sum}>
              {loads.value.axles
                .map(({ position, loadKg }) => `${AXLE_WORDS[position].toLowerCase()} ${mass(loadKg, units)}`)
                .join(' · ')}
            </Text>
          )}
          <Action kind="main" label="Save this load" onPress={() => void submit()} />
        </View>
      }
      result={
        <>
          <Panel title="On every wheel">
            <LoadPicture rig={rig} loads={loads.ok ? loads.value : undefined} items={typed.items} danger={NOBODY} />
            {loads.ok ? (
              <Text as="strong">
                {`${mass(loads.value.totalKg, units)} on the wheels, ${typed.method === 'scales' ? 'measured' : 'estimated'}${
                  loads.value.couplingKg === null ? '' : `; the drawbar presses ${mass(loads.value.couplingKg, units)}`
                }.`}
              </Text>
            ) : (
              <Text role="status" tone="muted">
                {loadProblemText(loads.problem, family.kind)}
              </Text>
            )}
            {doubtful.map(({ position }) => (
              <Text key={position} as="small" tone="rust">
                {`${axleName(position, family.kind)}: this load hardly can be. Pressures for it wait until it is put right.`}
              </Text>
            ))}
          </Panel>
          {loads.ok && loads.value.shares.length > 0 && <LoadWorking rig={rig} loadCase={typed} loads={loads.value} />}
          {loadCase && <Action kind="hurt" icon={Trash} label="Remove this load case" onPress={() => void remove()} />}
        </>
      }
    >
      <Controller
        control={control}
        name="name"
        render={({ field, fieldState }) => (
          <TextField
            label="What this load is called"
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
            hint="Like: empty, touring, tank full, with plow, two up."
          />
        )}
      />
      <Controller
        control={control}
        name="method"
        render={({ field }) => (
          <Choice
            label="How it is known"
            value={field.value}
            options={family.loadMethods.map((code) => ({ code, ...METHOD_WORDS[code] }))}
            onChange={field.onChange}
          />
        )}
      />
      <UnitChoice label="Weights in" quantity="mass" />
      {values.method === 'scales' && <ScaleFields control={control} rig={rig} />}
      {values.method === 'moments' && <UnladenFields control={control} rig={rig} />}
      {values.method === 'posture' && <PostureFields control={control} />}
      {values.method !== 'scales' && <ItemFields control={control} rig={rig} />}
    </Page>
  );
}

const NOBODY: ReadonlySet<AxlePosition> = new Set();

interface PartProps {
  readonly control: Control<LoadFormValues>;
  readonly rig: RigRow;
}

function ScaleFields({ control, rig }: PartProps) {
  const family = familyOf(rig.family);
  const axles = useWatch({ control, name: 'axles' });
  return (
    <>
      <Text as="small" tone="muted">
        {weighingHint(family.kind)}
      </Text>
      {rig.axles.map(({ position, wheels }, index) => {
        const by = axles[index]?.by ?? 'axle';
        const name = axleName(position, family.kind);
        const { low, high } = family.likely.wheelLoadKg;
        return (
          <Panel key={position} title={name}>
            {wheels > 1 && (
              <Controller
                control={control}
                name={`axles.${index}.by`}
                render={({ field }) => (
                  <Choice
                    label="Weighed"
                    value={field.value}
                    options={[
                      { code: 'axle', name: 'Whole axle', note: 'shared alike: estimate' },
                      { code: 'sides', name: wheels === 4 ? 'Each pair' : 'Each wheel', note: 'measured' },
                      ...(wheels === 4 ? [{ code: 'wheels' as const, name: 'Each tire', note: 'measured' }] : []),
                    ]}
                    onChange={field.onChange}
                  />
                )}
              />
            )}
            <View style={styles.wrap}>
              {askedParts(by, wheels).map((part) => {
                const count = part === 'axle' ? wheels : wheels === 4 && by === 'sides' ? 2 : 1;
                return (
                  <View key={part} style={styles.half}>
                    <FormQuantity
                      control={control}
                      name={`axles.${index}.parts.${part}`}
                      label={part === 'single' || part === 'axle' ? 'On the scale' : PART_WORDS[part]}
                      spoken={`${name}: ${PART_WORDS[part].toLowerCase()}`}
                      quantity="mass"
                      likely={{ low: low * count, high: high * count }}
                    />
                  </View>
                );
              })}
            </View>
          </Panel>
        );
      })}
      <FormQuantity
        control={control}
        name="whole"
        label="The whole on the scale"
        quantity="mass"
        hint="If you weighed it whole too: its parts must sum to it."
      />
    </>
  );
}

function UnladenFields({ control, rig }: PartProps) {
  const family = familyOf(rig.family);
  const { low, high } = family.likely.wheelLoadKg;
  return (
    <Panel title="Empty">
      <Text as="small" tone="muted">
        What each axle weighs with nothing on it: from a weighbridge, or the papers.
      </Text>
      <View style={styles.wrap}>
        {rig.axles.map(({ position, wheels }, index) => {
          const name = axleName(position, family.kind);
          return (
            <View key={position} style={styles.half}>
              <FormQuantity
                control={control}
                name={`axles.${index}.unladen`}
                label={name}
                spoken={`${name}, empty`}
                quantity="mass"
                likely={{ low: low * wheels * 0.3, high: high * wheels }}
              />
            </View>
          );
        })}
        {hasTrailer(rig) && (
          <View style={styles.half}>
            <FormQuantity control={control} name="coupling" label="Drawbar" spoken="Drawbar, empty" quantity="mass" />
          </View>
        )}
      </View>
    </Panel>
  );
}

function PostureFields({ control }: { readonly control: Control<LoadFormValues> }) {
  return (
    <Panel title="Rider and bicycle">
      <View style={styles.wrap}>
        <View style={styles.half}>
          <FormQuantity
            control={control}
            name="rider"
            label="Rider, dressed"
            quantity="mass"
            likely={{ low: 20, high: 200 }}
          />
        </View>
        <View style={styles.half}>
          <FormQuantity control={control} name="bike" label="Bicycle" quantity="mass" likely={{ low: 5, high: 60 }} />
        </View>
      </View>
      <Controller
        control={control}
        name="posture"
        render={({ field }) => (
          <Choice
            label="How you sit"
            value={field.value}
            options={POSTURE_CODES.map((code) => ({ code, ...POSTURE_WORDS[code] }))}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="frontShare"
        render={({ field, fieldState }) => (
          <NumberField
            label="Front wheel, if you know it better"
            unit="%"
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
          />
        )}
      />
    </Panel>
  );
}

function ItemFields({ control, rig }: PartProps) {
  const units = unitsStore.use();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'items' });
  const items = useWatch({ control, name: 'items' });
  const drop = (index: number): void => {
    const gone = items[index];
    remove(index);
    if (gone) notify(`${gone.name || 'The thing'} is off.`, () => insert(index, gone));
  };
  return (
    <>
      {fields.map(({ id, kind }, index) => (
        <Item
          key={id}
          control={control}
          index={index}
          kind={kind}
          trailer={hasTrailer(rig)}
          onRemove={() => drop(index)}
        />
      ))}
      <Panel title="Put on">
        <Unfold label="A thing: pick its place">
          {(close) => (
            <PlacePicker
              rig={rig}
              onPick={(place) => {
                append(newItem('thing', place, rig, units));
                close();
              }}
            />
          )}
        </Unfold>
        <Unfold label="A tank: pick its place">
          {(close) => (
            <PlacePicker
              rig={rig}
              onPick={(place) => {
                append(newItem('tank', place, rig, units));
                close();
              }}
            />
          )}
        </Unfold>
      </Panel>
    </>
  );
}

interface PlacePickerProps {
  readonly rig: RigRow;
  readonly onPick: (place: ReturnType<typeof placesOf>[number] | undefined) => void;
}

function PlacePicker({ rig, onPick }: PlacePickerProps) {
  return (
    <View style={styles.wrap}>
      {placesOf(rig).map((place) => (
        <Action key={place} label={PLACE_WORDS[place]} onPress={() => onPick(place)} />
      ))}
      <Action label="Elsewhere" onPress={() => onPick(undefined)} />
    </View>
  );
}

interface ItemProps {
  readonly control: Control<LoadFormValues>;
  readonly index: number;
  readonly kind: LoadItem['kind'];
  readonly trailer: boolean;
  readonly onRemove: () => void;
}

function Item({ control, index, kind, trailer, onRemove }: ItemProps) {
  const body = useWatch({ control, name: `items.${index}.body` });
  const spoken = `Thing ${index + 1}`;
  return (
    <Panel title={`${index + 1}. ${kind === 'tank' ? 'Tank' : 'Thing'}`}>
      <Controller
        control={control}
        name={`items.${index}.name`}
        render={({ field, fieldState }) => (
          <TextField
            label="What it is"
            value={field.value}
            onChange={field.onChange}
            problem={fieldState.error?.message}
          />
        )}
      />
      {kind === 'thing' ? (
        <FormQuantity
          control={control}
          name={`items.${index}.mass`}
          label="Weighs"
          spoken={`${spoken}: weighs`}
          quantity="mass"
        />
      ) : (
        <>
          <View style={styles.wrap}>
            <View style={styles.half}>
              <Controller
                control={control}
                name={`items.${index}.liters`}
                render={({ field, fieldState }) => (
                  <NumberField
                    label="Holds"
                    unit="l"
                    spokenLabel={`${spoken}: holds`}
                    value={field.value}
                    onChange={field.onChange}
                    problem={fieldState.error?.message}
                  />
                )}
              />
            </View>
            <View style={styles.half}>
              <Controller
                control={control}
                name={`items.${index}.density`}
                render={({ field, fieldState }) => (
                  <NumberField
                    label="A liter weighs"
                    unit="kg"
                    spokenLabel={`${spoken}: a liter weighs`}
                    value={field.value}
                    onChange={field.onChange}
                    problem={fieldState.error?.message}
                  />
                )}
              />
            </View>
          </View>
          <Controller
            control={control}
            name={`items.${index}.level`}
            render={({ field }) => (
              <Slider
                label={`Level of tank ${index + 1}`}
                shown={field.value === 0 ? 'empty' : field.value === 1 ? 'full' : percent(field.value)}
                value={field.value}
                min={0}
                max={1}
                step={0.05}
                onChange={field.onChange}
              />
            )}
          />
        </>
      )}
      {trailer && (
        <Controller
          control={control}
          name={`items.${index}.body`}
          render={({ field }) => (
            <Choice
              label="Stands on"
              value={field.value}
              options={[
                { code: 'vehicle', name: 'The vehicle' },
                { code: 'trailer', name: 'The trailer' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
      )}
      <View style={styles.wrap}>
        <View style={styles.half}>
          <FormQuantity
            control={control}
            name={`items.${index}.behind`}
            label="Behind"
            spoken={`${spoken}: behind ${body === 'trailer' ? 'the coupling' : 'the front axle'}`}
            quantity="length"
            hint={`${body === 'trailer' ? 'The coupling' : 'The front axle'}. Less than 0 is ahead.`}
          />
        </View>
        <View style={styles.half}>
          <FormQuantity
            control={control}
            name={`items.${index}.right`}
            label="Right"
            spoken={`${spoken}: right of the middle`}
            quantity="length"
            hint="Of the middle. Less than 0 is left."
          />
        </View>
      </View>
      <Action icon={Trash} label="Take it off" onPress={onRemove} />
    </Panel>
  );
}

const styles = StyleSheet.create({
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  foot: { gap: 6 },
  sum: { textAlign: 'center' },
  half: { flexBasis: 130, flexGrow: 1, minWidth: 0 },
});
