import { groundsFor, type Family, type GroundCode } from '@dunlinmoss/core';

import { useWide } from '../theme/useWide';
import { GROUND_WORDS } from '../words/grounds';
import { Choice } from './Choice';
import { Unfold } from './Unfold';

interface GroundPickerProps {
  /** Whose grounds. */
  readonly family: Family;
  readonly value: GroundCode;
  readonly onChange: (ground: GroundCode) => void;
  /** All that this family meets, unless set otherwise. */
  readonly grounds?: readonly GroundCode[];
}

/** The grounds from the firmest to the last resort. */
export function GroundChoice({ family, value, onChange, grounds = groundsFor(family) }: GroundPickerProps) {
  const wide = useWide();
  return (
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
      onChange={onChange}
    />
  );
}

/** The same in a form: all in view on a wide screen, one tap away on a phone. */
export function GroundPicker(props: GroundPickerProps) {
  const wide = useWide();
  if (wide) return <GroundChoice {...props} />;
  return (
    <Unfold label="Ground" value={GROUND_WORDS[props.value].name}>
      {(close) => (
        <GroundChoice
          {...props}
          onChange={(code) => {
            props.onChange(code);
            close();
          }}
        />
      )}
    </Unfold>
  );
}
