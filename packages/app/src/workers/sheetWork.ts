import type { Paper, Sheet } from '../words/sheet';
import { once } from './once';
import type { SheetWork } from './sheet.worker';
import type { SheetFonts } from './sheetPdf';

/** A sheet as a PDF, made on a thread of its own that ends with it. */
export const makePdf = (sheet: Sheet, fonts: SheetFonts, paper: Paper): Promise<Uint8Array> =>
  once<SheetWork, Uint8Array>(new Worker(new URL('./sheet.worker', import.meta.url)), (work) =>
    work.sheetPdf(sheet, fonts, paper),
  );
