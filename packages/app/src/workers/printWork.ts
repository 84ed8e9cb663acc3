import type { OutlineMm, PrintQuestion, PrintStage } from '@dunlinmoss/core';
import { proxy, releaseProxy, wrap, type Remote } from 'comlink';

import type { MeasuredPhoto, OpenedPhoto, PrintWork } from './print.worker';

/** A file larger than any photo of a phone is not read. */
const MOST_BYTES = 60e6;

/** A photo that lies open on a thread of its own. */
export interface PhotoBench {
  readonly measure: (question: PrintQuestion, onStage: (stage: PrintStage) => void) => Promise<MeasuredPhoto>;
  readonly inkWithin: (outline: OutlineMm) => Promise<number>;
  readonly kept: () => Promise<Blob>;
  /** Ends the thread, whatever it is at; nothing of it answers any more. */
  readonly close: () => void;
}

/** Opens a photo; refuses what is none, or too large. */
export async function openPhoto(
  file: Blob,
): Promise<{ readonly opened: OpenedPhoto; readonly bench: PhotoBench | undefined }> {
  if (file.size > MOST_BYTES) return { opened: { ok: false, code: 'tooLarge' }, bench: undefined };
  const worker = new Worker(new URL('./print.worker', import.meta.url));
  const work: Remote<PrintWork> = wrap<PrintWork>(worker);
  const close = (): void => {
    work[releaseProxy]();
    worker.terminate();
  };
  const opened = await work.open(file);
  if (!opened.ok) {
    close();
    return { opened, bench: undefined };
  }
  return {
    opened,
    bench: {
      measure: (question, onStage) => work.measure(question, proxy(onStage)),
      inkWithin: (outline) => work.inkWithin(outline),
      kept: () => work.kept(),
      close,
    },
  };
}
