import { expose } from 'comlink';

import { sheetPdf } from './sheetPdf';

/** Makes a PDF on a thread of its own: that of a farm with hundreds of machines takes seconds on a phone. */
const work = { sheetPdf };

export type SheetWork = typeof work;

expose(work);
