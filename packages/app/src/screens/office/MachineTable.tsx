import { compareNames } from '@dunlinmoss/core';
import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { Link } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { OFFICE_COLUMNS, sortKey, type OfficeColumn, type OfficeLine } from '../../words/office';

interface MachineTableProps {
  readonly lines: readonly OfficeLine[];
  readonly columns: readonly OfficeColumn[];
}

const WIDTHS: Record<OfficeColumn, number> = {
  name: 180,
  kind: 120,
  state: 120,
  ground: 100,
  tires: 220,
  lastRead: 110,
  keeper: 110,
  lastBy: 120,
  load: 145,
  road: 130,
  worked: 220,
  nextCheck: 120,
};

const helper = createColumnHelper<OfficeLine>();

/** Machines by columns; a heading sorts by its column, once more the other way round. */
export function MachineTable({ lines, columns }: MachineTableProps) {
  const palette = usePalette();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  // What it gives back changes without being another thing; nothing here remembers it.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: useMemo(() => [...lines], [lines]),
    columns: useMemo(
      () =>
        columns.map((column) =>
          helper.accessor((line) => sortKey(line, column), {
            id: column,
            header: OFFICE_COLUMNS[column],
            sortingFn: (a, b, id) => {
              const [left, right] = [a.getValue<string | number>(id), b.getValue<string | number>(id)];
              return typeof left === 'number' ? left - Number(right) : compareNames(String(left), String(right));
            },
          }),
        ),
      [columns],
    ),
    state: { sorting },
    onSortingChange: setSorting,
    enableSortingRemoval: false,
    getRowId: ({ id }) => id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  return (
    <ScrollView horizontal role="region" aria-label="Table of machines" tabIndex={0}>
      <View
        role="table"
        aria-label="Machines"
        style={[styles.table, { borderColor: palette.line, backgroundColor: palette.card }]}
      >
        <View role="row" style={[styles.row, styles.head, { borderColor: palette.ink }]}>
          {table.getFlatHeaders().map(({ id, column }) => {
            const sorted = column.getIsSorted();
            return (
              <View
                key={id}
                role="columnheader"
                aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                style={{ width: WIDTHS[id as OfficeColumn] }}
              >
                <Press onPress={() => column.toggleSorting()} style={styles.heading}>
                  <Text as="label">
                    {`${String(column.columnDef.header)}${sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}`}
                  </Text>
                </Press>
              </View>
            );
          })}
        </View>
        {table.getRowModel().rows.map(({ id, original }) => (
          <View key={id} role="row" style={[styles.row, { borderColor: palette.line }]}>
            {columns.map((column) => (
              <View key={column} role="cell" style={[styles.cell, { width: WIDTHS[column] }]}>
                {column === 'name' ? (
                  <Link href={{ pathname: '/rigs/[id]', params: { id } }} style={styles.link}>
                    <Text as="strong" tone="moss">
                      {original.name}
                    </Text>
                  </Link>
                ) : (
                  <Text as="small">{original[column]}</Text>
                )}
              </View>
            ))}
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  table: { borderWidth: 1, borderRadius: 3 },
  row: { flexDirection: 'row', borderBottomWidth: 1 },
  head: { borderBottomWidth: 2 },
  heading: { paddingHorizontal: 10, alignItems: 'flex-start', width: '100%' },
  cell: { padding: 10, justifyContent: 'center' },
  link: { display: 'flex', minHeight: 48, alignItems: 'center' },
});
