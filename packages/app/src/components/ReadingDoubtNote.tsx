import { pressureDoubt, readingDoubt, type TestLimits } from '@dunlinmoss/core';

import { unitsStore } from '../settings/preferences';
import { aboveSidewallText, farReadingText } from '../words/questions';
import { PressureDoubtNote } from './PressureDoubtNote';
import { canonicalOf, quantityText, typedPressureUnit, type QuantityText } from './quantityText';

interface ReadingDoubtNoteProps {
  readonly typed: QuantityText;
  /** What it is held against; nothing is asked without it. */
  readonly limits: Pick<TestLimits, 'plannedKpa' | 'highest'> | undefined;
  /** What the wheel has on the road, kPa: no reading of that is asked back. */
  readonly roadKpa?: number | null;
  readonly onChange: (typed: QuantityText) => void;
}

/** Asks back, under its field, about a reading that hardly can be. It is kept as it stands, but proves nothing until it fits. */
export function ReadingDoubtNote({ typed, limits, roadKpa = null, onChange }: ReadingDoubtNoteProps) {
  const own = unitsStore.use().pressure;
  const readKpa = canonicalOf('pressure', typed);
  const doubt = readKpa === undefined || readKpa === 0 || !limits ? null : readingDoubt(readKpa, limits, roadKpa);
  if (doubt === null || readKpa === undefined || !limits) return null;
  const unit = typedPressureUnit(typed, own);
  const { plannedKpa, highest } = limits;
  const likelyKpa = plannedKpa ?? highest!.pressureKpa;
  const asked = pressureDoubt(readKpa, unit, { low: likelyKpa, high: likelyKpa });
  const text =
    doubt === 'aboveSidewall'
      ? aboveSidewallText(readKpa, highest!.pressureKpa, unit)
      : asked && farReadingText(asked, unit);
  return (
    text && (
      <PressureDoubtNote
        doubt={asked ?? { pressureKpa: readKpa, usual: { low: likelyKpa, high: likelyKpa }, readAs: [] }}
        text={text}
        unit={unit}
        onRead={(kpa) => onChange(quantityText('pressure', own, kpa))}
      />
    )
  );
}
