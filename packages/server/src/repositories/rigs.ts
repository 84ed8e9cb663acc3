import type { BodyOf, LoadCaseBody, LoadItemBody, QueryOf, RigAxle, RowOf } from '@dunlinmoss/contract';
import type { Pool, RowDataPacket } from 'mysql2/promise';

import type { Connection } from '../db/pool';
import { childrenOf, insertAll } from './children';
import { versioned } from './versioned';

export const rigRepository = (pool: Pool) =>
  versioned<BodyOf<'rigs'>, RowOf<'rigs'>, QueryOf<'rigs'>>(pool, {
    table: 'rigs',
    order: { column: 'name', direction: 'ASC' },
    columns: ({ family, name, hitchMm, topSpeedKmh, loadCaseId, school, beadFloorKpa }) => ({
      family,
      name,
      hitch_mm: hitchMm,
      top_speed_kmh: topSpeedKmh,
      load_case_id: loadCaseId,
      school,
      bead_floor_kpa: beadFloorKpa,
    }),
    filter: ({ search }) =>
      search
        ? { sql: ' AND name LIKE ?', values: [`%${search.replace(/[\\%_]/g, '\\$&')}%`] }
        : { sql: '', values: [] },
    writeChildren,
    read,
  });

/** What a rig is made of is written anew with it: its parts have no life of their own. */
async function writeChildren(
  connection: Connection,
  ownerId: string,
  { id, axles, loadCases }: BodyOf<'rigs'>,
): Promise<void> {
  // The rest hangs on these two and goes with them.
  await connection.query('DELETE FROM rig_axles WHERE owner_id = ? AND rig_id = ?', [ownerId, id]);
  await connection.query('DELETE FROM load_cases WHERE owner_id = ? AND rig_id = ?', [ownerId, id]);
  const own = { owner_id: ownerId, rig_id: id };
  await insertAll(
    connection,
    'rig_axles',
    axles.map((axle) => ({
      ...own,
      position: axle.position,
      wheels: axle.wheels,
      driven: axle.driven,
      behind_mm: axle.behindMm,
      track_mm: axle.trackMm,
      rating_kg: axle.ratingKg,
      tire_marking: axle.tireMarking,
      load_range: axle.loadRange,
      tube: axle.tube,
      bead_hold: axle.beadHold,
      insert_fitted: axle.insert,
      casing: axle.casing,
      rim_inner_mm: axle.rimInnerMm,
      measured_width_mm: axle.measuredWidthMm,
      fitted_at: axle.fittedAt === null ? null : new Date(axle.fittedAt),
      tread_width_mm: axle.treadWidthMm,
      min_kpa: axle.minKpa,
      max_kpa: axle.maxKpa,
      rows_of: axle.rowsOf,
      road_kpa: axle.roadKpa,
      present_raw_kpa: axle.present?.rawKpa ?? null,
      present_gauge_id: axle.present?.gaugeId ?? null,
      present_offset_kpa: axle.present?.offsetKpa ?? null,
    })),
  );
  await insertAll(
    connection,
    'tire_points',
    axles.flatMap(({ position, lines, rows }) => [
      ...lines.map((line, ordinal) => tirePoint(own, position, 'line', ordinal, { ...line, speedKmh: null })),
      ...rows.map((row, ordinal) => tirePoint(own, position, 'row', ordinal, row)),
    ]),
  );
  await insertAll(
    connection,
    'load_cases',
    loadCases.map((loadCase, ordinal) => ({
      ...own,
      id: loadCase.id,
      ordinal,
      name: loadCase.name,
      method: loadCase.method,
      whole_kg: loadCase.wholeKg,
      posture: loadCase.posture?.posture ?? null,
      front_share: loadCase.posture?.frontShare ?? null,
      rider_kg: loadCase.posture?.riderKg ?? null,
      bike_kg: loadCase.posture?.bikeKg ?? null,
    })),
  );
  await insertAll(
    connection,
    'case_weights',
    loadCases.flatMap(({ id: caseId, weighed, unladen }) => [
      ...weighed.map(({ position, part, loadKg }, ordinal) => ({
        ...caseWeight(own, caseId, 'weighed', position, part),
        ordinal,
        load_kg: loadKg,
      })),
      ...unladen.map(({ position, loadKg }, ordinal) => ({
        ...caseWeight(own, caseId, 'unladen', position, 'axle'),
        ordinal,
        load_kg: loadKg,
      })),
    ]),
  );
  await insertAll(
    connection,
    'case_items',
    loadCases.flatMap(({ id: caseId, items }) =>
      items.map((item, ordinal) => ({
        ...own,
        case_id: caseId,
        ordinal,
        kind: item.kind,
        name: item.name,
        body: item.body,
        behind_mm: item.behindMm,
        right_mm: item.rightMm,
        mass_kg: item.kind === 'thing' ? item.massKg : null,
        liters: item.kind === 'tank' ? item.liters : null,
        density_kg_per_l: item.kind === 'tank' ? item.densityKgPerL : null,
        level: item.kind === 'tank' ? item.level : null,
      })),
    ),
  );
}

