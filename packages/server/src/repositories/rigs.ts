import {
  RESOURCES,
  type BodyOf,
  type LoadItemBody,
  type QueryOf,
  type RigAxle,
  type RowOf,
} from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { flag, flagOrNull, group, plain, timeOrNull, type Column } from './columns';
import { eraseRig } from './erase';
import { oneList, part } from './parts';
import { versioned } from './versioned';

type Rig = BodyOf<'rigs'>;
type LoadCase = Rig['loadCases'][number];

const AXLES = part<Rig>()<Omit<RigAxle, 'lines' | 'rows'>>({
  table: 'rig_axles',
  parent: 'rig_id',
  // The order of the alphabet is that of the axles too.
  listOf: null,
  fields: {
    position: plain(),
    wheels: plain(),
    driven: flag(),
    behindMm: plain(),
    trackMm: plain(),
    ratingKg: plain(),
    tireMarking: plain(),
    loadRange: plain(),
    tube: flag(),
    beadHold: plain(),
    insert: flag('insert_fitted'),
    casing: plain(),
    rimInnerMm: plain(),
    hookless: flagOrNull(),
    measuredWidthMm: plain(),
    fittedAt: timeOrNull(),
    valve: plain(),
    treadWidthMm: plain(),
    minKpa: plain(),
    maxKpa: plain(),
    rowsOf: plain(),
    roadKpa: plain(),
    confirmedRoadKpa: plain(),
    present: group({
      rawKpa: plain('present_raw_kpa'),
      gaugeId: plain('present_gauge_id'),
      offsetKpa: plain('present_offset_kpa'),
    }),
  },
  rows: ({ axles }) => axles,
});

interface TirePoint {
  readonly position: RigAxle['position'];
  readonly kind: 'line' | 'row';
  readonly pressureKpa: number;
  readonly speedKmh: number | null;
  readonly loadKg: number;
}

const TIRE_POINTS = part<Rig>()<TirePoint>({
  table: 'tire_points',
  parent: 'rig_id',
  fields: { position: plain(), kind: plain(), pressureKpa: plain(), speedKmh: plain(), loadKg: plain() },
  listOf: ({ position, kind }) => `${position} ${kind}`,
  goesWithAnother: true,
  rows: ({ axles }) =>
    axles.flatMap(({ position, lines, rows }): TirePoint[] => [
      ...lines.map((line) => ({ position, kind: 'line' as const, ...line, speedKmh: null })),
      ...rows.map((row) => ({ position, kind: 'row' as const, ...row })),
    ]),
});

const LOAD_CASES = part<Rig>()<Omit<LoadCase, 'weighed' | 'unladen' | 'items'>>({
  table: 'load_cases',
  parent: 'rig_id',
  fields: {
    id: plain(),
    name: plain(),
    method: plain(),
    wholeKg: plain(),
    level: plain(),
    posture: group({ posture: plain(), frontShare: plain(), riderKg: plain(), bikeKg: plain() }),
    split: group({ laden: plain('split_laden'), like: plain('split_like') }),
  },
  listOf: oneList,
  rows: ({ loadCases }) => loadCases,
});

interface CaseWeight {
  readonly caseId: string;
  readonly kind: 'weighed' | 'unladen';
  readonly position: string;
  readonly part: string;
  readonly loadKg: number;
}

const CASE_WEIGHTS = part<Rig>()<CaseWeight>({
  table: 'case_weights',
  parent: 'rig_id',
  fields: { caseId: plain(), kind: plain(), position: plain(), part: plain(), loadKg: plain() },
  listOf: ({ caseId, kind }) => `${caseId} ${kind}`,
  goesWithAnother: true,
  rows: ({ loadCases }) =>
    loadCases.flatMap(({ id: caseId, weighed, unladen }): CaseWeight[] => [
      ...weighed.map((each) => ({ caseId, kind: 'weighed' as const, ...each })),
      ...unladen.map((each) => ({ caseId, kind: 'unladen' as const, part: 'axle', ...each })),
    ]),
});

interface CaseItem {
  readonly caseId: string;
  readonly item: LoadItemBody;
}

