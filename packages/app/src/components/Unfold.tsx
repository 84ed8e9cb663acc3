import { ChevronDown, ChevronUp } from '../theme/icons';
import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';
import { Press } from './Press';
import { Text } from './Text';

interface UnfoldProps {
  readonly label: string;
  readonly value?: string | undefined;
  readonly children: ReactNode | ((close: () => void) => ReactNode);
  readonly startsOpen?: boolean;
}

/** A line that opens to show more: a picker, or a reason one tap away. */
export function Unfold({ label, value, children, startsOpen = false }: UnfoldProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(startsOpen);
  const Chevron = open ? ChevronUp : ChevronDown;
  return (
    <View style={[styles.box, { borderColor: palette.line, backgroundColor: palette.card }]}>
      <Press aria-expanded={open} onPress={() => setOpen(!open)} style={styles.head}>
        <View style={styles.words}>
          <Text as={value === undefined ? 'strong' : 'label'} tone={value === undefined ? 'ink' : 'muted'}>
            {label}
          </Text>
          {value !== undefined && <Text as="strong">{value}</Text>}
        </View>
        <Chevron size={22} color={palette.muted} />
      </Press>
      {open && (
        <View style={styles.body}>{typeof children === 'function' ? children(() => setOpen(false)) : children}</View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 3 },
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 12, paddingVertical: 5, gap: 8 },
  words: { flex: 1 },
  body: { padding: 12, paddingTop: 4, gap: 10 },
});