interface Own {
  readonly owner_id: string;
  readonly rig_id: string;
}

const tirePoint = (
  own: Own,
  position: string,
  kind: 'line' | 'row',
  ordinal: number,
  { pressureKpa, speedKmh, loadKg }: { pressureKpa: number; speedKmh: number | null; loadKg: number },
) => ({ ...own, position, kind, ordinal, pressure_kpa: pressureKpa, speed_kmh: speedKmh, load_kg: loadKg });

const caseWeight = (own: Own, caseId: string, kind: 'weighed' | 'unladen', position: string, part: string) => ({
  ...own,
  case_id: caseId,
  kind,
  position,
  part,
});

async function read(connection: Pool | Connection, ownerId: string, rows: RowDataPacket[]) {
  const children = (table: string, order: string) =>
    childrenOf(
      connection,
      `SELECT * FROM ${table} WHERE owner_id = ? AND rig_id IN (?) ORDER BY ${order}`,
      'rig_id',
      ownerId,
      rows,
    );
  const [axles, points, cases, weights, items] = await Promise.all([
    // In the order of the alphabet, which is that of the axles too.
    children('rig_axles', 'rig_id, position'),
    children('tire_points', 'rig_id, position, kind, ordinal'),
    children('load_cases', 'rig_id, ordinal, id'),
    children('case_weights', 'rig_id, case_id, kind, ordinal'),
    children('case_items', 'rig_id, case_id, ordinal'),
  ]);
  return rows.map((row) => {
    const of = (table: Map<string, RowDataPacket[]>): RowDataPacket[] => table.get(row.id) ?? [];
    return {
      family: row.family,
      name: row.name,
      hitchMm: row.hitch_mm,
      topSpeedKmh: row.top_speed_kmh,
      loadCaseId: row.load_case_id,
      school: row.school,
      beadFloorKpa: row.bead_floor_kpa,
      axles: of(axles).map((axle) =>
        axleOf(
          axle,
          of(points).filter(({ position }) => position === axle.position),
        ),
      ),
      loadCases: of(cases).map((loadCase) => {
        const mine = ({ case_id }: RowDataPacket): boolean => case_id === loadCase.id;
        return loadCaseFrom(loadCase, of(weights).filter(mine), of(items).filter(mine));
      }),
    };
  });
}

const axleOf = (axle: RowDataPacket, points: RowDataPacket[]): RigAxle => ({
  position: axle.position,
  wheels: axle.wheels,
  driven: axle.driven === 1,
  behindMm: axle.behind_mm,
  trackMm: axle.track_mm,
  ratingKg: axle.rating_kg,
  tireMarking: axle.tire_marking,
  loadRange: axle.load_range,
  tube: axle.tube === 1,
  beadHold: axle.bead_hold,
  insert: axle.insert_fitted === 1,
  casing: axle.casing,
  rimInnerMm: axle.rim_inner_mm,
  measuredWidthMm: axle.measured_width_mm,
  fittedAt: axle.fitted_at?.toISOString() ?? null,
  treadWidthMm: axle.tread_width_mm,
  minKpa: axle.min_kpa,
  maxKpa: axle.max_kpa,
  lines: points
    .filter(({ kind }) => kind === 'line')
    .map(({ pressure_kpa, load_kg }) => ({ pressureKpa: pressure_kpa, loadKg: load_kg })),
  rows: points
    .filter(({ kind }) => kind === 'row')
    .map(({ pressure_kpa, speed_kmh, load_kg }) => ({
      pressureKpa: pressure_kpa,
      speedKmh: speed_kmh,
      loadKg: load_kg,
    })),
  rowsOf: axle.rows_of,
  roadKpa: axle.road_kpa,
  present:
    axle.present_raw_kpa === null
      ? null
      : { rawKpa: axle.present_raw_kpa, gaugeId: axle.present_gauge_id, offsetKpa: axle.present_offset_kpa },
});

const loadCaseFrom = (row: RowDataPacket, weights: RowDataPacket[], items: RowDataPacket[]): LoadCaseBody => ({
  id: row.id,
  name: row.name,
  method: row.method,
  weighed: weights
    .filter(({ kind }) => kind === 'weighed')
    .map(({ position, part, load_kg }) => ({ position, part, loadKg: load_kg })),
  wholeKg: row.whole_kg,
  unladen: weights
    .filter(({ kind }) => kind === 'unladen')
    .map(({ position, load_kg }) => ({ position, loadKg: load_kg })),
  items: items.map(itemOf),
  posture:
    row.posture === null
      ? null
      : { posture: row.posture, frontShare: row.front_share, riderKg: row.rider_kg, bikeKg: row.bike_kg },
});

function itemOf(row: RowDataPacket): LoadItemBody {
  const placed = { name: row.name, body: row.body, behindMm: row.behind_mm, rightMm: row.right_mm };
  return row.kind === 'thing'
    ? { kind: 'thing', ...placed, massKg: row.mass_kg }
    : { kind: 'tank', ...placed, liters: row.liters, densityKgPerL: row.density_kg_per_l, level: row.level };
}
