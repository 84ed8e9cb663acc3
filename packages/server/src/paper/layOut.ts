import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';

import type { Sheets } from '@dunlinmoss/contract';

import { threads } from '../threads';

const pool = threads(path.resolve(__dirname, 'worker.ts'), { memoryMb: 512 });

/**
 * Lays sheets out as one PDF off the event loop. Throws where the signal ends it: the thread is ended then.
 *
 * @param onMade told how many sheets are made
 */
export async function layOut(
  sheets: Sheets,
  { signal, onMade }: { readonly signal: AbortSignal; readonly onMade: (made: number) => void },
): Promise<Buffer> {
  const { port1, port2 } = new MessageChannel();
  port1.on('message', onMade);
  try {
    const pdf: Uint8Array = await pool().run({ sheets, port: port2 }, { signal, transferList: [port2] });
    return Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength);
  } finally {
    port1.close();
  }
}
