import type { Pool } from 'mysql2/promise';
import type { Logger } from 'pino';

import { createRepositories } from '../repositories/repositories';
import type { PhotoStore } from '../store/photoStore';
import { archiveWork } from './archiveJob';
import { logWork } from './logJob';
import { JobRunner } from './runner';

/** Who works on everything that takes long. */
export const jobRunner = ({
  pool,
  log,
  photos,
}: {
  readonly pool: Pool;
  readonly log: Logger;
  readonly photos: PhotoStore;
}): JobRunner =>
  new JobRunner(pool, log, {
    log: logWork,
    archive: archiveWork({ repositories: createRepositories(pool), store: photos }),
  });
