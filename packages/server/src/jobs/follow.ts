import { setTimeout as sleep } from 'node:timers/promises';

import type { Pool } from 'mysql2/promise';

import { isPassing } from '../db/pool';
import { findJob } from '../repositories/jobs';

/** How often it is looked how far a job has come, ms: soon at first, as it may be short. */
const FIRST_LOOK_MS = 20;
const LOOK_MS = 150;

/**
 * Tells what a job says of itself, on whichever server it is worked on, until it has ended or is no more. `isLeft` says
 * that nobody listens any more.
 */
export async function followJob(
  pool: Pool,
  ownerId: string,
  id: string,
  tell: (event: unknown) => void,
  isLeft: () => boolean,
): Promise<void> {
  let before = '';
  let pause = FIRST_LOOK_MS;
  while (!isLeft()) {
    const job = await findJob(pool, ownerId, id).catch((error: unknown) => {
      if (isPassing(error)) return 'away' as const;
      throw error;
    });
    if (job === null) return;
    if (job !== 'away') {
      const text = JSON.stringify(job.told);
      if (text !== before && job.told !== null) tell(job.told);
      before = text;
      if (job.state === 'done' || job.state === 'refused') return;
    }
    await sleep(pause);
    pause = Math.min(LOOK_MS, pause * 2);
  }
}
