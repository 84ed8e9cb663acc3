import { loadCaseOf, type ProofTestRow, type RigRow, type Sheet } from '@dunlinmoss/contract';
import {
  compareNames,
  FAMILIES,
  familyOf,
  GROUND_CODES,
  groundsFor,
  planGround,
  STUCK,
  type GroundCode,
  type Kind,
} from '@dunlinmoss/core';
import { axleOnGauge, planInput, type PlanRequest } from '@dunlinmoss/domain';

import { unitsFor, type Units } from '../settings/preferences';
import { speedGuide } from './cautions';
import { day, pressureNumber } from './format';
import { groundName } from './grounds';

/** One machine in one load case with what it has on each ground. */
export interface WallRow {
  readonly rigId: string;
  readonly name: string;
  /** Empty where it was never weighed. */
  readonly load: string;
  /** `12 / 9 / 25`, axle by axle; null where there is no number. */
  readonly cells: readonly (string | null)[];
  /** The softest axle on each ground, to sort by, kPa; null where there is no number. */
  readonly softestKpa: readonly (number | null)[];
}

export interface WallTable {
  readonly grounds: readonly GroundCode[];
  readonly rows: readonly WallRow[];
}

/** How the rows of a wall sheet stand: by name, or softest first on a ground. */
export type WallOrder = 'name' | GroundCode;

interface WallQuestion {
  readonly rigs: readonly RigRow[];
  readonly testsOf: (rigId: string) => readonly ProofTestRow[];
  readonly kind: Kind;
  readonly grounds: readonly GroundCode[];
  /** Every load case of a machine, or the one that stands. */
  readonly allLoads: boolean;
  readonly order: WallOrder;
  readonly units: Units;
  /** The question with what was proved there. */
  readonly proofOf: (rig: RigRow, asked: PlanRequest) => PlanRequest;
}

/** Grounds that a kind's sheet can have: all it meets but being stuck. */
export const wallGrounds = (kind: Kind): readonly GroundCode[] => {
  const met = new Set(FAMILIES.filter((family) => family.kind === kind).flatMap((family) => groundsFor(family)));
  return GROUND_CODES.filter((code) => code !== STUCK && met.has(code));
};

/** All machines of a kind by all grounds chosen. */
export function wallTable(question: WallQuestion): WallTable {
  const { rigs, testsOf, kind, allLoads, order, units, proofOf } = question;
  const grounds = wallGrounds(kind).filter((code) => question.grounds.includes(code));
  const rows = rigs
    .filter(({ family }) => familyOf(family).kind === kind)
    .flatMap((rig): WallRow[] => {
      const cases = allLoads && rig.loadCases.length > 0 ? rig.loadCases : [loadCaseOf(rig, null)];
      const own = unitsFor(units, rig.family);
      return cases.map((loadCase): WallRow => {
        const plans = grounds.map((ground) => {
          const asked = { ground, modifiers: [], speedKmh: null, loadCaseId: loadCase?.id ?? null };
          const input = planInput(rig, testsOf(rig.id), proofOf(rig, asked));
          const plan = input.ok ? planGround(input.value) : undefined;
          return plan?.ok ? plan.value : undefined;
        });
        return {
          rigId: rig.id,
          name: rig.name,
          load: loadCase?.name ?? '',
          cells: plans.map((plan) =>
            plan
              ? `${plan.axles.map((axle) => pressureNumber(axleOnGauge(axle, own).startKpa, own)).join(' / ')}${speedOf(plan, units)}`
              : null,
          ),
          softestKpa: plans.map((plan) => (plan ? Math.min(...plan.axles.map(({ startKpa }) => startKpa)) : null)),
        };
      });
    });
  const at = order === 'name' ? -1 : grounds.indexOf(order);
  return {
    grounds,
    rows: rows.toSorted(
      (a, b) =>
        (at < 0
          ? 0
          : (a.softestKpa[at] ?? Number.POSITIVE_INFINITY) - (b.softestKpa[at] ?? Number.POSITIVE_INFINITY)) ||
        compareNames(a.name, b.name) ||
        compareNames(a.load, b.load),
    ),
  };
}

/** `, 10 km/h` behind the pressures that want it. */
function speedOf(plan: Parameters<typeof speedGuide>[0], units: Units): string {
  const guide = speedGuide(plan, units);
  return guide === undefined ? '' : `, ${guide}`;
}

/** The table on a page, for the wall of a workshop. */
export const wallSheet = ({ grounds, rows }: WallTable, units: Units, now: string): Sheet => ({
  title: 'Pressures by machine and ground',
  about: `Cold, in ${units.pressure}, front / rear / trailer, and how fast at the most · ${day(now)}`,
  parts: [
    {
      head: ['Machine', ...grounds.map(groundName)],
      rows: rows.map(({ name, load, cells }) => [
        load === '' ? name : `${name}: ${load}`,
        ...cells.map((cell) => cell ?? 'no number: see the rig'),
      ]),
    },
  ],
  foot: 'Soft tires at speed overheat and fail; air back before pavement. Sidewall, placard, local law and a qualified tire fitter overrule this sheet.',
});

/** The same as lines of a table, for a file: numbers as they stand on the sheet. */
export const wallLines = ({ grounds, rows }: WallTable): readonly (readonly string[])[] => [
  ['machine', 'load', ...grounds],
  ...rows.map(({ name, load, cells }) => [name, load, ...cells.map((cell) => (cell ?? '').replaceAll('\u00a0', ' '))]),
];
