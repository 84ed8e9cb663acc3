import { detailsOf, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { eraseTest } from './erase';
import { ofRig } from './ofRig';
import { versioned, type Stamped } from './versioned';

export const proofTestRepository = (pool: Pool) =>
  versioned<BodyOf<'tests'>, RowOf<'tests'>, QueryOf<'tests'>>(pool, {
    table: 'proof_tests',
    order: { column: 'performed_at', direction: 'DESC' },
    columns: ['rig_id', 'outing_id', 'kind', 'counts', 'performed_at', 'details'],
    dates: ['performed_at'],
    toColumns: ({ rigId, outingId, kind, performedAt, counts, details }) => ({
      rig_id: rigId,
      outing_id: outingId,
      kind,
      counts,
      performed_at: new Date(performedAt),
      details: JSON.stringify(details),
    }),

    filter: ofRig,
    beforeErase: eraseTest,

    fromRow: (row) => {
      const kind = row.kind as BodyOf<'tests'>['kind'];
      const rest = {
        rigId: row.rig_id,
        outingId: row.outing_id,
        kind,
        performedAt: row.performed_at.toISOString(),
        counts: row.counts === 1,
        // What is in it is guarded on the way out as it was on the way in.
        details: detailsOf(kind, row.details),
      };
      return rest as Omit<RowOf<'tests'>, keyof Stamped>;
    },
  });
