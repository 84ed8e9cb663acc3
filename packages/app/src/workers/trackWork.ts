import { wrap } from 'comlink';

import type { TrackWork } from './track.worker';
import type { TrackRead } from './trackFile';

/** The track of a file, read on a thread of its own that ends with it. */
export async function openTrack(file: Blob, mostPoints: number): Promise<TrackRead> {
  const worker = new Worker(new URL('./track.worker', import.meta.url));
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = ({ message }) => reject(new Error(message));
  });
  try {
    return await Promise.race([wrap<TrackWork>(worker).read(file, mostPoints), failed]);
  } finally {
    worker.terminate();
  }
}
