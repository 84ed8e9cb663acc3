import type { BodyOf, LoadCaseBody, LoadItemBody, QueryOf, RigAxle, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { eraseRig } from './erase';
import { part, type Packet } from './parts';
import { versioned } from './versioned';

type Rig = BodyOf<'rigs'>;

const AXLES = part<Rig>()({
  table: 'rig_axles',
  parent: 'rig_id',
  columns: [
    'position',
    'wheels',
    'driven',
    'behind_mm',
    'track_mm',
    'rating_kg',
    'tire_marking',
    'load_range',
    'tube',
    'bead_hold',
    'insert_fitted',
    'casing',
    'rim_inner_mm',
    'measured_width_mm',
    'fitted_at',
    'tread_width_mm',
    'min_kpa',
    'max_kpa',
    'rows_of',
    'road_kpa',
    'present_raw_kpa',
    'present_gauge_id',
    'present_offset_kpa',
  ],
  dates: ['fitted_at'],
  // The order of the alphabet is that of the axles too.
  order: ['position'],
  rows: ({ axles }) =>
    axles.map((axle) => ({
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
});

const TIRE_POINTS = part<Rig>()({
  table: 'tire_points',
  parent: 'rig_id',
  columns: ['position', 'kind', 'ordinal', 'pressure_kpa', 'speed_kmh', 'load_kg'],
  order: ['position', 'kind', 'ordinal'],
  goesWithAnother: true,
  rows: ({ axles }) =>
    axles.flatMap(({ position, lines, rows }) => [
      ...lines.map((line, ordinal) => tirePoint(position, 'line', ordinal, { ...line, speedKmh: null })),
      ...rows.map((row, ordinal) => tirePoint(position, 'row', ordinal, row)),
    ]),
});

const LOAD_CASES = part<Rig>()({
  table: 'load_cases',
  parent: 'rig_id',
  columns: ['id', 'ordinal', 'name', 'method', 'whole_kg', 'posture', 'front_share', 'rider_kg', 'bike_kg'],
  order: ['ordinal', 'id'],
  rows: ({ loadCases }) =>
    loadCases.map((loadCase, ordinal) => ({
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
});

const CASE_WEIGHTS = part<Rig>()({
  table: 'case_weights',
  parent: 'rig_id',
  columns: ['case_id', 'kind', 'position', 'part', 'ordinal', 'load_kg'],
  order: ['case_id', 'kind', 'ordinal'],
  goesWithAnother: true,
  rows: ({ loadCases }) =>
    loadCases.flatMap(({ id, weighed, unladen }) => [
      ...weighed.map(({ position, part: onScale, loadKg }, ordinal) => ({
        case_id: id,
        kind: 'weighed',
        position: position as string,
        part: onScale as string,
        ordinal,
        load_kg: loadKg,
      })),
      ...unladen.map(({ position, loadKg }, ordinal) => ({
        case_id: id,
        kind: 'unladen',
        position,
        part: 'axle',
        ordinal,
        load_kg: loadKg,
      })),
    ]),
});

const CASE_ITEMS = part<Rig>()({
  table: 'case_items',
  parent: 'rig_id',
  columns: [
    'case_id',
    'ordinal',
    'kind',
    'name',
    'body',
    'behind_mm',
    'right_mm',
    'mass_kg',
    'liters',
    'density_kg_per_l',
    'level',
  ],
  order: ['case_id', 'ordinal'],
  goesWithAnother: true,
  rows: ({ loadCases }) =>
    loadCases.flatMap(({ id, items }) =>
      items.map((item, ordinal) => ({
        case_id: id,
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
});

export const rigRepository = (pool: Pool) =>
  versioned<Rig, RowOf<'rigs'>, QueryOf<'rigs'>>(pool, {
    table: 'rigs',
    order: { column: 'name', direction: 'ASC' },
    columns: ['family', 'name', 'hitch_mm', 'top_speed_kmh', 'load_case_id', 'school', 'bead_floor_kpa'],
    toColumns: ({ family, name, hitchMm, topSpeedKmh, loadCaseId, school, beadFloorKpa }) => ({
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
        ? { sql: ' AND name LIKE ?', values: [`%${search.replace(/[\\%_]/g, '\\$&')}%`], hasIndex: false }
        : { sql: '', values: [], hasIndex: false },
    beforeErase: eraseRig,
    parts: [AXLES, TIRE_POINTS, LOAD_CASES, CASE_WEIGHTS, CASE_ITEMS],
    fromRow: (row, partsOf) => ({
      family: row.family,
      name: row.name,
      hitchMm: row.hitch_mm,
      topSpeedKmh: row.top_speed_kmh,
      loadCaseId: row.load_case_id,
      school: row.school,
      beadFloorKpa: row.bead_floor_kpa,
      axles: partsOf('rig_axles').map((axle) =>
        axleOf(
          axle,
          partsOf('tire_points').filter(({ position }) => position === axle.position),
        ),
      ),
      loadCases: partsOf('load_cases').map((loadCase) => {
        const mine = ({ case_id }: Packet): boolean => case_id === loadCase.id;
        return loadCaseFrom(loadCase, partsOf('case_weights').filter(mine), partsOf('case_items').filter(mine));
      }),
    }),
  });

const tirePoint = (
  position: string,
  kind: 'line' | 'row',
  ordinal: number,
  { pressureKpa, speedKmh, loadKg }: { pressureKpa: number; speedKmh: number | null; loadKg: number },
) => ({ position, kind, ordinal, pressure_kpa: pressureKpa, speed_kmh: speedKmh, load_kg: loadKg });

const axleOf = (axle: Packet, points: readonly Packet[]): RigAxle => ({
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

const loadCaseFrom = (row: Packet, weights: readonly Packet[], items: readonly Packet[]): LoadCaseBody => ({
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

function itemOf(row: Packet): LoadItemBody {
  const placed = { name: row.name, body: row.body, behindMm: row.behind_mm, rightMm: row.right_mm };
  return row.kind === 'thing'
    ? { kind: 'thing', ...placed, massKg: row.mass_kg }
    : { kind: 'tank', ...placed, liters: row.liters, densityKgPerL: row.density_kg_per_l, level: row.level };
}
