import type { Rig, RigAxle, TireField } from '@dunlinmoss/contract';
import {
  CASINGS,
  LOAD_RANGE_CODES,
  LOAD_RANGES,
  readMarking,
  type RigFormField,
  type BeadHold,
  type Casing,
  type Family,
  type LoadRange,
} from '@dunlinmoss/core';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { RowNumber, RowQuantity, usePicked, useProblem } from '../../forms/fields';
import { appended, chosen, removed } from '../../forms/rowForm';
import { useValue, type OpenForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { FieldNote } from '../../components/FieldNote';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { Plus, Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { TIRE_USE_WORDS } from '../../words/families';
import { MARKING_EXAMPLES, readBack } from '../../words/marking';
import { markedLoadRange } from './rigForm';

const CASING_WORDS: Record<Casing, string> = { thin: 'Thin', medium: 'Medium', downhill: 'Downhill' };

interface TireProps {
  readonly form: OpenForm<Rig>;
  /** The axles that wear it: each of them is told what is told of the first. */
  readonly axles: readonly number[];
  /** Stands before each label for those who hear it. */
  readonly spoken: string;
}

interface TireFieldsProps extends TireProps {
  readonly family: Family;
}

/** Where a field of a tire is: on the first axle that wears it, and on the others. */
function placesOf<Field extends TireField>(axles: readonly number[], field: Field) {
  const [at, ...also] = axles.map((index) => `/axles/${index}/${field}` as const);
  return { at: at!, also };
}

/** What a tire says on its sidewall, and what its family needs to know besides. */
export function TireFields({ form, axles, family, spoken }: TireFieldsProps) {
  const asks = (what: RigFormField): boolean => family.asks.includes(what);
  // On what is ridden a tube decides much; elsewhere it is one more thing to know.
  const ridden = family.kind === 'bicycle' || family.kind === 'motorcycle';
  const tube = asks('tube') && <TubeField form={form} axles={axles} spoken={spoken} />;
  const own = { form, axles, spoken };
  return (
    <>
      <MarkingField {...own} family={family} />
      {asks('loadRange') && <LoadRangeField {...own} />}
      {ridden && tube}
      {(asks('beadLock') || asks('rimLock')) && <BeadField {...own} lock={asks('rimLock') ? 'rimLock' : 'beadLock'} />}
      {asks('rimWidth') && (
        <>
          <View style={styles.pair}>
            <View style={styles.half}>
              <RowQuantity
                form={form}
                {...placesOf(axles, 'rimInnerMm')}
                label="Rim inside"
                spoken={`${spoken}rim width inside`}
                quantity="length"
              />
            </View>
            <View style={styles.half}>
              <RowQuantity
                form={form}
                {...placesOf(axles, 'measuredWidthMm')}
                label="Tire, measured"
                spoken={`${spoken}tire width as measured`}
                quantity="length"
              />
            </View>
          </View>
          <Text as="small" tone="muted">
            No marking tells how wide the tire really is on its rim: measure it at its widest, with air in it.
          </Text>
        </>
      )}
      {asks('casing') && <CasingField {...own} />}
      {asks('insert') && <InsertField {...own} />}
      <Unfold label="What else the sidewall says">
        {!ridden && tube}
        <View style={styles.pair}>
          <View style={styles.half}>
            <RowQuantity
              form={form}
              {...placesOf(axles, 'minKpa')}
              label="Least"
              spoken={`${spoken}least pressure`}
              quantity="pressure"
            />
          </View>
          <View style={styles.half}>
            <RowQuantity
              form={form}
              {...placesOf(axles, 'maxKpa')}
              label="Maximum"
              spoken={`${spoken}maximum pressure`}
              quantity="pressure"
            />
          </View>
        </View>
        {asks('treadWidth') && (
          <RowQuantity
            form={form}
            {...placesOf(axles, 'treadWidthMm')}
            label="Tread width, if measured"
            spoken={`${spoken}tread width`}
            quantity="length"
          />
        )}
        {asks('loadLines') && <LoadLines {...own} />}
        {asks('dataSheet') && <DataSheet {...own} />}
      </Unfold>
    </>
  );
}

function MarkingField({ form, axles, family }: TireFieldsProps) {
  const units = unitsStore.use();
  const { at } = placesOf(axles, 'tireMarking');
  const marking = useValue<Rig, string>(form, at);
  const refused = useProblem(form, at);
  const [left, setLeft] = useState(false);
  const back = readBack(marking, units, family.kind);
  const reading = readMarking(marking);
  const stranger = reading.ok && !family.tireUses.includes(reading.value.use) ? reading.value.use : undefined;
  const problem = refused ?? (marking.trim() !== '' && !back.ok && left ? back.text : undefined);
  const type = (text: string): void => {
    form.clearProblem(at);
    const marked = markedLoadRange(text);
    form.change((now) => {
      const typed = chosen(
        now,
        axles.map((index) => `/axles/${index}/tireMarking`),
        text,
      );
      const ranges = axles.map((index) => `/axles/${index}/loadRange`);
      return marked === undefined ? typed : chosen(typed, ranges, marked);
    });
  };
  return (
    <View style={styles.field}>
      <TextField
        label="Tire size, as on the sidewall"
        value={marking}
        onChange={type}
        onBlur={() => setLeft(true)}
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
}

function LoadRangeField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'loadRange');
  const [loadRange, pick] = usePicked<Rig, LoadRange>(form, at, also);
  const marked = markedLoadRange(useValue<Rig, string>(form, placesOf(axles, 'tireMarking').at));
  return (
    <Choice
      label={marked ? 'Load range, from the marking' : 'Load range letter on the sidewall'}
      value={marked ?? loadRange}
      options={LOAD_RANGE_CODES.filter((code) => offered(code, marked ?? loadRange)).map((code) => ({
        code,
        name: code === 'standard' ? 'None' : code,
        note: code === 'standard' ? 'standard' : `${LOAD_RANGES[code].plyRating} ply`,
      }))}
      onChange={pick}
    />
  );
}

/** The letters of heavy trucks only where one of them is worn. */
const offered = (code: LoadRange, chosenCode: LoadRange): boolean =>
  !'GHJL'.includes(code) || 'GHJL'.includes(chosenCode) || code === chosenCode;

function TubeField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'tube');
  const [tube, pick] = usePicked<Rig, boolean>(form, at, also);
  return (
    <Choice
      label="Inside"
      value={tube ? 'tube' : 'tubeless'}
      options={[
        { code: 'tubeless', name: 'Tubeless' },
        { code: 'tube', name: 'Tube' },
      ]}
      onChange={(code) => pick(code === 'tube')}
    />
  );
}

