import { usePathname } from 'expo-router';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';

import { Text } from './Text';

/** The screen whose heading was shown last; null before the first. */
let lastPath: string | null = null;

/** Whether the focus is where somebody already types. */
const isTyping = (): boolean => document.activeElement?.matches('input, textarea, select') ?? false;

/**
 * The heading of a screen. The window is called by it, and a change of screen takes the focus to it, so that a screen reader
 * says where one is and the next Tab comes to what is below it.
 */
export function ScreenTitle({ children }: { readonly children: string }) {
  const path = usePathname();
  const heading = useRef<View>(null);
  useEffect(() => {
    document.title = `${children} · Dunlinmoss`;
  }, [children]);
  useEffect(() => {
    const isFirst = lastPath === null;
    const isSame = lastPath === path && document.activeElement !== document.body;
    lastPath = path;
    if (!isFirst && !isSame && !isTyping())
      (heading.current as unknown as HTMLElement | null)?.focus({ preventScroll: true });
  }, [path]);
  return (
    <View ref={heading} role="heading" aria-level={1} tabIndex={-1}>
      <Text as="title">{children}</Text>
    </View>
  );
}
