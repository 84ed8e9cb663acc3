import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { MessagePort } from 'node:worker_threads';

import type { Sheets } from '@dunlinmoss/contract';
import { sheetsPdf, type SheetFonts } from '@dunlinmoss/paper';

const FOLDER = path.dirname(require.resolve('@expo-google-fonts/source-sans-3/package.json'));
const face = (file: string): ArrayBuffer => new Uint8Array(readFileSync(path.join(FOLDER, file))).buffer;

let fonts: SheetFonts | undefined;

/** Runs in a thread of its own: lays sheets out, and tells as each is made how many are. */
export default function makePaper({
  sheets,
  port,
}: {
  readonly sheets: Sheets;
  readonly port: MessagePort;
}): Promise<Uint8Array> {
  fonts ??= {
    text: face('400Regular/SourceSans3_400Regular.ttf'),
    strong: face('600SemiBold/SourceSans3_600SemiBold.ttf'),
  };
  return sheetsPdf(sheets, fonts, (made) => port.postMessage(made));
}
