import { useNow } from '../data/clock';
import { conditionsAfter, conditionsFor, conditionsStore, type TypedConditions } from '../settings/conditions';

export interface Conditions {
  readonly typed: TypedConditions;
  readonly change: (part: Partial<TypedConditions>) => void;
}

/** How warm a rig's tires are and how high it stands, as typed; the warmth ends with its hour and its rig. */
export function useConditions(rigId: string): Conditions {
  const kept = conditionsStore.use();
  const nowMs = useNow(kept.tire !== '', 60_000);
  return {
    typed: conditionsFor(kept, rigId, nowMs),
    change: (part) => conditionsStore.set(conditionsAfter(conditionsStore.get(), part, rigId, Date.now())),
  };
}
