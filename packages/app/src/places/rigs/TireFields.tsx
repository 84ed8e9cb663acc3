import {
  CASINGS,
  LOAD_RANGE_CODES,
  LOAD_RANGES,
  readMarking,
  type Asked,
  type Family,
  type LoadRange,
} from '@dunlinmoss/core';
import type { ReactNode } from 'react';
import { Controller, useFieldArray, useWatch, type Control, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../data/preferences';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { FieldNote } from '../../pieces/FieldNote';
import { FormQuantity } from '../../pieces/FormQuantity';
import { NumberField } from '../../pieces/NumberField';
import { Press } from '../../pieces/Press';
import { EMPTY_QUANTITY } from '../../pieces/quantityText';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { Toggle } from '../../pieces/Toggle';
import { Unfold } from '../../pieces/Unfold';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { MARKING_EXAMPLES, readBack } from '../../words/marking';
import { TIRE_USE_WORDS } from '../../words/families';
import { markedLoadRange, type RigFormValues, type TireValues } from './rigForm';

const CASING_WORDS: Record<(typeof CASINGS)[number], string> = { thin: 'Thin', medium: 'Medium', downhill: 'Downhill' };

interface TireFieldsProps {
  readonly control: Control<RigFormValues>;
  readonly index: number;
  readonly family: Family;
  /** Stands before each label for those who hear it. */
  readonly spoken: string;
}

/** What a tire says on its sidewall, and what its family needs to know besides. */
export function TireFields({ control, index, family, spoken }: TireFieldsProps) {
  const units = unitsStore.use();
  const asks = (what: Asked): boolean => family.asks.includes(what);
  const own = (field: keyof TireValues & string) => `axles.${index}.${field}` as Path<RigFormValues>;
  const marking = useWatch({ control, name: `axles.${index}.marking` });
  const marked = markedLoadRange(marking);
  const reading = readMarking(marking);
  const stranger = reading.ok && !family.tireUses.includes(reading.value.use) ? reading.value.use : undefined;
  // On what is ridden a tube decides much; elsewhere it is one more thing to know.
  const ridden = family.kind === 'bicycle' || family.kind === 'motorcycle';
  const tube = asks('tube') && (
    <Controller
      control={control}
      name={`axles.${index}.tube`}
      render={({ field }) => (
        <Choice
          label="Inside"
          value={field.value ? 'tube' : 'tubeless'}
          options={[
            { code: 'tubeless', name: 'Tubeless' },
            { code: 'tube', name: 'Tube' },
          ]}
          onChange={(code) => field.onChange(code === 'tube')}
        />
      )}
    />
  );
  return (
    <>
      <Controller
        control={control}
        name={`axles.${index}.marking`}
        render={({ field, fieldState }) => {
          const typed = field.value.trim() !== '';
          const back = readBack(field.value, units, family.kind);
          const problem =
            fieldState.error?.message ?? (typed && !back.ok && fieldState.isTouched ? back.text : undefined);
          return (
            <View style={styles.field}>
              <TextField
                label="Tire size, as on the sidewall"
                value={field.value}
                onChange={field.onChange}
                onBlur={field.onBlur}
                capitals
                problem={back.ok ? undefined : problem}
                hint={back.ok ? `Reads: ${back.text}.` : `Like ${MARKING_EXAMPLES[family.kind]}.`}
              />
              {stranger && (
                <FieldNote
                  question={`This reads as a ${TIRE_USE_WORDS[stranger]} tire. Such a rig wears ${family.tireUses.map((use) => TIRE_USE_WORDS[use]).join(' or ')} tires: check the marking.`}
                />
              )}
            </View>
          );
        }}
      />
      {asks('loadRange') && (
        <Controller
          control={control}
          name={`axles.${index}.loadRange`}
          render={({ field }) => (
            <Choice
              label={marked ? 'Load range, from the marking' : 'Load range letter on the sidewall'}
              value={marked ?? field.value}
              options={LOAD_RANGE_CODES.filter((code) => offered(code, marked ?? field.value)).map((code) => ({
                code,
                name: code === 'standard' ? 'None' : code,
                note: code === 'standard' ? 'standard' : `${LOAD_RANGES[code].plyRating} ply`,
              }))}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {ridden && tube}
      {(asks('beadLock') || asks('rimLock')) && (
        <Controller
          control={control}
          name={`axles.${index}.beadHold`}
          render={({ field }) =>
            asks('rimLock') ? (
              <Toggle
                label="Rim lock"
                note="Clamps the bead to the rim so that the tire can't creep."
                value={field.value === 'rimLock'}
                onChange={(on) => field.onChange(on ? 'rimLock' : 'none')}
              />
            ) : (
              <Toggle
                label="Bead locks"
                note="Rings that clamp the bead."
                value={field.value === 'beadLock'}
                onChange={(on) => field.onChange(on ? 'beadLock' : 'none')}
              />
            )
          }
        />
      )}
      {asks('rimWidth') && (
        <View style={styles.pair}>
          <View style={styles.half}>
            <FormQuantity
              control={control}
              name={own('rimInner')}
              label="Rim inside"
              spoken={`${spoken}rim width inside`}
              quantity="length"
            />
          </View>
          <View style={styles.half}>
            <FormQuantity
              control={control}
              name={own('measuredWidth')}
              label="Tire, measured"
              spoken={`${spoken}tire width as measured`}
              quantity="length"
            />
          </View>
        </View>
      )}
      {asks('rimWidth') && (
        <Text as="small" tone="muted">
          No marking tells how wide the tire really is on its rim: measure it at its widest, with air in it.
        </Text>
      )}
      {asks('casing') && (
        <Controller
          control={control}
          name={`axles.${index}.casing`}
          render={({ field }) => (
            <Choice
              label="Casing"
              value={field.value || undefined}
              options={CASINGS.map((code) => ({ code, name: CASING_WORDS[code] }))}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {asks('insert') && (
        <Controller
          control={control}
          name={`axles.${index}.insert`}
          render={({ field }) => (
            <Toggle label="Insert" note="Foam inside" value={field.value} onChange={field.onChange} />
          )}
        />
      )}
      <Unfold label="What else the sidewall says">
        {!ridden && tube}
        <View style={styles.pair}>
          <View style={styles.half}>
            <FormQuantity
              control={control}
              name={own('min')}
              label="Least"
              spoken={`${spoken}least pressure`}
              quantity="pressure"
            />
          </View>
          <View style={styles.half}>
            <FormQuantity
              control={control}
              name={own('max')}
              label="Maximum"
              spoken={`${spoken}maximum pressure`}
              quantity="pressure"
            />
          </View>
        </View>
        {asks('treadWidth') && (
          <FormQuantity
            control={control}
            name={own('treadWidth')}
            label="Tread width, if measured"
            spoken={`${spoken}tread width`}
            quantity="length"
          />
        )}
        {asks('loadLines') && <LoadLines control={control} index={index} spoken={spoken} />}
        {asks('dataSheet') && <DataSheet control={control} index={index} spoken={spoken} />}
      </Unfold>
    </>
  );
}

/** The letters of heavy trucks only where one of them is worn. */
const offered = (code: LoadRange, chosen: LoadRange): boolean =>
  !'GHJL'.includes(code) || 'GHJL'.includes(chosen) || code === chosen;

interface PointsProps {
  readonly control: Control<RigFormValues>;
  readonly index: number;
  readonly spoken: string;
}

function LoadLines({ control, index, spoken }: PointsProps) {
  const { fields, append, remove } = useFieldArray({ control, name: `axles.${index}.lines` });
  return (
    <View style={styles.points}>
      <Text as="label" tone="muted">
        Max load at pressure: two lines tell how load falls with pressure
      </Text>
      {fields.map(({ id }, line) => (
        <Point key={id} name={`line ${line + 1}`} onRemove={() => remove(line)}>
          <FormQuantity
            control={control}
            name={`axles.${index}.lines.${line}.pressure`}
            label="At"
            spoken={`${spoken}line ${line + 1}, at`}
            quantity="pressure"
          />
          <FormQuantity
            control={control}
            name={`axles.${index}.lines.${line}.load`}
            label="Carries"
            spoken={`${spoken}line ${line + 1}, carries`}
            quantity="mass"
          />
        </Point>
      ))}
      <Action icon={Plus} label="A line" onPress={() => append({ pressure: EMPTY_QUANTITY, load: EMPTY_QUANTITY })} />
    </View>
  );
}

function DataSheet({ control, index, spoken }: PointsProps) {
  const { fields, append, remove } = useFieldArray({ control, name: `axles.${index}.rows` });
  const marking = useWatch({ control, name: `axles.${index}.marking` });
  const reading = readMarking(marking);
  const flexion = reading.ok ? reading.value.flexion : undefined;
  return (
    <View style={styles.points}>
      <Text as="label" tone="muted">
        {"Rows of the tire's data sheet: they beat every formula"}
      </Text>
      {fields.map(({ id }, row) => (
        <Point key={id} name={`row ${row + 1}`} onRemove={() => remove(row)}>
          <FormQuantity
            control={control}
            name={`axles.${index}.rows.${row}.pressure`}
            label="At"
            spoken={`${spoken}row ${row + 1}, at`}
            quantity="pressure"
          />
          <Controller
            control={control}
            name={`axles.${index}.rows.${row}.speed`}
            render={({ field, fieldState }) => (
              <NumberField
                label="Up to"
                unit="km/h"
                spokenLabel={`${spoken}row ${row + 1}, up to`}
                value={field.value}
                onChange={field.onChange}
                problem={fieldState.error?.message}
              />
            )}
          />
          <FormQuantity
            control={control}
            name={`axles.${index}.rows.${row}.load`}
            label="Carries"
            spoken={`${spoken}row ${row + 1}, carries`}
            quantity="mass"
          />
        </Point>
      ))}
      <Action
        icon={Plus}
        label="A row"
        onPress={() => append({ pressure: EMPTY_QUANTITY, load: EMPTY_QUANTITY, speed: '' })}
      />
      {fields.length > 0 && flexion && (
        <Controller
          control={control}
          name={`axles.${index}.rowsOf`}
          render={({ field }) => (
            <Choice
              label="These rows are of"
              value={field.value}
              options={[
                { code: 'thisTire', name: `This ${flexion} tire` },
                {
                  code: 'standardTire',
                  name: 'The standard one',
                  note: flexion === 'IF' ? 'carries 20 % less' : 'carries 40 % less',
                },
              ]}
              onChange={field.onChange}
            />
          )}
        />
      )}
    </View>
  );
}

interface PointProps {
  readonly name: string;
  readonly children: readonly ReactNode[];
  readonly onRemove: () => void;
}

function Point({ name, children, onRemove }: PointProps) {
  const palette = usePalette();
  return (
    <View style={styles.pair}>
      {children.map((child, place) => (
        <View key={place} style={styles.half}>
          {child}
        </View>
      ))}
      <Press aria-label={`Remove ${name}`} onPress={onRemove} style={styles.remove}>
        <Trash size={20} color={palette.muted} />
      </Press>
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
  points: { gap: 8 },
  pair: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  half: { flex: 1, minWidth: 0 },
  remove: { alignItems: 'center', marginTop: 6, height: 50, width: 48 },
});
