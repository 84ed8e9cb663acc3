import type { Paper, Sheet, SheetBar, SheetPart, Sheets } from '@dunlinmoss/contract';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFHexString, type PDFPage } from 'pdf-lib';

/** Bytes of the two faces of words. */
export interface SheetFonts {
  readonly text: ArrayBuffer;
  readonly strong: ArrayBuffer;
}

interface Measures {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
}

/** In points. */
export const PAPERS = {
  A5: { width: 419.53, height: 595.28, margin: 28 },
  /** Across, for a wall. */
  A4: { width: 841.89, height: 595.28, margin: 28 },
  A6: { width: 297.64, height: 419.53, margin: 18 },
} as const satisfies Record<Paper, Measures>;

/** From the largest that reads well down to what can still be read; the first that fits on one page is taken. */
const SIZES = [10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5];
const SEVERAL_PAGES_SIZE = 8;
const LINE = 1.28;
const INK = rgb(0, 0, 0);
/** Of the width of the page: where values of labelled lines begin, and how far the first column of a table goes. */
const LABEL_SHARE = 0.21;
const FIRST_COLUMN_SHARE = 0.34;
const LAST_COLUMN_SHARE = 0.12;
const GAP = 5;
/** A picture of bars, in points: all of it, and the room for words above and below them. */
const BARS_TALL = 84;
const BARS_WORDS = 12;

interface Word {
  readonly text: string;
  readonly font: PDFFont;
  /** From the left margin. */
  readonly x: number;
}

/** One line of the page: what stands on it, and what is above it. */
interface Row {
  readonly words: readonly Word[];
  readonly size: number;
  readonly above: number;
  readonly rule?: 'strong' | 'thin';
  /** A picture instead of words, and how tall it is. */
  readonly bars?: readonly SheetBar[];
  readonly tall?: number;
}

interface Faces {
  readonly text: PDFFont;
  readonly strong: PDFFont;
}

/**
 * Whole, not cut down to the letters used: cutting loses the outlines of most of these faces' letters. Without ligatures:
 * their widths are wrong in the file, and leave a gap in every "soft".
 */
const WHOLE = { subset: false, features: { liga: false, clig: false, dlig: false } };

/**
 * Sheets as one PDF, in black on white, each beginning a page: of one page if its words can still be read on it. Told, as each
 * is laid out, how many are.
 */
export async function sheetsPdf(
  { name, paper, sheets }: Sheets,
  fonts: SheetFonts,
  onMade: (made: number) => void = () => undefined,
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(name);
  document.setCreator('Dunlinmoss');
  const faces: Faces = {
    text: remembering(await document.embedFont(fonts.text, WHOLE)),
    strong: remembering(await document.embedFont(fonts.strong, WHOLE)),
  };
  sheets.forEach((sheet, index) => {
    for (const rows of pagesOf(sheet, faces, PAPERS[paper])) {
      draw(document.addPage([PAPERS[paper].width, PAPERS[paper].height]), PAPERS[paper], rows, faces.strong);
    }
    onMade(index + 1);
  });
  return document.save();
}

/** The same face, that knows again what it has written: laying words out is most of a sheet, and sheets have most of them in common. */
function remembering(font: PDFFont): PDFFont {
  const known = new Map<string, PDFHexString>();
  const encode = font.encodeText.bind(font);
  font.encodeText = (text) => {
    const written = known.get(text) ?? encode(text);
    known.set(text, written);
    return written;
  };
  return font;
}

function pagesOf(sheet: Sheet, faces: Faces, { width, height, margin }: Measures): Row[][] {
  const rowsAt = (size: number): Row[] => rowsOf(sheet, faces, size, width - 2 * margin);
  const room = height - 2 * margin;
  for (const size of SIZES) {
    const rows = rowsAt(size);
    if (heightOf(rows) <= room) return [rows];
  }
  // What no page holds goes on over several, as large as it reads well.
  return paged(rowsAt(SEVERAL_PAGES_SIZE), room);
}

