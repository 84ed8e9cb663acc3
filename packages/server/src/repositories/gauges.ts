import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { childrenOf, insertAll } from './children';
import { versioned } from './versioned';

export const gaugeRepository = (pool: Pool) =>
  versioned<BodyOf<'gauges'>, RowOf<'gauges'>, QueryOf<'gauges'>>(pool, {
    table: 'gauges',
    order: { column: 'name', direction: 'ASC' },
    columns: ({ name, fromKpa, fullScaleKpa, gradePercent }) => ({
      name,
      from_kpa: fromKpa,
      full_scale_kpa: fullScaleKpa,
      grade_percent: gradePercent,
    }),

    async writeChildren(connection, ownerId, { id, comparisons }) {
      await connection.query('DELETE FROM gauge_comparisons WHERE owner_id = ? AND gauge_id = ?', [ownerId, id]);
      await insertAll(
        connection,
        'gauge_comparisons',
        comparisons.map(({ gaugeKpa, trustedKpa }, ordinal) => ({
          owner_id: ownerId,
          gauge_id: id,
          ordinal,
          gauge_kpa: gaugeKpa,
          trusted_kpa: trustedKpa,
        })),
      );
    },

    async read(connection, ownerId, rows) {
      const comparisons = await childrenOf(
        connection,
        'SELECT * FROM gauge_comparisons WHERE owner_id = ? AND gauge_id IN (?) ORDER BY ordinal',
        'gauge_id',
        ownerId,
        rows,
      );
      return rows.map((row) => ({
        name: row.name,
        fromKpa: row.from_kpa,
        fullScaleKpa: row.full_scale_kpa,
        gradePercent: row.grade_percent,
        comparisons: (comparisons.get(row.id) ?? []).map(({ gauge_kpa, trusted_kpa }) => ({
          gaugeKpa: gauge_kpa,
          trustedKpa: trusted_kpa,
        })),
      }));
    },
  });
