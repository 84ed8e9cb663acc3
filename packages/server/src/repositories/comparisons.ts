import { RESOURCES, setup, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { json, plain, time } from './columns';
import { versioned } from './versioned';

type Comparison = BodyOf<'comparisons'>;

export const comparisonRepository = (pool: Pool) =>
  versioned<Comparison, RowOf<'comparisons'>, QueryOf<'comparisons'>, Omit<Comparison, 'id' | 'revision'>>(pool, {
    table: 'comparisons',
    kind: 'comparisons',
    order: RESOURCES.comparisons.order,
    fields: {
      name: plain(),
      keptAt: time(),
      groundCode: plain(),
      soil: plain(),
      depthMm: plain(),
      first: json(setup),
      second: json(setup),
    },
  });
