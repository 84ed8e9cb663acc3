import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { part } from './parts';
import { versioned } from './versioned';

type Gauge = BodyOf<'gauges'>;

const COMPARISONS = part<Gauge>()({
  table: 'gauge_comparisons',
  parent: 'gauge_id',
  columns: ['ordinal', 'gauge_kpa', 'trusted_kpa'],
  order: ['ordinal'],
  rows: ({ comparisons }) =>
    comparisons.map(({ gaugeKpa, trustedKpa }, ordinal) => ({
      ordinal,
      gauge_kpa: gaugeKpa,
      trusted_kpa: trustedKpa,
    })),
});

export const gaugeRepository = (pool: Pool) =>
  versioned<Gauge, RowOf<'gauges'>, QueryOf<'gauges'>>(pool, {
    table: 'gauges',
    order: { column: 'name', direction: 'ASC' },
    columns: ['name', 'from_kpa', 'full_scale_kpa', 'grade_percent'],
    toColumns: ({ name, fromKpa, fullScaleKpa, gradePercent }) => ({
      name,
      from_kpa: fromKpa,
      full_scale_kpa: fullScaleKpa,
      grade_percent: gradePercent,
    }),
    parts: [COMPARISONS],
    fromRow: (row, partsOf) => ({
      name: row.name,
      fromKpa: row.from_kpa,
      fullScaleKpa: row.full_scale_kpa,
      gradePercent: row.grade_percent,
      comparisons: partsOf('gauge_comparisons').map(({ gauge_kpa, trusted_kpa }) => ({
        gaugeKpa: gauge_kpa,
        trustedKpa: trusted_kpa,
      })),
    }),
  });
