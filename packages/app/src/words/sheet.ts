/** A stretch of a strip: how much of its width, how high what stands in it, and what is written on it and below. */
export interface SheetBar {
  readonly share: number;
  readonly level: number;
  readonly name: string;
  readonly foot: string;
  /** Begins with a post. */
  readonly post: boolean;
}

/** A part of a sheet: a picture of bars, a table, labelled lines, or a list, under a heading where it has one. */
export type SheetPart = { readonly title?: string } & (
  | { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | { readonly lines: readonly (readonly [label: string, value: string])[] }
  | { readonly bullets: readonly string[] }
  | { readonly bars: readonly SheetBar[] }
);

/** What a sheet is printed on: a page on the wall across, a half page upright, as large as a hand. */
export type Paper = 'A4' | 'A5' | 'A6';

/** One page to print or keep: the same for screen, paper and text. */
export interface Sheet {
  readonly title: string;
  readonly about: string;
  readonly parts: readonly SheetPart[];
  readonly foot: string;
}

const partText = (part: SheetPart): string[] => {
  if ('lines' in part) {
    const wide = Math.max(...part.lines.map(([label]) => label.length));
    return part.lines.map(([label, value]) => `  ${label.padEnd(wide)}  ${value}`);
  }
  if ('bullets' in part) return part.bullets.map((text) => `  ! ${text}`);
  // The table beside it says the same.
  if ('bars' in part) return [];
  const all = [part.head, ...part.rows];
  const widths = part.head.map((_, column) => Math.max(...all.map((row) => row[column]!.length)));
  return all.map(
    (row) =>
      `  ${row
        .map((text, column) => text.padEnd(widths[column]!))
        .join('  ')
        .trimEnd()}`,
  );
};

/** A sheet as plain text, for a message or a notebook. */
export const sheetText = ({ title, about, parts, foot }: Sheet): string =>
  [
    title,
    about,
    ...parts
      .filter((part) => !('bullets' in part) || part.bullets.length > 0)
      .flatMap((part) => ['', ...(part.title === undefined ? [] : [part.title]), ...partText(part)]),
    '',
    foot,
    '',
  ]
    .join('\n')
    .replaceAll('\u00a0', ' ');
