import { Link, type Href } from 'expo-router';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';

interface LinkCardProps {
  readonly href: Href;
  /** The one whose details are in view beside the list. */
  readonly chosen?: boolean;
  readonly children: ReactNode;
}

/** One entry of a list, leading to its details. */
export function LinkCard({ href, chosen = false, children }: LinkCardProps) {
  const palette = usePalette();
  return (
    <View role="listitem">
      <Link href={href} style={styles.link}>
        <View
          style={[
            styles.card,
            { borderColor: palette.edge, backgroundColor: palette.card },
            chosen && [styles.chosen, { borderColor: palette.moss }],
          ]}
        >
          {children}
        </View>
      </Link>
    </View>
  );
}

/** The list that such entries stand in. */
export const CardList = ({ children }: { readonly children: ReactNode }) => (
  <View role="list" style={styles.list}>
    {children}
  </View>
);

const styles = StyleSheet.create({
  list: { gap: 8 },
  link: { display: 'flex' },
  card: { flex: 1, borderWidth: 1, borderRadius: 3, padding: 12, gap: 2, minHeight: 48 },
  chosen: { borderLeftWidth: 6 },
});
