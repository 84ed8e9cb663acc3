import type { MessagePort } from 'node:worker_threads';

import type { Sheets } from '@dunlinmoss/contract';
import { sheetsPdf, type SheetFonts } from '@dunlinmoss/paper';
import { facesHere } from '@dunlinmoss/paper/faces';

let fonts: SheetFonts | undefined;

/** Runs in a thread of its own: lays sheets out, and tells as each is made how many are. */
export default function makePaper({
  sheets,
  port,
}: {
  readonly sheets: Sheets;
  readonly port: MessagePort;
}): Promise<Uint8Array> {
  fonts ??= facesHere();
  return sheetsPdf(sheets, fonts, (made) => port.postMessage(made));
}
