import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, List } from 'react-native-paper';

import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface UnfoldProps {
  readonly label: string;
  readonly value?: string | undefined;
  readonly children: ReactNode | ((close: () => void) => ReactNode);
  readonly startsOpen?: boolean;
}

/**
 * A line that opens to show more: a picker, or a reason one tap away. Paper's list item, which says whether it is open;
 * Paper's own accordion does not.
 */
export function Unfold({ label, value, children, startsOpen = false }: UnfoldProps) {
  const palette = usePalette();
  const [open, setOpen] = useState(startsOpen);
  return (
    <View style={[styles.box, { borderColor: palette.edge, backgroundColor: palette.card }]}>
      <List.Item
        {...{ role: 'button', 'aria-expanded': open }}
        title={
          <Text as={value === undefined ? 'strong' : 'label'} tone={value === undefined ? 'ink' : 'muted'}>
            {label}
          </Text>
        }
        description={value === undefined ? undefined : () => <Text as="strong">{value}</Text>}
        titleNumberOfLines={0}
        right={() => (
          <View style={styles.chevron}>
            <Icon source={open ? 'chevron-up' : 'chevron-down'} size={22} color={palette.muted} />
          </View>
        )}
        onPress={() => setOpen(!open)}
        style={styles.head}
        contentStyle={styles.words}
      />
      {open && (
        <View style={styles.body}>{typeof children === 'function' ? children(() => setOpen(false)) : children}</View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { borderWidth: 1, borderRadius: 3 },
  head: { paddingVertical: 0, paddingRight: 10, minHeight: 48, justifyContent: 'center' },
  words: { paddingLeft: 12, paddingVertical: 5 },
  chevron: { justifyContent: 'center' },
  body: { padding: 12, paddingTop: 4, gap: 10 },
});
