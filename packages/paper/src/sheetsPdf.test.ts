import type { Paper, Sheet, SheetBar } from '@dunlinmoss/contract';
import { decodePDFRawStream, PDFDocument, PDFRawStream } from 'pdf-lib';

import { facesHere } from './faces';
import { sheetsPdf } from './sheetsPdf';

const fonts = facesHere();

const sheet = (change: Partial<Sheet> = {}): Sheet => ({
  title: 'Żuraw – crane № 7',
  about: 'Tractor · loaded: Ploughing · 2 May 2026',
  parts: [
    {
      title: 'Front axle',
      lines: [
        ['Tire', '540/65R28 142D'],
        ['Load', '1,450\u00a0kg'],
      ],
    },
    { head: ['Ground', 'Front', 'km/h'], rows: [['Field, moist', '12 (11–13) ≥\u00a010', '40']] },
    { title: 'Mind', bullets: ['Air back before pavement.'] },
    { title: 'Nothing stands here', bullets: [] },
  ],
  foot: 'Cold pressures.',
  ...change,
});
const pdfOf = (sheets: readonly Sheet[], paper: Paper = 'A5'): Promise<Uint8Array> =>
  sheetsPdf({ name: 'Żuraw', paper, sheets }, fonts);
const read = async (sheets: readonly Sheet[], paper?: Paper): Promise<PDFDocument> =>
  PDFDocument.load(await pdfOf(sheets, paper));

const streamsOf = (document: PDFDocument): Buffer[] =>
  document.context
    .enumerateIndirectObjects()
    .flatMap(([, object]) =>
      object instanceof PDFRawStream ? [Buffer.from(decodePDFRawStream(object).decode())] : [],
    );
/** How many lines of words are drawn. */
const drawn = (document: PDFDocument): number =>
  streamsOf(document).reduce((sum, bytes) => sum + (bytes.toString('latin1').match(/ Tj\b/g)?.length ?? 0), 0);

describe('sheetsPdf', () => {
  it('carries its two faces whole, so that no letter is lost', async () => {
    const lengths = streamsOf(await read([sheet()])).map(({ length }) => length);
    expect(lengths).toEqual(expect.arrayContaining([fonts.text.byteLength, fonts.strong.byteLength]));
  });

  it('is one page of the paper asked for, whatever signs are in a name, and small', async () => {
    const pdf = await pdfOf([sheet()]);
    const document = await PDFDocument.load(pdf);
    expect(document.getPages().map((page) => page.getSize())).toEqual([{ width: 419.53, height: 595.28 }]);
    expect(document.getTitle()).toBe('Żuraw');
    expect(pdf.length).toBeLessThan(500_000);
  });

  it('begins a page with each sheet, tells as each is made, and carries the faces once for all', async () => {
    const told: number[] = [];
    const many = Array.from({ length: 30 }, (_, index) => sheet({ title: `Machine ${index}` }));
    const pdf = await sheetsPdf({ name: 'All', paper: 'A6', sheets: many }, fonts, (made) => told.push(made));
    const document = await PDFDocument.load(pdf);
    expect(document.getPageCount()).toBe(30);
    expect(told).toEqual(many.map((_, index) => index + 1));
    expect(drawn(document)).toBe(30 * drawn(await read([sheet({ title: 'Machine 7' })], 'A6')));
    expect(pdf.length).toBeLessThan(1.5 * (await pdfOf([sheet()], 'A6')).length);
  });

  it('goes on over several pages where one can’t hold it, and loses no line', async () => {
    const rows = Array.from({ length: 120 }, (_, index) => [`Machine ${index}`, '12 / 14', '8 / 9']);
    const table = (of: typeof rows): Sheet =>
      sheet({ about: 'All', parts: [{ head: ['Machine', 'Gravel', 'Sand'], rows: of }] });
    const [long, short] = [await read([table(rows)], 'A4'), await read([table(rows.slice(0, 1))], 'A4')];
    expect(long.getPageCount()).toBeGreaterThan(1);
    expect(drawn(long) - drawn(short)).toBe(3 * 119);
  });

  it('draws bars to scale, with posts, and leaves words out that have no room', async () => {
    const bar = (share: number, level: number, post = false): SheetBar => ({
      share,
      level,
      name: '36',
      foot: '1',
      post,
    });
    const bars = (...of: SheetBar[]): Sheet => sheet({ parts: [{ bars: of }] });
    const plain = await read([bars(bar(0.6, 1), bar(0.4, 0.4))], 'A4');
    const posted = await read([bars(bar(0.6, 1), bar(0.395, 0.4, true), bar(0.005, 1, true))], 'A4');
    expect(posted.getPageCount()).toBe(1);
    // The narrow one has no room for its two words.
    expect(drawn(posted)).toBe(drawn(plain));
    expect(streamsOf(posted).join('').length).toBeGreaterThan(streamsOf(plain).join('').length);
  });
});
