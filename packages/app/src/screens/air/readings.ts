import { wheelKey, type WheelRef } from '@dunlinmoss/core';
import { useState } from 'react';

import { readDraft, writeDraft } from '../../data/drafts';
import { canonicalOf, type QuantityText } from '../../components/quantityText';

type Typed = Readonly<Record<string, QuantityText>>;
const draftOf = (draft: string): Typed => readDraft<Typed>(draft) ?? {};
const same = (a: QuantityText | undefined, b: QuantityText): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What was typed for each wheel, kept as it is typed. Another draft is another round: nothing of one stands in the other. */
export function useWheelReadings(draft: string, start: (wheel: WheelRef) => QuantityText) {
  const [state, setState] = useState(() => ({ draft, typed: draftOf(draft) }));
  const isOf = state.draft === draft;
  const typed = isOf ? state.typed : draftOf(draft);
  if (!isOf) setState({ draft, typed });
  const textOf = (wheel: WheelRef): QuantityText => typed[wheelKey(wheel)] ?? start(wheel);
  return {
    textOf,
    kpaOf: (wheel: WheelRef): number | undefined => canonicalOf('pressure', textOf(wheel)),
    type(wheel: WheelRef, value: QuantityText): void {
      const next = { ...typed, [wheelKey(wheel)]: value };
      setState({ draft, typed: next });
      writeDraft(draft, next);
    },
    /** Lets go of what stood there when this was made, once it is kept: what was typed meanwhile stays. */
    clear(): void {
      const left = Object.fromEntries(
        Object.entries(draftOf(draft)).filter(([key, value]) => !same(typed[key], value)),
      );
      writeDraft(draft, Object.keys(left).length === 0 ? undefined : left);
      setState((now) => (now.draft === draft ? { draft, typed: left } : now));
    },
  };
}
