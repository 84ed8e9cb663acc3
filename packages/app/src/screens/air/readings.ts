import { wheelKey, type WheelPlace } from '@dunlinmoss/core';
import { useState } from 'react';

import { readDraft, writeDraft } from '../../data/drafts';
import { canonicalOf, type QuantityText } from '../../components/quantityText';

/** What was typed for each wheel, kept as it is typed. */
export function useWheelReadings(draft: string, start: (wheel: WheelPlace) => QuantityText) {
  const [typed, setTyped] = useState<Readonly<Record<string, QuantityText>>>(
    () => readDraft<Record<string, QuantityText>>(draft) ?? {},
  );
  const textOf = (wheel: WheelPlace): QuantityText => typed[wheelKey(wheel)] ?? start(wheel);
  return {
    textOf,
    kpaOf: (wheel: WheelPlace): number | undefined => canonicalOf('pressure', textOf(wheel)),
    typedAny: Object.keys(typed).length > 0,
    type(wheel: WheelPlace, value: QuantityText): void {
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
