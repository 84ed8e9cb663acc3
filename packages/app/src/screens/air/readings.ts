import { wheelKey, type WheelRef } from '@dunlinmoss/core';
import { useState } from 'react';

import { readDraft, writeDraft } from '../../data/drafts';
import { canonicalOf, type QuantityText } from '../../components/quantityText';

/** What was typed for each wheel, kept as it is typed. */
export function useWheelReadings(draft: string, start: (wheel: WheelRef) => QuantityText) {
  const [typed, setTyped] = useState<Readonly<Record<string, QuantityText>>>(
    () => readDraft<Record<string, QuantityText>>(draft) ?? {},
  );
  const textOf = (wheel: WheelRef): QuantityText => typed[wheelKey(wheel)] ?? start(wheel);
  return {
    textOf,
    kpaOf: (wheel: WheelRef): number | undefined => canonicalOf('pressure', textOf(wheel)),
    type(wheel: WheelRef, value: QuantityText): void {
      const next = { ...typed, [wheelKey(wheel)]: value };
      setTyped(next);
      writeDraft(draft, next);
    },
    clear(): void {
      setTyped({});
      writeDraft(draft, undefined);
    },
  };
}
