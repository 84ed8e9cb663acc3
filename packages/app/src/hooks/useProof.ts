import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import type { GroundCode } from '@dunlinmoss/core';
import { withProof, type PlanRequest, type ProofHistory, type ProvedAxle } from '@dunlinmoss/domain';

import { useNow } from '../data/clock';
import { useOutingsOf } from '../data/outings';
import { createStore } from '../settings/store';

/** Grounds of rigs on which the person goes by the rule, not by what was proved. Kept on this device. */
const byRuleStore = createStore<Readonly<Record<string, boolean>>>({}, 'byRule');
const placeOf = (rigId: string, ground: GroundCode): string => `${rigId} ${ground}`;

type Asked<Of extends PlanRequest> = Of & { readonly proved: readonly ProvedAxle[] };

/** A question about any rig with what was proved there, unless the person goes by the rule on that ground. */
export function useProofs() {
  const byRule = byRuleStore.use();
  const nowMs = useNow(false);
  return <Of extends PlanRequest>(rig: RigRow, history: ProofHistory, asked: Of): Asked<Of> =>
    byRule[placeOf(rig.id, asked.ground)] ? { ...asked, proved: [] } : withProof(rig, history, asked, nowMs);
}

/** The same of one rig. */
export function useProof(rigId: string | undefined) {
  const { rows: outings } = useOutingsOf(rigId);
  const proofOf = useProofs();
  return <Of extends PlanRequest>(rig: RigRow, tests: readonly ProofTestRow[], asked: Of): Asked<Of> =>
    proofOf(rig, { tests, outings }, asked);
}

/** Whether the person goes by the rule on a ground, and the way to say so. */
export function useByRule(rigId: string, ground: GroundCode): readonly [boolean, (on: boolean) => void] {
  const all = byRuleStore.use();
  const place = placeOf(rigId, ground);
  return [all[place] === true, (on) => byRuleStore.set({ ...all, [place]: on })];
}
