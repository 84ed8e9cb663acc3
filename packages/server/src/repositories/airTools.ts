import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { part } from './parts';
import { versioned } from './versioned';

type AirTool = BodyOf<'tools'>;

const FLOW = part<AirTool>()({
  table: 'air_tool_flow',
  parent: 'tool_id',
  columns: ['ordinal', 'pressure_kpa', 'liters_per_min'],
  order: ['ordinal'],
  rows: ({ flow }) =>
    flow.map(({ pressureKpa, litersPerMin }, ordinal) => ({
      ordinal,
      pressure_kpa: pressureKpa,
      liters_per_min: litersPerMin,
    })),
});

export const airToolRepository = (pool: Pool) =>
  versioned<AirTool, RowOf<'tools'>, QueryOf<'tools'>>(pool, {
    table: 'air_tools',
    order: { column: 'name', direction: 'ASC' },
    columns: ['name', 'kind', 'wheels_at_once', 'on_min', 'rest_min', 'budget_liters', 'budget_kg', 'note'],
    toColumns: ({ name, kind, wheelsAtOnce, duty, budget, note }) => ({
      name,
      kind,
      wheels_at_once: wheelsAtOnce,
      on_min: duty?.onMin ?? null,
      rest_min: duty?.restMin ?? null,
      budget_liters: budget?.kind === 'liters' ? budget.liters : null,
      budget_kg: budget?.kind === 'gas' ? budget.kg : null,
      note,
    }),
    parts: [FLOW],
    fromRow: (row, partsOf) => ({
      name: row.name,
      kind: row.kind,
      wheelsAtOnce: row.wheels_at_once,
      flow: partsOf('air_tool_flow').map(({ pressure_kpa, liters_per_min }) => ({
        pressureKpa: pressure_kpa,
        litersPerMin: liters_per_min,
      })),
      duty: row.on_min === null ? null : { onMin: row.on_min, restMin: row.rest_min },
      budget:
        row.budget_liters !== null
          ? ({ kind: 'liters', liters: row.budget_liters } as const)
          : row.budget_kg !== null
            ? ({ kind: 'gas', kg: row.budget_kg } as const)
            : null,
      note: row.note,
    }),
  });
