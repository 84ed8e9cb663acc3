import {
  inkWithin,
  measurePrint,
  type FoundInk,
  type PrintMeasure,
  type PrintProblem,
  type PrintQuestion,
  type PrintStage,
} from '@dunlinmoss/core/print';
import { expose } from 'comlink';

/** More pixels than any phone takes: what is larger is not read. */
const MOST_PIXELS = 60e6;
/** The longer side of what is shown, and of what is kept, px. */
const SHOWN_PX = 1600;
const KEPT_PX = 1280;

export type OpenedPhoto =
  | { readonly ok: true; readonly width: number; readonly height: number; readonly shown: Blob }
  | { readonly ok: false; readonly code: 'notAPhoto' | 'tooLarge' };

export type MeasuredPhoto =
  | { readonly ok: true; readonly value: Omit<PrintMeasure, 'ink'> }
  | { readonly ok: false; readonly problem: PrintProblem };

let photo: ImageBitmap | undefined;
let ink: FoundInk | undefined;

/** Drawn anew, a photo has nothing in it but its picture: not where it was taken, nor when, nor with what. */
async function drawn(most: number): Promise<Blob> {
  const share = Math.min(1, most / Math.max(photo!.width, photo!.height));
  const canvas = new OffscreenCanvas(Math.round(photo!.width * share), Math.round(photo!.height * share));
  canvas.getContext('2d')!.drawImage(photo!, 0, 0, canvas.width, canvas.height);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
}

/** Reads and measures photos of prints on a thread of its own. */
const work = {
  /** Opens a photo the right way up, as its own EXIF data says. */
  async open(file: Blob): Promise<OpenedPhoto> {
    try {
      photo = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return { ok: false, code: 'notAPhoto' };
    }
    if (photo.width * photo.height > MOST_PIXELS) return { ok: false, code: 'tooLarge' };
    return { ok: true, width: photo.width, height: photo.height, shown: await drawn(SHOWN_PX) };
  },

  measure(question: PrintQuestion, onStage: (stage: PrintStage) => void): MeasuredPhoto {
    const canvas = new OffscreenCanvas(photo!.width, photo!.height);
    const context = canvas.getContext('2d', { willReadFrequently: true })!;
    context.drawImage(photo!, 0, 0);
    const run = measurePrint(context.getImageData(0, 0, canvas.width, canvas.height), question);
    for (;;) {
      const step = run.next();
      if (!step.done) {
        onStage(step.value);
        continue;
      }
      if (!step.value.ok) return step.value;
      const { ink: found, ...value } = step.value.value;
      ink = found;
      return { ok: true, value };
    }
  },

  /** Ink within an outline that was mended, mm². */
  inkWithin: (outline: PrintMeasure['outline']): number => inkWithin(ink!, outline),

  /** The photo to keep: small, and plain. */
  kept: (): Promise<Blob> => drawn(KEPT_PX),
};

export type PrintWork = typeof work;

expose(work);
