import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { usePalette } from '../theme/useLight';
import { useRail, useWide } from '../theme/useWide';
import { ScreenTitle } from './ScreenTitle';

interface PageProps {
  readonly title: string;
  /** Beside the title: what must be in reach at any time. */
  readonly aside?: ReactNode;
  /** What is put in: above on a phone, the left pane on a wide screen. */
  readonly children: ReactNode;
  /** What comes out: below on a phone; the right pane, always in view, on a wide screen. */
  readonly result?: ReactNode;
  /** The next step of the screen, within the thumb's reach on a phone. */
  readonly action?: ReactNode;
}

/** One screen: a single column on a phone, two panes where there is room, and on a phone on its side that has both to show. */
export function Page({ title, aside, children, result, action }: PageProps) {
  const palette = usePalette();
  const wide = useWide();
  const onItsSide = useRail() && !wide;
  const heading = (
    <View style={styles.heading}>
      <View style={styles.title}>
        <ScreenTitle>{title}</ScreenTitle>
      </View>
      {aside}
    </View>
  );
  const foot = action && (
    <View style={[styles.foot, { backgroundColor: palette.paper, borderColor: palette.line }]}>{action}</View>
  );
  if (!wide && !(onItsSide && result)) {
    return (
      <View style={styles.page}>
        <ScrollView {...reachable(title)} contentContainerStyle={styles.column}>
          {heading}
          {children}
          {result}
        </ScrollView>
        {foot}
      </View>
    );
  }
  return (
    <View style={styles.panes}>
      <View style={[styles.left, onItsSide && styles.narrow, { borderColor: palette.line }]}>
        <ScrollView {...reachable(title)} contentContainerStyle={onItsSide ? styles.column : styles.wideColumn}>
          {heading}
          {children}
        </ScrollView>
        {foot}
      </View>
      <ScrollView
        {...reachable('Result')}
        style={styles.right}
        contentContainerStyle={onItsSide ? styles.column : styles.wideColumn}
      >
        {result}
      </ScrollView>
    </View>
  );
}

/** What scrolls can be reached and scrolled with the keyboard. */
const reachable = (name: string) => ({ role: 'region' as const, 'aria-label': name, tabIndex: 0 as const });

const styles = StyleSheet.create({
  page: { flex: 1 },
  heading: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  title: { flex: 1, minWidth: 0 },
  column: { padding: 14, paddingBottom: 24, gap: 12 },
  panes: { flex: 1, flexDirection: 'row' },
  left: { width: 420, borderRightWidth: 1 },
  narrow: { width: 300 },
  right: { flex: 1 },
  wideColumn: { padding: 20, paddingBottom: 32, gap: 14, maxWidth: 820 },
  foot: { paddingHorizontal: 14, paddingVertical: 8, borderTopWidth: 1 },
});
