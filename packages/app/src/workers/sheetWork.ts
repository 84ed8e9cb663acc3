import type { Sheets } from '@dunlinmoss/contract';
import type { SheetFonts } from '@dunlinmoss/paper';

import { once } from './once';
import type { SheetWork } from './sheet.worker';

/** Sheets as one PDF, made on a thread of its own that ends with it. */
export const makePdf = (sheets: Sheets, fonts: SheetFonts): Promise<Uint8Array> =>
  once<SheetWork, Uint8Array>(new Worker(new URL('./sheet.worker', import.meta.url)), (work) =>
    work.sheetsPdf(sheets, fonts),
  );
