import type { Paper, Sheet, SheetPart } from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { fileName, giveFile } from './files';
import { pdfHere } from './pdf';
import { printSheet } from './print';
import { usePalette } from '../theme/useLight';
import { sheetText } from '../words/sheet';
import { Action } from './Action';
import { notify } from './Notice';
import { Table } from './Table';
import { Text } from './Text';

const SHEET = 'sheet';
/** The highest bar of a picture, px; a bar narrower than this share of it has no room for its words. */
const BAR_PX = 64;
const LEAST_SHARE = 0.12;

interface SheetActionsProps {
  readonly sheet: Sheet;
  /** What its files are called, before the ending. */
  readonly name: string;
  readonly paper: Paper;
}

/** Print it, keep it, send it. */
export function SheetActions({ sheet, name, paper }: SheetActionsProps) {
  const [making, setMaking] = useState(false);
  const savePdf = async (): Promise<void> => {
    setMaking(true);
    try {
      giveFile(fileName(name, 'pdf'), await pdfHere({ name, paper, sheets: [sheet] }));
    } catch {
      notify("The PDF could not be made just now: its maker can't be fetched. Plain text works.");
    } finally {
      setMaking(false);
    }
  };
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(sheetText(sheet));
      notify('The card is copied as text.');
    } catch {
      notify('This browser does not let text be copied. Save it as a file instead.');
    }
  };
  return (
    <View style={styles.actions}>
      <Action icon="printer" label="Print" onPress={() => printSheet(SHEET, paper)} />
      <Action
        icon="file-text"
        label={making ? 'Making it …' : 'PDF'}
        disabled={making}
        onPress={() => void savePdf()}
      />
      <Action
        icon="download"
        label="Text"
        onPress={() => giveFile(fileName(name, 'txt'), new Blob([sheetText(sheet)], { type: 'text/plain' }))}
      />
      <Action icon="copy" label="Copy" onPress={() => void copy()} />
    </View>
  );
}

/** The sheet as it will be on paper. */
export function SheetView({
  sheet: { title, about, parts, foot },
  minWidth,
}: {
  readonly sheet: Sheet;
  /** Of a table with many columns: what is around it scrolls. */
  readonly minWidth?: number;
}) {
  const palette = usePalette();
  const rule = { borderColor: palette.ink };
  return (
    <View
      nativeID={SHEET}
      style={[
        styles.sheet,
        rule,
        { backgroundColor: palette.card },
        minWidth !== undefined && { minWidth, maxWidth: minWidth },
      ]}
    >
      <Text as="title" level={2}>
        {title}
      </Text>
      <Text as="small">{about}</Text>
      {parts
        .filter((part) => !('bullets' in part) || part.bullets.length > 0)
        .map((part, index) => (
          <View key={index} style={[styles.part, rule]}>
            {part.title !== undefined && <Text as="strong">{part.title}</Text>}
            <Part part={part} />
          </View>
        ))}
      <View style={[styles.part, rule]}>
        <Text as="small">{foot}</Text>
      </View>
    </View>
  );
}

function Part({ part }: { readonly part: SheetPart }) {
  const palette = usePalette();
  if ('lines' in part) {
    return part.lines.map(([label, value]) => (
      <View key={label} style={styles.line}>
        <Text as="label" style={styles.label}>
          {label}
        </Text>
        <Text as="small" style={styles.value}>
          {value}
        </Text>
      </View>
    ));
  }
  if ('bullets' in part) {
    return part.bullets.map((text) => (
      <Text key={text} as="small">
        {`! ${text}`}
      </Text>
    ));
  }
  if ('bars' in part) {
    return (
      <View
        role="img"
        aria-label={part.bars.map(({ foot, name }) => `${foot}: ${name}`).join('; ')}
        style={styles.bars}
      >
        {part.bars.map(({ share, level, name, foot, post }, index) => (
          <View key={index} style={[styles.bar, { width: `${100 * share}%` }]}>
            <View style={[styles.over, post && [styles.post, { borderColor: palette.ink }]]}>
              {share >= LEAST_SHARE && <Text as="small">{name}</Text>}
              <View
                style={{
                  height: BAR_PX * level,
                  borderTopWidth: 2,
                  borderColor: palette.ink,
                  backgroundColor: palette.water,
                }}
              />
            </View>
            <View style={[styles.ground, { borderColor: palette.ink }]}>
              <Text as="small" tone="muted">
                {foot}
              </Text>
            </View>
          </View>
        ))}
      </View>
    );
  }
  // The last column is narrow where it is a unit or a speed alone.
  const last = part.head.length - 1;
  const isNarrow = part.rows.every((row) => row[last]!.length <= 6);
  return (
    <Table
      label={part.head[0]!}
      columns={part.head.map((head, column) => ({
        head,
        as: column === 0 ? 'small' : 'label',
        ...(column === last && isNarrow && { width: 52 }),
      }))}
      rows={part.rows.map((cells) => ({ key: cells[0]!, cells }))}
    />
  );
}

const styles = StyleSheet.create({
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  sheet: { borderWidth: 1.5, padding: 16, gap: 8, maxWidth: 620 },
  part: { borderTopWidth: 1, paddingTop: 6, gap: 2 },
  bars: { flexDirection: 'row', alignItems: 'flex-end', paddingVertical: 6 },
  bar: { overflow: 'hidden' },
  over: { height: BAR_PX + 34, justifyContent: 'flex-end', alignItems: 'stretch' },
  post: { borderLeftWidth: 3 },
  ground: { borderTopWidth: 1, alignItems: 'center' },
  line: { flexDirection: 'row', gap: 10 },
  label: { width: 96 },
  value: { flex: 1 },
  ruled: { borderTopWidth: 1, paddingVertical: 3 },
  first: { flex: 4 },
  between: { flex: 4 },
  last: { width: 46, textAlign: 'right' },
});