const LOCK_WORDS = {
  rimLock: { label: 'Rim lock', note: "Clamps the bead to the rim so that the tire can't creep." },
  beadLock: { label: 'Bead locks', note: 'Rings that clamp the bead.' },
};

function BeadField({ form, axles, lock }: TireProps & { readonly lock: keyof typeof LOCK_WORDS }) {
  const { at, also } = placesOf(axles, 'beadHold');
  const [hold, pick] = usePicked<Rig, BeadHold>(form, at, also);
  return <Toggle {...LOCK_WORDS[lock]} value={hold === lock} onChange={(on) => pick(on ? lock : 'none')} />;
}

function CasingField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'casing');
  const [casing, pick] = usePicked<Rig, Casing | null>(form, at, also);
  return (
    <Choice
      label="Casing"
      value={casing ?? undefined}
      options={CASINGS.map((code) => ({ code, name: CASING_WORDS[code] }))}
      onChange={pick}
    />
  );
}

function InsertField({ form, axles }: TireProps) {
  const { at, also } = placesOf(axles, 'insert');
  const [insert, pick] = usePicked<Rig, boolean>(form, at, also);
  return <Toggle label="Insert" note="Foam inside" value={insert} onChange={pick} />;
}

/** A line or row with nothing in it yet. */
const BLANK_LINE = { pressureKpa: null, loadKg: null };
const BLANK_ROW = { ...BLANK_LINE, speedKmh: null };

