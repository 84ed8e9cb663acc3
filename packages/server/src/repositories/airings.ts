import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { ofRig } from './ofRig';
import { part } from './parts';
import { versioned } from './versioned';

type Airing = BodyOf<'airings'>;

const iso = (date: Date | null): string | null => date && date.toISOString();

const WHEELS = part<Airing>()({
  table: 'airing_wheels',
  parent: 'airing_id',
  columns: ['ordinal', 'position', 'wheel', 'volume_l', 'cold_kpa', 'target_kpa', 'settled'],
  order: ['ordinal'],
  rows: ({ wheels }) =>
    wheels.map(({ position, wheel, volumeL, coldKpa, targetKpa, settled }, ordinal) => ({
      ordinal,
      position,
      wheel,
      volume_l: volumeL,
      cold_kpa: coldKpa,
      target_kpa: targetKpa,
      settled,
    })),
});

const RUNS = part<Airing>()({
  table: 'airing_runs',
  parent: 'airing_id',
  columns: ['ordinal', 'position', 'wheel', 'started_at', 'ended_at', 'before_kpa', 'after_kpa', 'timed'],
  dates: ['started_at', 'ended_at'],
  order: ['ordinal'],
  rows: ({ runs }) =>
    runs.map(({ position, wheel, startedAt, endedAt, beforeKpa, afterKpa, timed }, ordinal) => ({
      ordinal,
      position,
      wheel,
      started_at: new Date(startedAt),
      ended_at: endedAt === null ? null : new Date(endedAt),
      before_kpa: beforeKpa,
      after_kpa: afterKpa,
      timed,
    })),
});

export const airingRepository = (pool: Pool) =>
  versioned<Airing, RowOf<'airings'>, QueryOf<'airings'>>(pool, {
    table: 'airings',
    order: { column: 'started_at', direction: 'DESC' },
    columns: [
      'rig_id',
      'outing_id',
      'way',
      'tool_id',
      'tool_kind',
      'started_at',
      'ended_at',
      'gauge_id',
      'gauge_offset_kpa',
      'cold_temp_c',
      'tire_temp_c',
      'altitude_m',
    ],
    dates: ['started_at', 'ended_at'],
    toColumns: (airing) => ({
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
    parts: [WHEELS, RUNS],
    fromRow: (row, partsOf) => ({
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
      wheels: partsOf('airing_wheels').map((each) => ({
        position: each.position,
        wheel: each.wheel,
        volumeL: each.volume_l,
        coldKpa: each.cold_kpa,
        targetKpa: each.target_kpa,
        settled: each.settled,
      })),
      runs: partsOf('airing_runs').map((each) => ({
        position: each.position,
        wheel: each.wheel,
        startedAt: each.started_at.toISOString(),
        endedAt: iso(each.ended_at),
        beforeKpa: each.before_kpa,
        afterKpa: each.after_kpa,
        timed: each.timed === 1,
      })),
    }),

    filter: ({ rigId, outingIds, toolId }) => {
      const own = ofRig({ rigId, outingIds });
      return toolId === undefined
        ? own
        : { sql: `${own.sql} AND tool_id = ?`, values: [...own.values, toolId], hasIndex: true };
    },
  });
