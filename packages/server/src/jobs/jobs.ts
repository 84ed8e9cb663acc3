import type { Pool } from 'mysql2/promise';
import type { Logger } from 'pino';

import type { JobKind } from '../repositories/jobs';
import { createRepositories } from '../repositories/repositories';
import type { PhotoStore } from '../store/photoStore';
import { archiveWork } from './archiveJob';
import { loadsWork } from './loadsJob';
import { logWork } from './logJob';
import { outWork } from './outJob';
import { paperWork } from './paperJob';
import { rowsWork } from './rowsJob';
import { JobRunner, type Work } from './runner';

interface JobParts {
  readonly pool: Pool;
  readonly photos: PhotoStore;
}

/** How each kind of job is done. */
export function worksOf({ pool, photos }: JobParts): Readonly<Record<JobKind, Work>> {
  const repositories = createRepositories(pool);
  return {
    log: logWork,
    loads: loadsWork(repositories),
    rows: rowsWork(repositories),
    archive: archiveWork({ repositories, store: photos }),
    out: outWork({ repositories, store: photos }),
    paper: paperWork,
  };
}

/** Who works on everything that takes long. */
export const jobRunner = ({ log, ...parts }: JobParts & { readonly log: Logger }): JobRunner =>
  new JobRunner(parts.pool, log, worksOf(parts));
