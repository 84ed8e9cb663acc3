import { askAbout } from '@dunlinmoss/contract';
import { pressureDoubt, type Likely, type Quantity, type UnitOf } from '@dunlinmoss/core';
import { useEffect, useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../settings/preferences';
import { NumberField } from '../components/NumberField';
import { QuantityField } from '../components/QuantityField';
import {
  canonicalOf,
  EMPTY_QUANTITY,
  quantityText,
  typedPressureUnit,
  type QuantityText,
} from '../components/quantityText';
import { TextField } from '../components/TextField';
import { WhenField } from '../components/WhenField';
import { parseNumber } from '../settings/typedNumber';
import { PressureDoubtNote } from '../components/PressureDoubtNote';
import { questionText } from '../words/questions';
import { clockMin, clockText } from '../words/route';
import { useAskedField } from './askedField';
import { chosen, valueAt, withValue, type Pointer } from './rowForm';
import { rowName, useValue, type OpenForm } from './useRowForm';

interface FieldOf<Body extends object> {
  readonly form: OpenForm<Body>;
  readonly at: Pointer<Body>;
  /** Further places that the same field speaks for. */
  readonly also?: readonly Pointer<Body>[];
  readonly label: string;
  readonly spoken?: string;
  readonly hint?: string | undefined;
}

/** What a field of a form shows beside itself, for as long as it is there. */
export function useProblem<Body extends object>(
  { problems, register }: OpenForm<Body>,
  at: string,
): string | undefined {
  useEffect(() => register(at), [register, at]);
  return problems.get(at);
}

/**
 * Where a number of a row lives, where that is not simply a field of its own: in a list by what it speaks of, or in
 * something that is null as a whole. `write` gets null for an empty field and NaN for text that is no number.
 */
export interface NumberPlace<Body> {
  /** What was typed, and what is refused, stands under it. */
  readonly key: string;
  readonly read: (row: Body) => number | null;
  readonly write: (row: Body, value: number | null) => Body;
}

interface NumberFieldOf<Body extends object> extends Omit<FieldOf<Body>, 'at'> {
  readonly at: Pointer<Body> | NumberPlace<Body>;
}

/** What a number's field shows and does, whatever it is a number of. */
function useNumber<Body extends object>(
  form: OpenForm<Body>,
  at: Pointer<Body> | NumberPlace<Body>,
  also: readonly Pointer<Body>[],
) {
  const place = useMemo(() => (typeof at === 'string' ? simplePlace<Body>(at, also) : at), [at, also]);
  const typed: QuantityText | undefined = useWatch({ control: form.inner.control, name: `texts.${place.key}` });
  // A plain field listens to itself alone; another place to the whole row.
  const watched: unknown = useWatch({
    control: form.inner.control,
    name: typeof at === 'string' ? rowName(at) : 'row',
  });
  const value = typeof at === 'string' ? ((watched ?? null) as number | null) : place.read(watched as Body);
  const type = (text: QuantityText, read: number | undefined): void => {
    form.clearProblem(place.key);
    const isEmpty = text.text.trim() === '';
    form.change((now) => ({
      row: place.write(now.row, isEmpty ? null : (read ?? Number.NaN)),
      texts: { ...now.texts, [place.key]: text },
    }));
  };
  const inputRef = useAskedField([place.key, ...also]);
  return { typed, value: Number.isNaN(value) ? null : value, type, problem: useProblem(form, place.key), inputRef };
}

/** A number that is a field of its own; text that is no number leaves null there until it is saved. */
const simplePlace = <Body extends object>(at: string, also: readonly string[]): NumberPlace<Body> => ({
  key: at,
  read: (row) => (valueAt(row, at) as number | null | undefined) ?? null,
  write: (row, value) =>
    [at, ...also].reduce((each, pointer) => withValue(each, pointer, Number.isNaN(value) ? null : value), row),
});

const NOWHERE: readonly never[] = [];

interface QuantityProps<Body extends object> extends NumberFieldOf<Body> {
  readonly quantity: Quantity;
  /** What such a value commonly is; anything else is asked about beside the field. */
  readonly likely?: Likely | null;
}

/** A quantity of a row in the person's own unit: the row's own value until it is touched. */
export function RowQuantity<Body extends object>(props: QuantityProps<Body>) {
  const { form, at, also = NOWHERE, label, spoken, quantity, likely = null, hint } = props;
  const units = unitsStore.use();
  const { typed, value, type, problem, inputRef } = useNumber(form, at, also);
  const question = askAbout(quantity, value, likely);
  const untouched =
    value === null ? EMPTY_QUANTITY : quantityText(quantity, units[quantity] as UnitOf<typeof quantity>, value);
  return (
    <QuantityField
      inputRef={inputRef}
      label={label}
      {...(spoken !== undefined && { spokenLabel: spoken })}
      quantity={quantity}
      value={typed ?? untouched}
      onChange={(text) => type(text, canonicalOf(quantity, text))}
      problem={problem}
      question={question ? questionText(quantity, question, units) : undefined}
      hint={hint}
    />
  );
}

interface PressureProps<Body extends object> extends NumberFieldOf<Body> {
  /** What such rigs usually have; anything far from it is asked back. Null asks nothing. */
  readonly usual: Likely | null;
  /** Where it is kept that the person stood by it; without one it is asked and not waited for. */
  readonly confirmed?: readonly Pointer<Body>[];
}

/** A pressure of a row: one that hardly can be is asked back, with what its digits may mean in another unit. */
export function RowPressure<Body extends object>(props: PressureProps<Body>) {
  const { form, at, also = NOWHERE, label, spoken, usual, confirmed = NOWHERE, hint } = props;
  const own = unitsStore.use().pressure;
  const { typed, value, type, problem, inputRef } = useNumber(form, at, also);
  const stoodBy: unknown = useWatch({
    control: form.inner.control,
    name: confirmed.length === 0 ? rowName('/nothing' as Pointer<Body>) : rowName(confirmed[0]!),
  });
  const unit = typedPressureUnit(typed, own);
  const doubt =
    usual === null || value === null || value === 0 || value === stoodBy ? null : pressureDoubt(value, unit, usual);
  const untouched = value === null ? EMPTY_QUANTITY : quantityText('pressure', own, value);
  return (
    <View style={styles.pressure}>
      <QuantityField
        inputRef={inputRef}
        label={label}
        {...(spoken !== undefined && { spokenLabel: spoken })}
        quantity="pressure"
        value={typed ?? untouched}
        onChange={(text) => type(text, canonicalOf('pressure', text))}
        problem={problem}
        hint={doubt ? undefined : hint}
      />
      {doubt && (
        <PressureDoubtNote
          doubt={doubt}
          unit={unit}
          onRead={(kpa) => type(quantityText('pressure', own, kpa), kpa)}
          {...(confirmed.length > 0 && {
            onRight: () => form.change((now) => chosen(now, confirmed, value)),
          })}
        />
      )}
    </View>
  );
}

interface NumberProps<Body extends object> extends NumberFieldOf<Body> {
  readonly unit: string;
  /** How many of what is typed make one of what is kept: 100 for a share typed in percent. */
  readonly per?: number;
}

/** A number of a unit that nobody chooses. */
export function RowNumber<Body extends object>(props: NumberProps<Body>) {
  const { form, at, also = NOWHERE, label, unit, per = 1, spoken, hint } = props;
  const { typed, value, type, problem, inputRef } = useNumber(form, at, also);
  return (
    <NumberField
      inputRef={inputRef}
      label={label}
      unit={unit}
      {...(spoken !== undefined && { spokenLabel: spoken })}
      value={typed?.text ?? (value === null ? '' : String(Number((value * per).toFixed(3))))}
      onChange={(text) => {
        const number = parseNumber(text);
        type({ text, unit: '' }, number === undefined ? undefined : number / per);
      }}
      problem={problem}
      hint={hint}
    />
  );
}

/** A time of the day, in minutes since midnight. */
export function RowClock<Body extends object>(props: FieldOf<Body>) {
  const { form, at, also = NOWHERE, label, spoken, hint } = props;
  const { value, type, problem, inputRef } = useNumber(form, at, also);
  return (
    <WhenField
      kind="time"
      inputRef={inputRef}
      label={label}
      {...(spoken !== undefined && { spokenLabel: spoken })}
      value={value === null ? '' : clockText(value)}
      onChange={(next) => type({ text: next, unit: '' }, clockMin(next))}
      problem={problem === undefined ? undefined : 'Expected a time of the day.'}
      hint={hint}
    />
  );
}

interface TextProps<Body extends object> extends FieldOf<Body> {
  readonly multiline?: boolean;
}

/** A line of text of a row. */
export function RowText<Body extends object>({ form, at, also = [], label, hint, multiline }: TextProps<Body>) {
  const value = useValue<Body, string>(form, at);
  return (
    <TextField
      label={label}
      value={value}
      onChange={(text) => {
        form.clearProblem(at);
        form.change((now) => chosen(now, [at, ...also], text));
      }}
      problem={useProblem(form, at)}
      hint={hint}
      {...(multiline !== undefined && { multiline })}
    />
  );
}

/** A value that is picked: what it is now, and the way to pick another. */
export function usePicked<Body extends object, Value>(
  form: OpenForm<Body>,
  at: Pointer<Body>,
  also: readonly Pointer<Body>[] = [],
): readonly [value: Value, pick: (value: Value) => void] {
  const value = useValue<Body, Value>(form, at);
  const pick = (next: Value): void => {
    form.clearProblem(at);
    form.change((now) => chosen(now, [at, ...also], next));
  };
  return [value, pick];
}

/** One of two numbers that stand or fall together, in something that is null while neither has anything. */
export const inPair = <Body extends object>(pair: Pointer<Body>, field: string, other: string): NumberPlace<Body> => ({
  key: `${pair}/${field}`,
  read: (row) => (valueAt(row, `${pair}/${field}`) as number | null | undefined) ?? null,
  write: (row, value) => {
    const sibling = (valueAt(row, `${pair}/${other}`) as number | null | undefined) ?? null;
    return withValue(row, pair, value === null && sibling === null ? null : { [other]: sibling, [field]: value });
  },
});

/** A number in a list whose items are known by what they speak of: an empty field is no item. */
export const inList = <Body extends object, Item extends object>(
  list: Pointer<Body>,
  field: keyof Item & string,
  name: string,
  isIt: (item: Item) => boolean,
  made: (value: number) => Item,
): NumberPlace<Body> => {
  const itemsOf = (row: Body): readonly Item[] => valueAt(row, list) as readonly Item[];
  return {
    key: `${list}/${name}`,
    read: (row) => (itemsOf(row).find(isIt)?.[field] as number | undefined) ?? null,
    write: (row, value) => {
      const items = itemsOf(row);
      const place = items.findIndex(isIt);
      const changed =
        value === null
          ? items.filter((item) => !isIt(item))
          : place < 0
            ? [...items, made(value)]
            : items.with(place, { ...items[place]!, [field]: value });
      return withValue(row, list, changed);
    },
  };
};

const styles = StyleSheet.create({ pressure: { gap: 4 } });
