import { GROUND_CODES, type GroundCode } from '@dunlinmoss/core';

import { useWide } from '../theme/useWide';
import { GROUND_WORDS } from '../words/grounds';
import { Choice } from './Choice';
import { Unfold } from './Unfold';

interface GroundPickerProps {
  readonly value: GroundCode;
  readonly onChange: (ground: GroundCode) => void;
  /** All of them, unless told otherwise. */
  readonly grounds?: readonly GroundCode[];
}

/** The grounds from the firmest to the last resort: all in view on a wide screen, one tap away on a phone. */
export function GroundPicker({ value, onChange, grounds = GROUND_CODES }: GroundPickerProps) {
  const wide = useWide();
  const list = (close: () => void) => (
    <Choice
      label="Ground"
      layout="list"
      value={value}
      options={grounds.map((code) => ({
        code,
        name: GROUND_WORDS[code].name,
        // On a wide screen the whole list stays in view; there the sign stands with the chosen one only.
        note: wide && code !== value ? undefined : GROUND_WORDS[code].sign,
      }))}
      onChange={(code) => {
        onChange(code);
        close();
      }}
    />
  );
  if (wide) return list(() => undefined);
  return (
    <Unfold label="Ground" value={GROUND_WORDS[value].name}>
      {list}
    </Unfold>
  );
}
