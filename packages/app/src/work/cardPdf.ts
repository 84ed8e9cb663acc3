import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';

import type { RigCard } from '../words/rigCard';

/** Bytes of the two faces of words. */
export interface CardFonts {
  readonly text: ArrayBuffer;
  readonly strong: ArrayBuffer;
}

/** A5 upright, in points. */
const PAGE = { width: 419.53, height: 595.28, margin: 28 };
/** From the largest that reads well down to what can still be read; the first that fits on one page is taken. */
const SIZES = [10, 9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6];
const LINE = 1.28;
const LABEL_WIDTH = 76;
const INK = rgb(0, 0, 0);

interface Piece {
  readonly text: string;
  readonly font: PDFFont;
  readonly size: number;
  readonly indent: number;
  /** Stands left of the text, in the strong face. */
  readonly label?: string;
  /** Free space above, and a rule over it. */
  readonly above: number;
  readonly rule?: boolean;
}

/** The card as a PDF of one page, in black on white. */
export async function cardPdf(card: RigCard, fonts: CardFonts): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(card.title);
  document.setCreator('Dunlinmoss');
  // Whole, not cut down to the letters used: cutting loses the outlines of most of these faces' letters.
  const text = await document.embedFont(fonts.text, { subset: false });
  const strong = await document.embedFont(fonts.strong, { subset: false });
  const page = document.addPage([PAGE.width, PAGE.height]);
  const size = SIZES.find((each) => heightOf(pieces(card, text, strong, each)) <= PAGE.height - 2 * PAGE.margin);
  draw(page, pieces(card, text, strong, size ?? SIZES.at(-1)!), strong);
  return document.save();
}

function pieces(card: RigCard, text: PDFFont, strong: PDFFont, size: number): Piece[] {
  const width = PAGE.width - 2 * PAGE.margin;
  const wrapped = (words: string, font: PDFFont, indent: number, first: Partial<Piece>, at = size): Piece[] =>
    wrap(words, font, at, width - indent).map((line, index) => ({
      text: line,
      font,
      size: at,
      indent,
      above: 0,
      ...(index === 0 && first),
    }));
  const heading = (words: string): Piece[] => wrapped(words, strong, 0, { above: size * 0.9, rule: true }, size * 1.1);
  return [
    ...wrapped(card.title, strong, 0, {}, size * 1.7),
    ...wrapped(card.about, text, 0, { above: 2 }),
    ...card.axles.flatMap(({ name, lines }) => [
      ...heading(name),
      ...lines.flatMap(([label, value]) => wrapped(value, text, LABEL_WIDTH, { label })),
    ]),
    ...(card.cases.length > 0 ? heading('Load cases, axle by axle') : []),
    ...card.cases.flatMap(({ name, loads }) => wrapped(`${name}: ${loads}`, text, 0, {})),
    ...(card.warnings.length > 0 ? heading('Look at') : []),
    ...card.warnings.flatMap((warning) => wrapped(warning, text, 12, { label: '!' })),
    ...wrapped(card.foot, text, 0, { above: size, rule: true }, size * 0.9),
  ];
}

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

const heightOf = (all: readonly Piece[]): number => all.reduce((sum, { size, above }) => sum + above + size * LINE, 0);

function draw(page: PDFPage, all: readonly Piece[], strong: PDFFont): void {
  let y = PAGE.height - PAGE.margin;
  for (const { text, font, size, indent, label, above, rule } of all) {
    if (rule) {
      const at = y - above * 0.5;
      page.drawLine({
        start: { x: PAGE.margin, y: at },
        end: { x: PAGE.width - PAGE.margin, y: at },
        thickness: 0.7,
        color: INK,
      });
    }
    y -= above + size * LINE;
    if (label !== undefined) page.drawText(label, { x: PAGE.margin, y, size, font: strong, color: INK });
    page.drawText(text, { x: PAGE.margin + indent, y, size, font, color: INK });
  }
}
