import type { RigRow } from '@dunlinmoss/contract';
import type { LoadItem } from '@dunlinmoss/core';
import { Controller, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../data/preferences';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { FormQuantity } from '../../pieces/FormQuantity';
import { notify } from '../../pieces/Notice';
import { NumberField } from '../../pieces/NumberField';
import { Panel } from '../../pieces/Panel';
import { Slider } from '../../pieces/Slider';
import { TextField } from '../../pieces/TextField';
import { Unfold } from '../../pieces/Unfold';
import { Trash } from '../../theme/icons';
import { PLACE_WORDS } from '../../words/families';
import { percent } from '../../words/format';
import { hasTrailer, newItem, placesOf, type LoadFormValues } from './loadForm';

interface LoadItemsProps {
  readonly control: Control<LoadFormValues>;
  readonly rig: RigRow;
}

/** Things and tanks that are put on, each with its weight and place. */
export function LoadItems({ control, rig }: LoadItemsProps) {
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
  half: { flexBasis: 130, flexGrow: 1, minWidth: 0 },
});
