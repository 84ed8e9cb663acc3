import { expose } from 'comlink';

import { readTrack, type TrackRead } from './trackFile';

/** Reads a track on a thread of its own, so that nothing else waits. */
const work = {
  async read(file: Blob, mostPoints: number): Promise<TrackRead> {
    return readTrack(await file.text(), mostPoints);
  },
};

export type TrackWork = typeof work;

expose(work);
