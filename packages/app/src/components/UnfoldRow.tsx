import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { usePalette } from '../theme/useLight';
import { Press } from './Press';
import { Text } from './Text';

interface UnfoldRowProps {
  /** Two that fit beside one another. */
  readonly items: readonly {
    readonly label: string;
    readonly value: string;
    readonly content: (close: () => void) => ReactNode;
  }[];
}

/** Pickers side by side, so that what comes of them stays in view; the one that is opened has the full width below. */
export function UnfoldRow({ items }: UnfoldRowProps) {
  const palette = usePalette();
  const [open, setOpen] = useState<number | null>(null);
  const close = (): void => setOpen(null);
  const box = { borderColor: palette.edge, backgroundColor: palette.card };
  return (
    <View style={styles.all}>
      <View style={styles.row}>
        {items.map(({ label, value }, index) => {
          return (
            <Press
              key={label}
              aria-expanded={open === index}
              onPress={() => setOpen(open === index ? null : index)}
              style={[styles.head, box, open === index && { borderColor: palette.moss }]}
            >
              <View style={styles.line}>
                <View style={styles.words}>
                  <Text as="label" tone="muted">
                    {label}
                  </Text>
                  <Text as="strong" numberOfLines={2}>
                    {value}
                  </Text>
                </View>
                <Icon source={open === index ? 'chevron-up' : 'chevron-down'} size={20} color={palette.muted} />
              </View>
            </Press>
          );
        })}
      </View>
      {open !== null && items[open] && <View style={[styles.body, box]}>{items[open].content(close)}</View>}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { gap: 8 },
  row: { flexDirection: 'row', gap: 8, alignItems: 'stretch' },
  head: { flex: 1, minWidth: 0, borderWidth: 1, borderRadius: 3, paddingLeft: 10, paddingRight: 6, paddingVertical: 5 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  words: { flex: 1, minWidth: 0 },
  body: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 10 },
});
