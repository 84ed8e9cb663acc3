import type { ReactNode } from 'react';
import type { TextProps as NativeTextProps, TextStyle } from 'react-native';
import { Text as PaperText } from 'react-native-paper';

import { usePalette } from '../theme/useLight';
import type { Palette } from '../theme/palette';

/** Which of Paper's sizes, by what the text is. */
const VARIANTS = {
  title: 'headlineSmall',
  heading: 'titleLarge',
  strong: 'titleMedium',
  body: 'bodyLarge',
  small: 'bodyMedium',
  label: 'titleSmall',
  figure: 'displaySmall',
  numeral: 'displayLarge',
} as const;

interface TextProps extends NativeTextProps {
  readonly as?: keyof typeof VARIANTS;
  readonly tone?: keyof Pick<Palette, 'ink' | 'muted' | 'moss' | 'rust' | 'onMoss' | 'waterDeep'>;
  readonly level?: 1 | 2 | 3;
  readonly children: ReactNode;
}

/** Paper's text, in one of our few tones. Paper has no headings: `level` makes it one. */
export function Text({ as = 'body', tone = 'ink', level, style, ...rest }: TextProps) {
  const palette = usePalette();
  const heading = level === undefined ? {} : { role: 'heading' as const, 'aria-level': level };
  return (
    <PaperText
      {...heading}
      {...rest}
      variant={VARIANTS[as]}
      style={[{ color: palette[tone] }, (as === 'figure' || as === 'numeral') && TABULAR, style]}
    />
  );
}

const TABULAR: TextStyle = { fontVariant: ['tabular-nums'] };
