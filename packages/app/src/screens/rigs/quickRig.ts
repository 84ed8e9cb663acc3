import type { Rig, RigRow } from '@dunlinmoss/contract';
import {
  familyOf,
  groundsFor,
  planGround,
  readMarking,
  STUCK,
  type FamilyCode,
  type GroundCode,
} from '@dunlinmoss/core';
import { axleOnGauge, firstNumbersOf, planInput, type GaugeUnits, type PlanRequest } from '@dunlinmoss/domain';

import { newId } from '../../data/newId';
import { FAMILY_WORDS } from '../../words/families';
import { emptyRig } from './rigForm';

/** What most riders weigh with clothes and pack, and their bicycles, kg. Assumptions, to be replaced by the person's own. */
const RIDER_KG = 80;
const BICYCLE_KG: Partial<Record<FamilyCode, number>> = { electricBike: 24, roadBike: 10, fatBike: 16, cityBike: 18 };
const A_BICYCLE_KG = 14;

const unnamed = (code: FamilyCode): string => `My ${FAMILY_WORDS[code].name.toLowerCase()}`;

/** The name of a rig, with its tire size where it still has the name it began with. */
export function namedBySize({ name, family, axles }: Omit<Rig, 'id'>): string {
  const size = axles[0]?.tireMarking.trim() ?? '';
  return name === unnamed(family) && size !== '' ? `${name} · ${size}` : name;
}

/** A new rig of a family as it begins: with a name to change, and on a bicycle a rider, since nothing goes without one. */
export function quickRig(code: FamilyCode): Omit<Rig, 'id'> {
  const family = familyOf(code);
  const blank = { ...emptyRig(code), name: unnamed(code) };
  if (family.kind !== 'bicycle') return blank;
  const id = newId();
  return {
    ...blank,
    loadCaseId: id,
    loadCases: [
      {
        id,
        name: 'As ridden',
        method: 'posture',
        weighed: [],
        wholeKg: null,
        unladen: [],
        items: [],
        posture: {
          posture: family.posture ?? 'gravel',
          frontShare: null,
          riderKg: RIDER_KG,
          bikeKg: BICYCLE_KG[code] ?? A_BICYCLE_KG,
        },
        split: null,
        level: null,
      },
    ],
  };
}

/** A ground with its first pressures, as a gauge shows them. */
export interface FirstRow {
  readonly ground: GroundCode;
  readonly axles: readonly { readonly position: Rig['axles'][number]['position']; readonly pressureKpa: number }[];
  /** How far they may be off until it is weighed, kPa; null where that is unknown, or the load is known. */
  readonly mayBeOffKpa: number | null;
  readonly fastestKmh: number | null;
}

/**
 * A rig's first pressures on every ground that its family meets, firmest first; without those on which there is none, and
 * none at all while a road pressure is asked back. An axle that is blank so far is left out of it.
 */
export function firstRows(rig: Omit<Rig, 'id'>, units: GaugeUnits): FirstRow[] {
  const family = familyOf(rig.family);
  const weighed = rig.loadCases.length > 0;
  const needsRoad = family.kind !== 'bicycle' && family.kind !== 'motorcycle';
  const axles = rig.axles.filter(
    ({ tireMarking, roadKpa }) => readMarking(tireMarking).ok && (!needsRoad || (roadKpa ?? 0) > 0),
  );
  if (axles.length === 0 || (weighed && axles.length < rig.axles.length)) return [];
  const row = { ...rig, axles, id: '', createdAt: '', updatedAt: '' };
  return groundsFor(family)
    .filter((ground) => ground !== STUCK)
    .flatMap((ground): FirstRow[] => {
      const request = { ground, modifiers: [], speedKmh: null };
      const input = planInput(row, [], request);
      const plan = input.ok ? planGround(input.value) : undefined;
      if (!plan?.ok) return [];
      return [
        {
          ground,
          axles: plan.value.axles.map((axle) => ({
            position: axle.position,
            pressureKpa: axleOnGauge(axle, units).startKpa,
          })),
          mayBeOffKpa: weighed ? null : mayBeOff(row, request),
          fastestKmh: plan.value.speedGuideKmh?.high ?? null,
        },
      ];
    });
}

/** How far off the numbers may be until it is weighed, kPa; null where that is unknown. */
function mayBeOff(row: RigRow, request: PlanRequest): number | null {
  const first = firstNumbersOf(row, [], request);
  const off = first.ok
    ? first.value.axles.flatMap(({ mayBeOffKpa }) => (mayBeOffKpa === null ? [] : [mayBeOffKpa]))
    : [];
  return off.length === 0 ? null : Math.max(...off);
}
