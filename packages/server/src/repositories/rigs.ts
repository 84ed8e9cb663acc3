import type { BodyOf, QueryOf, RigAxle, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { childrenOf } from './children';
import { versioned } from './versioned';

export const rigRepository = (pool: Pool) =>
  versioned<BodyOf<'rigs'>, RowOf<'rigs'>, QueryOf<'rigs'>>(pool, {
    table: 'rigs',
    order: { column: 'name', direction: 'ASC' },
    columns: ({ family, name, beadLocks }) => ({ family, name, bead_locks: beadLocks }),

    async writeChildren(connection, ownerId, { id, axles }) {
      await connection.query('DELETE FROM rig_axles WHERE owner_id = ? AND rig_id = ?', [ownerId, id]);
      await connection.query(
        `INSERT INTO rig_axles
           (owner_id, rig_id, position, tire_marking, load_range, placard_kpa, loads_from, left_load_kg, right_load_kg)
         VALUES ?`,
        [
          axles.map((axle) => [
            ownerId,
            id,
            axle.position,
            axle.tireMarking,
            axle.loadRange,
            axle.placardKpa,
            axle.loadsFrom,
            axle.leftLoadKg,
            axle.rightLoadKg,
          ]),
        ],
      );
    },

    async read(connection, ownerId, rows) {
      const axles = await childrenOf(
        connection,
        'SELECT * FROM rig_axles WHERE owner_id = ? AND rig_id IN (?) ORDER BY position',
        'rig_id',
        ownerId,
        rows,
      );
      return rows.map((row) => ({
        family: row.family,
        name: row.name,
        beadLocks: row.bead_locks === 1,
        axles: (axles.get(row.id) ?? []).map((axle): RigAxle => ({
          position: axle.position,
          tireMarking: axle.tire_marking,
          loadRange: axle.load_range,
          placardKpa: axle.placard_kpa,
          loadsFrom: axle.loads_from,
          leftLoadKg: axle.left_load_kg,
          rightLoadKg: axle.right_load_kg,
        })),
      }));
    },
  });
