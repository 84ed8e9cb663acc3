import path from 'node:path';
import { MessageChannel } from 'node:worker_threads';

import type { Sheets } from '@dunlinmoss/contract';
import { Piscina } from 'piscina';

let threads: Piscina | undefined;

/** One thread beside the event loop, begun when it is first needed and ended when nobody asks any more. */
const pool = (): Piscina =>
  (threads ??= new Piscina({
    filename: path.resolve(__dirname, 'worker.ts'),
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: 512 },
  }));

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
