import { sheetsPdf, type SheetFonts } from '@dunlinmoss/paper';
import type { Sheets } from '@dunlinmoss/contract';
import { expose } from 'comlink';

/** Makes a PDF on a thread of its own: that of a farm with hundreds of machines takes seconds on a phone. */
const work = { sheetsPdf: (sheets: Sheets, fonts: SheetFonts): Promise<Uint8Array> => sheetsPdf(sheets, fonts) };

export type SheetWork = typeof work;

expose(work);
