import { once } from './once';
import type { TrackWork } from './track.worker';
import type { TrackRead } from './trackFile';

/** The track of a file, read on a thread of its own that ends with it. */
export const openTrack = (file: Blob, mostPoints: number): Promise<TrackRead> =>
  once<TrackWork, TrackRead>(new Worker(new URL('./track.worker', import.meta.url)), (work) =>
    work.read(file, mostPoints),
  );
