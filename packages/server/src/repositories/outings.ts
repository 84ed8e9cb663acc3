import type { BodyOf, QueryOf, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { eraseOuting } from './erase';
import { part } from './parts';
import { versioned } from './versioned';

type Outing = BodyOf<'outings'>;

const PRESSURES = part<Outing>()({
  table: 'outing_pressures',
  parent: 'outing_id',
  columns: ['position', 'pressure_kpa'],
  order: ['position'],
  rows: ({ pressures }) => pressures.map(({ position, pressureKpa }) => ({ position, pressure_kpa: pressureKpa })),
});

const MODIFIERS = part<Outing>()({
  table: 'outing_modifiers',
  parent: 'outing_id',
  columns: ['ordinal', 'modifier'],
  order: ['ordinal'],
  rows: ({ modifiers }) => modifiers.map((modifier, ordinal) => ({ ordinal, modifier })),
});

export const outingRepository = (pool: Pool) =>
  versioned<Outing, RowOf<'outings'>, QueryOf<'outings'>>(pool, {
    table: 'outings',
    order: { column: 'started_at', direction: 'DESC' },
    columns: [
      'rig_id',
      'load_case_id',
      'ground_code',
      'speed_kmh',
      'stuck_rung',
      'title',
      'started_at',
      'state',
      'decision_code',
      'decision_note',
    ],
    dates: ['started_at'],
    lookedUp: { rig_name: '(SELECT r.name FROM rigs r WHERE r.owner_id = t.owner_id AND r.id = t.rig_id)' },
    toColumns: ({ rigId, loadCaseId, groundCode, speedKmh, stuckRung, title, startedAt, state, decision }) => ({
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
    beforeErase: eraseOuting,
    parts: [PRESSURES, MODIFIERS],
    fromRow: (row, partsOf) => ({
      rigId: row.rig_id,
      loadCaseId: row.load_case_id,
      rigName: row.rig_name,
      groundCode: row.ground_code,
      modifiers: partsOf('outing_modifiers').map(({ modifier }) => modifier),
      speedKmh: row.speed_kmh,
      stuckRung: row.stuck_rung,
      title: row.title,
      startedAt: row.started_at.toISOString(),
      state: row.state,
      pressures: partsOf('outing_pressures').map(({ position, pressure_kpa }) => ({
        position,
        pressureKpa: pressure_kpa,
      })),
      decision: row.decision_code === null ? null : { code: row.decision_code, note: row.decision_note ?? '' },
    }),
  });
