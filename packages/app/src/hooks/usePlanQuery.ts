import {
  loadCaseOf,
  type LoadCaseBody,
  type Outing,
  type OutingRow,
  type ProofTestRow,
  type RigRow,
  SPEED_KMH,
} from '@dunlinmoss/contract';
import {
  familyOf,
  groundOr,
  MODIFIER_CODES,
  STUCK,
  type Family,
  type GroundCode,
  type ModifierCode,
} from '@dunlinmoss/core';
import type { PlanRequest, ProvedAxle } from '@dunlinmoss/domain';
import { useLocalSearchParams, useRouter } from 'expo-router';

import { useTestsOf } from '../data/tests';
import { saveOuting, useOutingOf } from '../data/outings';
import { useProof } from './useProof';
import { chosenRigStore, useChosenRig } from './useChosenRig';
import { unitsFor, unitsStore, type Units } from '../settings/preferences';
import { useRows } from '../data/rows';
import { notify } from '../components/Notice';
import { createStore } from '../settings/store';

/** Which rig, how loaded, on which ground, on what kind of day: what every screen of this place asks. */
export interface PlanQuery {
  readonly rig: RigRow;
  readonly family: Family;
  readonly tests: readonly ProofTestRow[];
  readonly loadCase: LoadCaseBody | undefined;
  /** The outing under way with this rig, on whatever ground. */
  readonly outing: OutingRow | undefined;
  readonly asked: PlanRequest & { readonly ground: GroundCode; readonly proved: readonly ProvedAxle[] };
  readonly units: Units;
  readonly change: (part: Change) => void;
}

export interface Change {
  readonly rig?: string;
  readonly ground?: GroundCode;
  readonly loadCaseId?: string;
  readonly modifiers?: readonly ModifierCode[];
  readonly speedKmh?: number | null;
  /** How full its tanks are today, 0 to 1. */
  readonly tankLevel?: number | null;
}

/** The part of the address that says where and on what kind of day; undefined where nothing is said. */
type Where = Readonly<Partial<Record<'ground' | 'case' | 'day' | 'speed' | 'full', string>>>;

/** Where each rig was looked at last, so that it need not be said again. Kept on this device. */
const lastWhereStore = createStore<Readonly<Record<string, Where>>>({}, 'lastWhere');

const isModifier = (text: string): text is ModifierCode => MODIFIER_CODES.some((code) => code === text);
const modifiersIn = (text: string | undefined): ModifierCode[] => (text ?? '').split(',').filter(isModifier);

const speedIn = (text: string | undefined): number | null => {
  const value = Number(text);
  return text !== undefined && value >= SPEED_KMH.least && value <= SPEED_KMH.most ? value : null;
};

const levelIn = (text: string | undefined): number | null => {
  const value = Number(text);
  return text !== undefined && value >= 0 && value <= 1 ? value : null;
};

/**
 * The question of the address, so that it can be shared and reloaded; on the ground of the outing under way that of the
 * outing, so that Today says the same.
 */
export function usePlanQuery(): {
  readonly question: PlanQuery | undefined;
  readonly rigs: readonly RigRow[];
  readonly loading: boolean;
} {
  const params = useLocalSearchParams<Record<'rig', string> & Record<keyof Where, string>>();
  const router = useRouter();
  const units = unitsStore.use();
  const lastWhere = lastWhereStore.use();
  const { rows: rigs, loading } = useRows('rigs');
  const { rig, loading: waits } = useChosenRig(params.rig);
  const tests = useTestsOf(rig?.id);
  const { outing, loading: outingWaits } = useOutingOf(rig?.id);
  const proofOf = useProof(rig?.id);
  if (loading || waits || (rig && outingWaits)) return { question: undefined, rigs, loading: true };
  if (!rig) return { question: undefined, rigs, loading: false };

  const family = familyOf(rig.family);
  const where: Where = params.ground === undefined && !outing ? { ...lastWhere[rig.id], ...definedOf(params) } : params;
  const ground = groundOr(family, where.ground ?? outing?.groundCode);
  const onOuting = outing?.groundCode === ground ? outing : undefined;
  const loadCaseId = onOuting?.loadCaseId ?? where.case ?? null;
  const change = ({ rig: otherRig, ground: otherGround, ...day }: Change): void => {
    const changed: Partial<Outing> = {
      ...(day.modifiers && { modifiers: [...day.modifiers] }),
      ...(day.speedKmh !== undefined && { speedKmh: day.speedKmh }),
      ...(day.loadCaseId !== undefined && { loadCaseId: day.loadCaseId, tankLevel: null }),
      ...(day.tankLevel !== undefined && { tankLevel: day.tankLevel }),
    };
    if (onOuting && Object.keys(changed).length > 0) {
      void saveOuting(onOuting, changed).then((saved) => {
        if (saved.kind === 'refused') notify(saved.problem.title);
      });
      return;
    }
    if (otherRig !== undefined) {
      chosenRigStore.set(otherRig);
      // What was said of one rig's day says nothing of another's.
      router.setParams({ rig: otherRig, ...NOWHERE });
      return;
    }
    const next = whereAfter({ ...where, ground: otherGround ?? ground }, day);
    // Nobody is stuck there the next time.
    if (next.ground !== STUCK) lastWhereStore.set({ ...lastWhereStore.get(), [rig.id]: next });
    router.setParams({ rig: rig.id, ...NOWHERE, ...next });
  };
  return {
    rigs,
    loading: false,
    question: {
      rig,
      family,
      tests,
      loadCase: loadCaseOf(rig, loadCaseId),
      outing,
      units: unitsFor(units, rig.family),
      asked: proofOf(rig, tests, {
        ground,
        loadCaseId,
        modifiers: onOuting?.modifiers ?? modifiersIn(where.day),
        speedKmh: onOuting ? onOuting.speedKmh : speedIn(where.speed),
        tankLevel: onOuting ? (onOuting.tankLevel ?? null) : levelIn(where.full),
      }),
      change,
    },
  };
}

const NOWHERE = { ground: undefined, case: undefined, day: undefined, speed: undefined, full: undefined };

/** What of an address is said. */
const definedOf = ({ ground, case: loadCase, day, speed, full }: Where): Where =>
  Object.fromEntries(
    Object.entries({ ground, case: loadCase, day, speed, full }).filter(([, value]) => value !== undefined),
  );

/** The address after something of the day was changed. */
function whereAfter(where: Where, { modifiers, speedKmh, loadCaseId, tankLevel }: Change): Where {
  return definedOf({
    ...definedOf(where),
    ...(modifiers && { day: modifiers.length === 0 ? undefined : modifiers.join() }),
    ...(speedKmh !== undefined && { speed: speedKmh === null ? undefined : String(speedKmh) }),
    ...(loadCaseId !== undefined && { case: loadCaseId, full: undefined }),
    ...(tankLevel !== undefined && { full: tankLevel === null ? undefined : String(tankLevel) }),
  } as Where);
}

/** A question as part of an address, for another screen that asks the same. */
export const addressOf = ({ rig, asked }: PlanQuery): Record<string, string> => ({
  rig: rig.id,
  ground: asked.ground,
  ...(asked.loadCaseId && { case: asked.loadCaseId }),
  ...(asked.modifiers.length > 0 && { day: asked.modifiers.join() }),
  ...(asked.speedKmh !== null && { speed: String(asked.speedKmh) }),
  ...(asked.tankLevel != null && { full: String(asked.tankLevel) }),
});
