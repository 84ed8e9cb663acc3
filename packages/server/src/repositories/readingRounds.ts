import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { childrenOf, insertAll } from './children';
import { ofRig } from './ofRig';
import { versioned } from './versioned';

export const readingRoundRepository = (pool: Pool) =>
  versioned<BodyOf<'readings'>, RowOf<'readings'>, QueryOf<'readings'>>(pool, {
    table: 'reading_rounds',
    order: { column: 'read_at', direction: 'DESC' },
    filter: ofRig,
    columns: ({ rigId, outingId, readAt, occasion, gauge, airTempC, tireTempC, altitudeM }) => ({
      rig_id: rigId,
      outing_id: outingId,
      read_at: new Date(readAt),
      occasion,
      gauge_id: gauge?.gaugeId ?? null,
      gauge_offset_kpa: gauge?.offsetKpa ?? null,
      air_temp_c: airTempC,
      tire_temp_c: tireTempC,
      altitude_m: altitudeM,
    }),

    async writeChildren(connection, ownerId, { id, wheels }) {
      await connection.query('DELETE FROM reading_wheels WHERE owner_id = ? AND round_id = ?', [ownerId, id]);
      await insertAll(
        connection,
        'reading_wheels',
        wheels.map(({ position, wheel, shownKpa }, ordinal) => ({
          owner_id: ownerId,
          round_id: id,
          ordinal,
          position,
          wheel,
          shown_kpa: shownKpa,
        })),
      );
    },

    async read(connection, ownerId, rows) {
      const wheels = await childrenOf(
        connection,
        'SELECT * FROM reading_wheels WHERE owner_id = ? AND round_id IN (?) ORDER BY round_id, ordinal',
        'round_id',
        ownerId,
        rows,
      );
      return rows.map((row) => ({
        rigId: row.rig_id,
        outingId: row.outing_id,
        readAt: row.read_at.toISOString(),
        occasion: row.occasion,
        gauge: row.gauge_id === null ? null : { gaugeId: row.gauge_id, offsetKpa: row.gauge_offset_kpa },
        airTempC: row.air_temp_c,
        tireTempC: row.tire_temp_c,
        altitudeM: row.altitude_m,
        wheels: (wheels.get(row.id) ?? []).map(({ position, wheel, shown_kpa }) => ({
          position,
          wheel,
          shownKpa: shown_kpa,
        })),
      }));
    },
  });