function rowsOf({ title, about, parts, foot }: Sheet, { text, strong }: Faces, size: number, width: number): Row[] {
  return [
    ...paragraph(title, strong, size * 1.7, width, {}),
    ...paragraph(about, text, size, width, { above: 2 }),
    ...parts
      .filter((part) => !('bullets' in part) || part.bullets.length > 0)
      .flatMap((part) => partRows(part, { text, strong }, size, width)),
    ...paragraph(foot, text, size * 0.9, width, { above: size, rule: 'strong' }),
  ];
}

function partRows(part: SheetPart, faces: Faces, size: number, width: number): Row[] {
  const heading =
    part.title === undefined
      ? []
      : paragraph(part.title, faces.strong, size * 1.1, width, { above: size * 0.9, rule: 'strong' });
  if ('lines' in part) {
    const x = width * LABEL_SHARE;
    return [
      ...heading,
      ...part.lines.flatMap(([label, value]) =>
        columns([cellOf(label, faces.strong, 0, x - GAP), cellOf(value, faces.text, x, width - x)], size, 0),
      ),
    ];
  }
  if ('bullets' in part) {
    return [
      ...heading,
      ...part.bullets.flatMap((bullet) =>
        columns([cellOf('!', faces.strong, 0, 10), cellOf(bullet, faces.text, 10, width - 10)], size, 0),
      ),
    ];
  }
  if ('bars' in part) {
    return [...heading, { words: [], size, above: size * 0.6, bars: part.bars, tall: BARS_TALL }];
  }
  // With many columns none may take a third of the page, and the last is as wide as the others unless it is short.
  const many = part.head.length > 5;
  const first = width * (many ? 1.6 / (part.head.length + 0.6) : FIRST_COLUMN_SHARE);
  const short = part.rows.every((cells) => cells.at(-1)!.length <= 6);
  const last = short ? width * LAST_COLUMN_SHARE : (width - first) / (part.head.length - 1);
  const between = (width - first - last) / (part.head.length - 2);
  const place = (column: number): { x: number; wide: number } =>
    column === 0
      ? { x: 0, wide: first - GAP }
      : column === part.head.length - 1
        ? { x: width - last, wide: last }
        : { x: first + (column - 1) * between, wide: between - GAP };
  const row = (cells: readonly string[], font: (column: number) => PDFFont, rule: Row['rule']): Row[] =>
    columns(
      cells.map((cell, column) => cellOf(cell, font(column), place(column).x, place(column).wide)),
      size,
      size * 0.62,
      rule,
    );
  return [
    ...heading,
    ...row(part.head, () => faces.strong, 'strong'),
    ...part.rows.flatMap((cells) => row(cells, (column) => (column === 0 ? faces.text : faces.strong), 'thin')),
  ];
}

interface Cell {
  readonly text: string;
  readonly font: PDFFont;
  readonly x: number;
  readonly wide: number;
}
const cellOf = (text: string, font: PDFFont, x: number, wide: number): Cell => ({ text, font, x, wide });

/** Cells side by side, each broken into as many lines as it takes. */
function columns(cells: readonly Cell[], size: number, above: number, rule?: Row['rule']): Row[] {
  const broken = cells.map(({ text, font, wide }) => wrap(text, font, size, wide));
  const most = Math.max(...broken.map((lines) => lines.length));
  return Array.from({ length: most }, (_, line) => ({
    size,
    above: line === 0 ? above : 0,
    ...(line === 0 && rule && { rule }),
    words: cells.flatMap(({ font, x }, column) =>
      broken[column]![line] === undefined ? [] : [{ text: broken[column]![line]!, font, x }],
    ),
  }));
}

const paragraph = (
  words: string,
  font: PDFFont,
  size: number,
  width: number,
  { above = 0, rule }: { readonly above?: number; readonly rule?: Row['rule'] },
): Row[] => columns([cellOf(words, font, 0, width)], size, above, rule);

