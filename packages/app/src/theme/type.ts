import type { TextStyle } from 'react-native';

import { rem } from './rem';

/** The two faces: a humanist one for words, a narrow one with tabular figures for numbers. */
export const FACES = {
  text: 'SourceSans3_400Regular',
  strong: 'SourceSans3_600SemiBold',
  number: 'ArchivoNarrow_600SemiBold',
} as const;

const face = (fontFamily: string, fontSize: number, lineHeight: number) => ({
  fontFamily,
  fontSize: rem(fontSize),
  lineHeight: rem(lineHeight),
  letterSpacing: 0,
  fontWeight: '400' as const,
});

/** Our sizes under the names of Paper's. */
export const FONTS = {
  displayLarge: face(FACES.number, 52, 56),
  displayMedium: face(FACES.number, 52, 56),
  displaySmall: face(FACES.number, 18, 24),
  headlineLarge: face(FACES.strong, 24, 30),
  headlineMedium: face(FACES.strong, 24, 30),
  headlineSmall: face(FACES.strong, 24, 30),
  titleLarge: face(FACES.strong, 18, 24),
  titleMedium: face(FACES.strong, 16, 22),
  titleSmall: face(FACES.strong, 14, 18),
  labelLarge: face(FACES.strong, 16, 22),
  labelMedium: face(FACES.strong, 14, 18),
  labelSmall: face(FACES.strong, 14, 18),
  bodyLarge: face(FACES.text, 16, 22),
  bodyMedium: face(FACES.text, 14, 19),
  bodySmall: face(FACES.text, 14, 19),
};

/** A number that is typed. */
export const NUMBER_INPUT: TextStyle = {
  fontFamily: FACES.number,
  fontSize: rem(20),
  fontVariant: ['tabular-nums'],
};
