import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { ofRig } from './ofRig';
import { part } from './parts';
import { versioned } from './versioned';

type ReadingRound = BodyOf<'readings'>;

const WHEELS = part<ReadingRound>()({
  table: 'reading_wheels',
  parent: 'round_id',
  columns: ['ordinal', 'position', 'wheel', 'shown_kpa'],
  order: ['ordinal'],
  rows: ({ wheels }) =>
    wheels.map(({ position, wheel, shownKpa }, ordinal) => ({ ordinal, position, wheel, shown_kpa: shownKpa })),
});

export const readingRoundRepository = (pool: Pool) =>
  versioned<ReadingRound, RowOf<'readings'>, QueryOf<'readings'>>(pool, {
    table: 'reading_rounds',
    order: { column: 'read_at', direction: 'DESC' },
    filter: ofRig,
    columns: [
      'rig_id',
      'outing_id',
      'read_at',
      'occasion',
      'gauge_id',
      'gauge_offset_kpa',
      'air_temp_c',
      'tire_temp_c',
      'altitude_m',
    ],
    dates: ['read_at'],
    toColumns: ({ rigId, outingId, readAt, occasion, gauge, airTempC, tireTempC, altitudeM }) => ({
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
    parts: [WHEELS],
    fromRow: (row, partsOf) => ({
      rigId: row.rig_id,
      outingId: row.outing_id,
      readAt: row.read_at.toISOString(),
      occasion: row.occasion,
      gauge: row.gauge_id === null ? null : { gaugeId: row.gauge_id, offsetKpa: row.gauge_offset_kpa },
      airTempC: row.air_temp_c,
      tireTempC: row.tire_temp_c,
      altitudeM: row.altitude_m,
      wheels: partsOf('reading_wheels').map(({ position, wheel, shown_kpa }) => ({
        position,
        wheel,
        shownKpa: shown_kpa,
      })),
    }),
  });
