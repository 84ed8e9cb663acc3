import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { versioned } from './versioned';

export const airToolRepository = (pool: Pool) =>
  versioned<BodyOf<'tools'>, RowOf<'tools'>, QueryOf<'tools'>>(pool, {
    table: 'air_tools',
    order: { column: 'name', direction: 'ASC' },
    columns: ({ name, kind, wheelsAtOnce, note }) => ({ name, kind, wheels_at_once: wheelsAtOnce, note }),
    read: async (_connection, _ownerId, rows) =>
      rows.map(({ name, kind, wheels_at_once, note }) => ({ name, kind, wheelsAtOnce: wheels_at_once, note })),
  });