/** Widths of words in a face of one point: laying a word out is slow, and every size needs it again. */
const widths = new WeakMap<PDFFont, Map<string, number>>();

function widthOf(word: string, font: PDFFont): number {
  const known = widths.get(font) ?? new Map<string, number>();
  widths.set(font, known);
  const width = known.get(word) ?? font.widthOfTextAtSize(word, 1);
  known.set(word, width);
  return width;
}

/** Breaks words into lines no wider than so many points. */
function wrap(words: string, font: PDFFont, size: number, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  let used = 0;
  const blank = widthOf(' ', font) * size;
  // A number and its unit are held together by a blank that does not break.
  for (const word of words.split(' ')) {
    const own = widthOf(word, font) * size;
    if (line !== '' && used + blank + own > width) {
      lines.push(line);
      line = word;
      used = own;
    } else {
      used += line === '' ? own : blank + own;
      line = line === '' ? word : `${line} ${word}`;
    }
  }
  return [...lines, line];
}

/** Rows in as many pages as they take. */
function paged(rows: readonly Row[], room: number): Row[][] {
  const pages: Row[][] = [[]];
  let left = room;
  for (const row of rows) {
    const height = heightOf([row]);
    if (height > left) {
      pages.push([]);
      left = room;
    }
    pages.at(-1)!.push(row);
    left -= height;
  }
  return pages;
}

const heightOf = (rows: readonly Row[]): number =>
  rows.reduce((sum, { size, above, tall = size * LINE }) => sum + above + tall, 0);

function draw(page: PDFPage, measures: Measures, rows: readonly Row[], font: PDFFont): void {
  const { width, height, margin } = measures;
  let y = height - margin;
  for (const { words, size, above, rule, bars, tall = size * LINE } of rows) {
    if (rule) {
      // Clear of what hangs below the line before.
      const at = y - above * 0.66;
      page.drawLine({
        start: { x: margin, y: at },
        end: { x: width - margin, y: at },
        thickness: rule === 'strong' ? 0.7 : 0.25,
        color: INK,
      });
    }
    y -= above + tall;
    if (bars) drawBars(page, measures, bars, y, font);
    for (const { text, font, x } of words) page.drawText(text, { x: margin + x, y, size, font, color: INK });
  }
}

/** Bars side by side on a line, each with a level, a post where it begins with one, and its words. */
function drawBars(
  page: PDFPage,
  { width, margin }: Measures,
  bars: readonly SheetBar[],
  y: number,
  font: PDFFont,
): void {
  const wide = width - 2 * margin;
  const foot = y + BARS_WORDS;
  const room = BARS_TALL - 3 * BARS_WORDS;
  let x = margin;
  for (const { share, level, name, foot: below, post } of bars) {
    const own = share * wide;
    const top = foot + level * room;
    page.drawRectangle({ x, y: foot, width: own, height: top - foot, color: rgb(0.86, 0.86, 0.86) });
    page.drawLine({ start: { x, y: top }, end: { x: x + own, y: top }, thickness: 1.4, color: INK });
    if (post) {
      page.drawLine({ start: { x, y: foot }, end: { x, y: foot + room + BARS_WORDS }, thickness: 1.2, color: INK });
      page.drawRectangle({ x: x - 2.5, y: foot + room + BARS_WORDS, width: 5, height: 5, color: INK });
    }
    for (const [text, at] of [
      [name, top + 3],
      [below, y],
    ] as const) {
      const size = 8;
      const length = widthOf(text, font) * size;
      if (length <= own) page.drawText(text, { x: x + (own - length) / 2, y: at, size, font, color: INK });
    }
    x += own;
  }
  page.drawLine({ start: { x: margin, y: foot }, end: { x: width - margin, y: foot }, thickness: 0.7, color: INK });
}
