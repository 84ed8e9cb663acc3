import type { ReactNode, Ref } from 'react';
import { StyleSheet, Text as NativeText, type TextProps as NativeTextProps } from 'react-native';

import { FACES } from '../theme/type';
import { usePalette } from '../theme/useLight';
import type { Palette } from '../theme/palette';

interface TextProps extends NativeTextProps {
  readonly as?: keyof typeof styles;
  readonly tone?: keyof Pick<Palette, 'ink' | 'muted' | 'moss' | 'rust' | 'onMoss' | 'waterDeep'>;
  readonly level?: 1 | 2 | 3;
  readonly ref?: Ref<NativeText>;
  readonly children: ReactNode;
}

/** Every text of the application: which of our few sizes, which of our few tones. */
export function Text({ as = 'body', tone = 'ink', level, style, ...rest }: TextProps) {
  const palette = usePalette();
  const heading = level === undefined ? {} : { role: 'heading' as const, 'aria-level': level };
  return <NativeText {...heading} {...rest} style={[styles[as], { color: palette[tone] }, style]} />;
}

const styles = StyleSheet.create({
  title: { fontFamily: FACES.strong, fontSize: 24, lineHeight: 30 },
  heading: { fontFamily: FACES.strong, fontSize: 18, lineHeight: 24 },
  strong: { fontFamily: FACES.strong, fontSize: 16, lineHeight: 22 },
  body: { fontFamily: FACES.text, fontSize: 16, lineHeight: 22 },
  small: { fontFamily: FACES.text, fontSize: 14, lineHeight: 19 },
  label: { fontFamily: FACES.strong, fontSize: 14, lineHeight: 18 },
  figure: { fontFamily: FACES.number, fontSize: 18, lineHeight: 24, fontVariant: ['tabular-nums'] },
  numeral: { fontFamily: FACES.number, fontSize: 52, lineHeight: 56, fontVariant: ['tabular-nums'] },
});
