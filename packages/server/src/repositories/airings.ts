import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { childrenOf, insertAll } from './children';
import { ofRig } from './ofRig';
import { versioned } from './versioned';

const iso = (date: Date | null): string | null => date && date.toISOString();

export const airingRepository = (pool: Pool) =>
  versioned<BodyOf<'airings'>, RowOf<'airings'>, QueryOf<'airings'>>(pool, {
    table: 'airings',
    order: { column: 'started_at', direction: 'DESC' },
    columns: (airing) => ({
      rig_id: airing.rigId,
      outing_id: airing.outingId,
      way: airing.way,
      tool_id: airing.toolId,
      tool_kind: airing.toolKind,
      started_at: new Date(airing.startedAt),
      ended_at: airing.endedAt === null ? null : new Date(airing.endedAt),
      gauge_id: airing.gauge?.gaugeId ?? null,
      gauge_offset_kpa: airing.gauge?.offsetKpa ?? null,
      cold_temp_c: airing.coldTempC,
      tire_temp_c: airing.tireTempC,
      altitude_m: airing.altitudeM,
    }),

    async writeChildren(connection, ownerId, { id, wheels, runs }) {
      await connection.query('DELETE FROM airing_wheels WHERE owner_id = ? AND airing_id = ?', [ownerId, id]);
      await connection.query('DELETE FROM airing_runs WHERE owner_id = ? AND airing_id = ?', [ownerId, id]);
      await insertAll(
        connection,
        'airing_wheels',
        wheels.map(({ position, wheel, volumeL, coldKpa, targetKpa, settled }, ordinal) => ({
          owner_id: ownerId,
          airing_id: id,
          ordinal,
          position,
          wheel,
          volume_l: volumeL,
          cold_kpa: coldKpa,
          target_kpa: targetKpa,
          settled,
        })),
      );
      await insertAll(
        connection,
        'airing_runs',
        runs.map(({ position, wheel, startedAt, endedAt, beforeKpa, afterKpa, timed }, ordinal) => ({
          owner_id: ownerId,
          airing_id: id,
          ordinal,
          position,
          wheel,
          started_at: new Date(startedAt),
          ended_at: endedAt === null ? null : new Date(endedAt),
          before_kpa: beforeKpa,
          after_kpa: afterKpa,
          timed,
        })),
      );
    },

    async read(connection, ownerId, rows) {
      const children = (table: string) =>
        childrenOf(
          connection,
          `SELECT * FROM ${table} WHERE owner_id = ? AND airing_id IN (?) ORDER BY airing_id, ordinal`,
          'airing_id',
          ownerId,
          rows,
        );
      const wheels = await children('airing_wheels');
      const runs = await children('airing_runs');
      return rows.map((row) => ({
        rigId: row.rig_id,
        outingId: row.outing_id,
        way: row.way,
        toolId: row.tool_id,
        toolKind: row.tool_kind,
        startedAt: row.started_at.toISOString(),
        endedAt: iso(row.ended_at),
        gauge: row.gauge_id === null ? null : { gaugeId: row.gauge_id, offsetKpa: row.gauge_offset_kpa },
        coldTempC: row.cold_temp_c,
        tireTempC: row.tire_temp_c,
        altitudeM: row.altitude_m,
        wheels: (wheels.get(row.id) ?? []).map((each) => ({
          position: each.position,
          wheel: each.wheel,
          volumeL: each.volume_l,
          coldKpa: each.cold_kpa,
          targetKpa: each.target_kpa,
          settled: each.settled,
        })),
        runs: (runs.get(row.id) ?? []).map((each) => ({
          position: each.position,
          wheel: each.wheel,
          startedAt: each.started_at.toISOString(),
          endedAt: iso(each.ended_at),
          beforeKpa: each.before_kpa,
          afterKpa: each.after_kpa,
          timed: each.timed === 1,
        })),
      }));
    },

    filter: ({ rigId, outingIds, toolId }) => {
      const { sql, values } = ofRig({ rigId, outingIds });
      return toolId === undefined ? { sql, values } : { sql: `${sql} AND tool_id = ?`, values: [...values, toolId] };
    },
  });
