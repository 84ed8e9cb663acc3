import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { childrenOf, insertAll } from './children';
import { versioned } from './versioned';

export const airToolRepository = (pool: Pool) =>
  versioned<BodyOf<'tools'>, RowOf<'tools'>, QueryOf<'tools'>>(pool, {
    table: 'air_tools',
    order: { column: 'name', direction: 'ASC' },
    columns: ({ name, kind, wheelsAtOnce, duty, budget, note }) => ({
      name,
      kind,
      wheels_at_once: wheelsAtOnce,
      on_min: duty?.onMin ?? null,
      rest_min: duty?.restMin ?? null,
      budget_liters: budget?.kind === 'liters' ? budget.liters : null,
      budget_kg: budget?.kind === 'gas' ? budget.kg : null,
      note,
    }),

    async writeChildren(connection, ownerId, { id, flow }) {
      await connection.query('DELETE FROM air_tool_flow WHERE owner_id = ? AND tool_id = ?', [ownerId, id]);
      await insertAll(
        connection,
        'air_tool_flow',
        flow.map(({ pressureKpa, litersPerMin }, ordinal) => ({
          owner_id: ownerId,
          tool_id: id,
          ordinal,
          pressure_kpa: pressureKpa,
          liters_per_min: litersPerMin,
        })),
      );
    },

    async read(connection, ownerId, rows) {
      const flow = await childrenOf(
        connection,
        'SELECT * FROM air_tool_flow WHERE owner_id = ? AND tool_id IN (?) ORDER BY ordinal',
        'tool_id',
        ownerId,
        rows,
      );
      return rows.map((row) => ({
        name: row.name,
        kind: row.kind,
        wheelsAtOnce: row.wheels_at_once,
        flow: (flow.get(row.id) ?? []).map(({ pressure_kpa, liters_per_min }) => ({
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
      }));
    },
  });
