import type { Sheet, SheetPart } from '@dunlinmoss/contract';

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
