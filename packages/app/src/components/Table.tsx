import type { ReactNode } from 'react';
import { StyleSheet, View, type ViewStyle } from 'react-native';

import { usePalette } from '../theme/useLight';
import { Text } from './Text';

type TextKind = Parameters<typeof Text>[0];

/** A column: how wide, and how its cells are written. */
export interface Column extends Pick<TextKind, 'as' | 'tone'> {
  readonly head: string;
  /** Its share of the room, or its width, px; one share where neither is said. */
  readonly share?: number;
  readonly width?: number;
}

export interface Row {
  readonly key: string;
  /** The first one names the row. A text is written as its column says; null leaves the cell empty. */
  readonly cells: readonly ReactNode[];
  /** Ruled off from those above it: a sum. */
  readonly isSum?: boolean;
}

interface TableProps {
  readonly label: string;
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}

/** A table of a field book: names on the left, figures on the right. Paper's own has no roles on the web. */
export function Table({ label, columns, rows }: TableProps) {
  const palette = usePalette();
  return (
    <View role="table" aria-label={label}>
      <View role="row" style={[styles.row, { borderColor: palette.ink }]}>
        {columns.map(({ head, ...column }, index) => (
          <View key={index} role="columnheader" style={boxOf(column, index)}>
            <Text as="label" {...(column.tone && { tone: column.tone })} style={index > 0 && styles.figure}>
              {head}
            </Text>
          </View>
        ))}
      </View>
      {rows.map(({ key, cells, isSum = false }) => (
        <View key={key} role="row" style={[styles.row, { borderColor: isSum ? palette.ink : palette.line }]}>
          {cells.map((cell, index) => {
            const { as = index === 0 ? 'small' : 'figure', tone, ...column } = columns[index]!;
            return (
              <View key={index} role={index === 0 ? 'rowheader' : 'cell'} style={boxOf(column, index)}>
                {typeof cell === 'string' ? (
                  <Text as={as} {...(tone && { tone })} style={index > 0 && styles.figure}>
                    {cell}
                  </Text>
                ) : (
                  cell
                )}
              </View>
            );
          })}
        </View>
      ))}
    </View>
  );
}

const boxOf = ({ share, width }: Pick<Column, 'share' | 'width'>, index: number): ViewStyle =>
  width === undefined ? { flex: share ?? (index === 0 ? 2 : 1), minWidth: 0 } : { width };

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'baseline', borderBottomWidth: 1, paddingVertical: 5, gap: 8 },
  figure: { textAlign: 'right' },
});
