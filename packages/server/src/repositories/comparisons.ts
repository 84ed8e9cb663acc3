import { RESOURCES, setup, type BodyOf, type QueryOf, type RowOf, type Setup } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { plain, time, type Column } from './columns';
import { versioned } from './versioned';

type Comparison = BodyOf<'comparisons'>;

/** A setup, as JSON: it is never searched. What is in it is guarded on the way out as it was on the way in. */
const setupColumn: Column<Setup> = {
  names: (field) => [field],
  dates: () => [],
  write: (value, field) => ({ [field]: JSON.stringify(value) }),
  read: (row, field) => {
    const kept: unknown = row[field];
    return setup.parse(typeof kept === 'string' ? JSON.parse(kept) : kept);
  },
};

export const comparisonRepository = (pool: Pool) =>
  versioned<Comparison, RowOf<'comparisons'>, QueryOf<'comparisons'>, Omit<Comparison, 'id' | 'revision'>>(pool, {
    table: 'comparisons',
    order: RESOURCES.comparisons.order,
    fields: {
      name: plain(),
      keptAt: time(),
      groundCode: plain(),
      soil: plain(),
      depthMm: plain(),
      first: setupColumn,
      second: setupColumn,
    },
  });
