import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { childrenOf, insertAll } from './children';
import { versioned } from './versioned';

export const outingRepository = (pool: Pool) =>
  versioned<BodyOf<'outings'>, RowOf<'outings'>, QueryOf<'outings'>>(pool, {
    table: 'outings',
    order: { column: 'started_at', direction: 'DESC' },
    columns: ({ rigId, loadCaseId, groundCode, speedKmh, stuckRung, title, startedAt, state, decision }) => ({
      rig_id: rigId,
      load_case_id: loadCaseId,
      ground_code: groundCode,
      speed_kmh: speedKmh,
      stuck_rung: stuckRung,
      title,
      started_at: new Date(startedAt),
      state,
      decision_code: decision?.code ?? null,
      decision_note: decision?.note ?? null,
    }),

    async writeChildren(connection, ownerId, { id, pressures, modifiers }) {
      await connection.query('DELETE FROM outing_pressures WHERE owner_id = ? AND outing_id = ?', [ownerId, id]);
      await connection.query('DELETE FROM outing_modifiers WHERE owner_id = ? AND outing_id = ?', [ownerId, id]);
      await insertAll(
        connection,
        'outing_modifiers',
        modifiers.map((modifier, ordinal) => ({ owner_id: ownerId, outing_id: id, ordinal, modifier })),
      );
      await insertAll(
        connection,
        'outing_pressures',
        pressures.map(({ position, pressureKpa }) => ({
          owner_id: ownerId,
          outing_id: id,
          position,
          pressure_kpa: pressureKpa,
        })),
      );
    },

    async read(connection, ownerId, rows) {
      const pressures = await childrenOf(
        connection,
        'SELECT * FROM outing_pressures WHERE owner_id = ? AND outing_id IN (?) ORDER BY position',
        'outing_id',
        ownerId,
        rows,
      );
      const modifiers = await childrenOf(
        connection,
        'SELECT * FROM outing_modifiers WHERE owner_id = ? AND outing_id IN (?) ORDER BY outing_id, ordinal',
        'outing_id',
        ownerId,
        rows,
      );
      const rigs = await childrenOf(
        connection,
        `SELECT o.id AS outing_id, r.name FROM outings o JOIN rigs r ON r.owner_id = o.owner_id AND r.id = o.rig_id
         WHERE o.owner_id = ? AND o.id IN (?)`,
        'outing_id',
        ownerId,
        rows,
      );
      return rows.map((row) => ({
        rigId: row.rig_id,
        loadCaseId: row.load_case_id,
        rigName: rigs.get(row.id)![0]!.name,
        groundCode: row.ground_code,
        modifiers: (modifiers.get(row.id) ?? []).map(({ modifier }) => modifier),
        speedKmh: row.speed_kmh,
        stuckRung: row.stuck_rung,
        title: row.title,
        startedAt: row.started_at.toISOString(),
        state: row.state,
        pressures: (pressures.get(row.id) ?? []).map(({ position, pressure_kpa }) => ({
          position,
          pressureKpa: pressure_kpa,
        })),
        decision: row.decision_code === null ? null : { code: row.decision_code, note: row.decision_note ?? '' },
      }));
    },
  });
