import { StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';
import { Press } from './Press';
import { Text } from './Text';
import { useRoving } from './useRoving';

interface ChoiceProps<Code extends string> {
  readonly label: string;
  readonly value: Code | undefined;
  readonly options: readonly {
    readonly code: Code;
    readonly name: string;
    readonly note?: string | undefined;
    /** A number that stands at the end of its line. */
    readonly figure?: string | undefined;
  }[];
  readonly onChange: (code: Code) => void;
  /** Side by side, or one below the other with room for a note. */
  readonly layout?: 'row' | 'list';
}

/**
 * One of a few: picking instead of typing. One stop of the Tab key; the arrows go from one to the next, and the space bar
 * or Enter chooses.
 */
export function Choice<Code extends string>({ label, value, options, onChange, layout = 'row' }: ChoiceProps<Code>) {
  const palette = usePalette();
  const roving = useRoving(
    options.length,
    options.findIndex(({ code }) => code === value),
  );
  return (
    <View role="radiogroup" aria-label={label} style={styles.group}>
      <Text as="label" tone="muted">
        {label}
      </Text>
      <View style={layout === 'row' ? styles.row : styles.list}>
        {options.map(({ code, name, note, figure }, index) => {
          const chosen = code === value;
          return (
            <Press
              key={code}
              {...roving(index)}
              role="radio"
              aria-checked={chosen}
              aria-label={figure === undefined ? name : `${name}, ${figure}`}
              onPress={() => onChange(code)}
              style={[
                layout === 'list' ? styles.inList : options.length === 4 ? styles.inPairs : styles.inRow,
                {
                  borderColor: chosen ? palette.moss : palette.edge,
                  backgroundColor: chosen ? palette.mossWash : palette.card,
                },
                chosen && styles.chosen,
              ]}
            >
              <View style={figure !== undefined && styles.line}>
                <Text
                  as={chosen ? 'strong' : 'body'}
                  style={[layout === 'row' && styles.centered, figure !== undefined && styles.name]}
                >
                  {name}
                </Text>
                {figure !== undefined && <Text as="figure">{figure}</Text>}
              </View>
              {note !== undefined && (
                <Text as="small" tone="muted" style={layout === 'row' && styles.centered}>
                  {note}
                </Text>
              )}
            </Press>
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  group: { gap: 6 },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  list: { gap: 6 },
  inRow: { borderWidth: 1, borderRadius: 3, paddingHorizontal: 12, paddingVertical: 8, flexGrow: 1, flexBasis: 96 },
  inPairs: { borderWidth: 1, borderRadius: 3, paddingHorizontal: 8, paddingVertical: 8, flexGrow: 1, flexBasis: '40%' },
  inList: { borderWidth: 1, borderRadius: 3, paddingHorizontal: 12, paddingVertical: 7 },
  // The heavier edge tells the chosen one without colour.
  chosen: { borderLeftWidth: 6 },
  line: { flexDirection: 'row', alignItems: 'baseline', gap: 10 },
  name: { flex: 1 },
  centered: { textAlign: 'center' },
});