/** A thing or a tank: what only one of them has is null for the other. */
const item: Column<LoadItemBody> = {
  names: () => ['kind', 'name', 'body', 'behind_mm', 'right_mm', 'mass_kg', 'liters', 'density_kg_per_l', 'level'],
  dates: () => [],
  write: (each) => ({
    kind: each.kind,
    name: each.name,
    body: each.body,
    behind_mm: each.behindMm,
    right_mm: each.rightMm,
    mass_kg: each.kind === 'thing' ? each.massKg : null,
    liters: each.kind === 'tank' ? each.liters : null,
    density_kg_per_l: each.kind === 'tank' ? each.densityKgPerL : null,
    level: each.kind === 'tank' ? each.level : null,
  }),
  read: (row) => {
    const placed = { name: row.name, body: row.body, behindMm: row.behind_mm, rightMm: row.right_mm };
    return row.kind === 'thing'
      ? { kind: 'thing', ...placed, massKg: row.mass_kg }
      : { kind: 'tank', ...placed, liters: row.liters, densityKgPerL: row.density_kg_per_l, level: row.level };
  },
};

const CASE_ITEMS = part<Rig>()<CaseItem>({
  table: 'case_items',
  parent: 'rig_id',
  fields: { caseId: plain(), item },
  listOf: ({ caseId }) => caseId,
  goesWithAnother: true,
  rows: ({ loadCases }) =>
    loadCases.flatMap(({ id: caseId, items }) => items.map((each): CaseItem => ({ caseId, item: each }))),
});

export const rigRepository = (pool: Pool) =>
  versioned<Rig, RowOf<'rigs'>, QueryOf<'rigs'>, Omit<Rig, 'id' | 'revision' | 'axles' | 'loadCases'>>(pool, {
    table: 'rigs',
    kind: 'rigs',
    order: RESOURCES.rigs.order,
    fields: {
      family: plain(),
      name: plain(),
      hitchMm: plain(),
      topSpeedKmh: plain(),
      loadCaseId: plain(),
      roadLoadCaseId: plain(),
      school: plain(),
      beadFloorKpa: plain(),
      softOnPurposeAt: timeOrNull(),
      keeperId: plain(),
      demo: flag(),
    },
    filter: ({ search }) =>
      search
        ? { sql: ' AND name LIKE ?', values: [`%${search.replace(/[\\%_]/g, '\\$&')}%`], hasIndex: false }
        : { sql: '', values: [], hasIndex: false },
    beforeErase: eraseRig,
    parts: [AXLES, TIRE_POINTS, LOAD_CASES, CASE_WEIGHTS, CASE_ITEMS],
    partFields: (itemsOf) => {
      const points = itemsOf(TIRE_POINTS);
      const weights = itemsOf(CASE_WEIGHTS);
      const items = itemsOf(CASE_ITEMS);
      return {
        axles: itemsOf(AXLES).map((axle): RigAxle => {
          const mine = points.filter(({ position }) => position === axle.position);
          return {
            ...axle,
            lines: mine.flatMap(({ kind, pressureKpa, loadKg }) => (kind === 'line' ? [{ pressureKpa, loadKg }] : [])),
            rows: mine.flatMap(({ kind, pressureKpa, speedKmh, loadKg }) =>
              kind === 'row' ? [{ pressureKpa, speedKmh: speedKmh!, loadKg }] : [],
            ),
          };
        }),
        loadCases: itemsOf(LOAD_CASES).map((loadCase) => {
          const mine = weights.filter(({ caseId }) => caseId === loadCase.id);
          return {
            ...loadCase,
            weighed: mine.flatMap(({ kind, position, part: onScale, loadKg }) =>
              kind === 'weighed' ? [{ position, part: onScale, loadKg } as LoadCase['weighed'][number]] : [],
            ),
            unladen: mine.flatMap(({ kind, position, loadKg }) =>
              kind === 'unladen' ? [{ position, loadKg } as LoadCase['unladen'][number]] : [],
            ),
            items: items.flatMap(({ caseId, item: each }) => (caseId === loadCase.id ? [each] : [])),
          };
        }),
      };
    },
  });
