import { detailsOf, RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { flag, plain, time, type Column } from './columns';
import { eraseTest } from './erase';
import { ofRig } from './ofRig';
import { versioned } from './versioned';

type ProofTest = BodyOf<'tests'>;

/** A test's own part, as JSON. What is in it is guarded on the way out as it was on the way in. */
const details: Column<ProofTest['details']> = {
  names: () => ['details'],
  dates: () => [],
  write: (value) => ({ details: JSON.stringify(value) }),
  read: (row) => detailsOf(row.kind as ProofTest['kind'], row.details),
};

type Own = Pick<ProofTest, 'rigId' | 'outingId' | 'kind' | 'performedAt' | 'counts' | 'details'>;

export const proofTestRepository = (pool: Pool) =>
  versioned<ProofTest, RowOf<'tests'>, QueryOf<'tests'>, Own>(pool, {
    table: 'proof_tests',
    kind: 'tests',
    order: RESOURCES.tests.order,
    fields: { rigId: plain(), outingId: plain(), kind: plain(), performedAt: time(), counts: flag(), details },
    filter: ofRig,
    beforeErase: eraseTest,
  });
