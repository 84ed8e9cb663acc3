import type { Rig, RigAxle } from '@dunlinmoss/contract';
import { readMarking } from '@dunlinmoss/core';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { RowQuantity, usePicked } from '../../forms/fields';
import { appended, removed } from '../../forms/rowForm';
import { useValue, type OpenForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { PasteSheet } from './PasteSheet';
import { placesOf, type TireProps } from './tirePlaces';

/** A line or row with nothing in it yet. */
const BLANK_LINE = { pressureKpa: null, loadKg: null };

const BLANK_ROW = { ...BLANK_LINE, speedKmh: null };

/** The lists of points of a tire, one on each axle that has it. */
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

export function LoadLines({ form, axles, spoken }: TireProps) {
  const { count, add, remove } = usePoints(form, axles, 'lines');
  return (
    <View style={styles.points}>
      <Text as="label" tone="muted">
        “Max load … at …”: one line is the maximum too, two show how load falls with pressure
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
      <Action icon="plus" label="A line" onPress={add} />
    </View>
  );
}

export function DataSheet({ form, axles, spoken }: TireProps) {
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
      <PasteSheet form={form} axles={axles} spoken={spoken} />
      {numbered(count).map((row) => (
        <Point key={row} name={`row ${row + 1}`} onRemove={() => remove(row)}>
          <RowQuantity
            form={form}
            {...pointPlaces(axles, 'rows', row, 'pressureKpa')}
            label="At"
            spoken={`${spoken}row ${row + 1}, at`}
            quantity="pressure"
          />
          <RowQuantity
            form={form}
            at={`/axles/${axles[0]!}/rows/${row}/speedKmh`}
            also={axles.slice(1).map((index) => `/axles/${index}/rows/${row}/speedKmh` as const)}
            label="Up to"
            quantity="speed"
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
      <Action icon="plus" label="A row" onPress={add} />
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
        <Icon source="trash" size={20} color={palette.muted} />
      </Press>
    </View>
  );
}

const styles = StyleSheet.create({
  points: { gap: 8 },
  pair: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  half: { flex: 1, minWidth: 0 },
  remove: { alignItems: 'center', marginTop: 6, height: 50, width: 48 },
});
