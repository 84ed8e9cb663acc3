import { RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { plain } from './columns';
import { oneList, part } from './parts';
import { versioned } from './versioned';

type Gauge = BodyOf<'gauges'>;

const COMPARISONS = part<Gauge>()<Gauge['comparisons'][number]>({
  table: 'gauge_comparisons',
  parent: 'gauge_id',
  fields: { gaugeKpa: plain(), trustedKpa: plain() },
  listOf: oneList,
  rows: ({ comparisons }) => comparisons,
});

export const gaugeRepository = (pool: Pool) =>
  versioned<Gauge, RowOf<'gauges'>, QueryOf<'gauges'>, Omit<Gauge, 'id' | 'revision' | 'comparisons'>>(pool, {
    table: 'gauges',
    kind: 'gauges',
    order: RESOURCES.gauges.order,
    fields: { name: plain(), fromKpa: plain(), fullScaleKpa: plain(), gradePercent: plain() },
    parts: [COMPARISONS],
    partFields: (itemsOf) => ({ comparisons: [...itemsOf(COMPARISONS)] }),
  });
