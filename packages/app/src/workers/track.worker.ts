import { expose } from 'comlink';

import { readTrackFile, type TrackRead } from './trackFile';

/** Reads a track on a thread of its own, so that nothing else waits. */
const work = {
  read: (file: Blob, mostPoints: number): Promise<TrackRead> => readTrackFile(file, mostPoints),
};

export type TrackWork = typeof work;

expose(work);