/** The lists of points of a tire, one on each axle that wears it. */
function usePoints<List extends 'lines' | 'rows'>(form: OpenForm<Rig>, axles: readonly number[], list: List) {
  const { at } = placesOf(axles, list);
  const lists = axles.map((index) => `/axles/${index}/${list}`);
  const blank = list === 'lines' ? BLANK_LINE : BLANK_ROW;
  return {
    count: useValue<Rig, RigAxle[List]>(form, at).length,
    add: () => form.change((now) => appended(now, lists, blank)),
    remove: (place: number) => form.change((now) => removed(now, lists, place)),
  };
}

/** Where a field of a point is, on the first axle and on the others. */
function pointPlaces<List extends 'lines' | 'rows', Field extends 'pressureKpa' | 'loadKg'>(
  axles: readonly number[],
  list: List,
  place: number,
  field: Field,
) {
  const [at, ...also] = axles.map((index) => `/axles/${index}/${list}/${place}/${field}` as const);
  return { at: at!, also };
}

const numbered = (count: number): number[] => Array.from({ length: count }, (_, place) => place);

function LoadLines({ form, axles, spoken }: TireProps) {
  const { count, add, remove } = usePoints(form, axles, 'lines');
  return (
    <View style={styles.points}>
      <Text as="label" tone="muted">
        Max load at pressure: two lines tell how load falls with pressure
      </Text>
      {numbered(count).map((line) => (
        <Point key={line} name={`line ${line + 1}`} onRemove={() => remove(line)}>
          <RowQuantity
            form={form}
            {...pointPlaces(axles, 'lines', line, 'pressureKpa')}
            label="At"
            spoken={`${spoken}line ${line + 1}, at`}
            quantity="pressure"
          />
          <RowQuantity
            form={form}
            {...pointPlaces(axles, 'lines', line, 'loadKg')}
            label="Carries"
            spoken={`${spoken}line ${line + 1}, carries`}
            quantity="mass"
          />
        </Point>
      ))}
      <Action icon={Plus} label="A line" onPress={add} />
    </View>
  );
}

function DataSheet({ form, axles, spoken }: TireProps) {
  const { count, add, remove } = usePoints(form, axles, 'rows');
  const { at, also } = placesOf(axles, 'rowsOf');
  const [rowsOf, pick] = usePicked<Rig, RigAxle['rowsOf']>(form, at, also);
  const reading = readMarking(useValue<Rig, string>(form, placesOf(axles, 'tireMarking').at));
  const flexion = reading.ok ? reading.value.flexion : undefined;
  return (
    <View style={styles.points}>
      <Text as="label" tone="muted">
        {"Rows of the tire's data sheet: they beat every formula"}
      </Text>
      {numbered(count).map((row) => (
        <Point key={row} name={`row ${row + 1}`} onRemove={() => remove(row)}>
          <RowQuantity
            form={form}
            {...pointPlaces(axles, 'rows', row, 'pressureKpa')}
            label="At"
            spoken={`${spoken}row ${row + 1}, at`}
            quantity="pressure"
          />
          <RowNumber
            form={form}
            at={`/axles/${axles[0]!}/rows/${row}/speedKmh`}
            also={axles.slice(1).map((index) => `/axles/${index}/rows/${row}/speedKmh` as const)}
            label="Up to"
            unit="km/h"
            spoken={`${spoken}row ${row + 1}, up to`}
          />
          <RowQuantity
            form={form}
            {...pointPlaces(axles, 'rows', row, 'loadKg')}
            label="Carries"
            spoken={`${spoken}row ${row + 1}, carries`}
            quantity="mass"
          />
        </Point>
      ))}
      <Action icon={Plus} label="A row" onPress={add} />
      {count > 0 && flexion && (
        <Choice
          label="These rows are of"
          value={rowsOf}
          options={[
            { code: 'thisTire', name: `This ${flexion} tire` },
            {
              code: 'standardTire',
              name: 'The standard one',
              note: flexion === 'IF' ? 'carries 20 % less' : 'carries 40 % less',
            },
          ]}
          onChange={pick}
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
