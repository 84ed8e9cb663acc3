/** The two faces: a humanist one for words, a narrow one with tabular figures for numbers. */
export const FACES = {
  text: 'SourceSans3_400Regular',
  strong: 'SourceSans3_600SemiBold',
  number: 'ArchivoNarrow_600SemiBold',
} as const;
