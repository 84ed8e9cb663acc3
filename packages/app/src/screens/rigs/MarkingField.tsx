import type { Rig } from '@dunlinmoss/contract';
import { readMarking, type Family } from '@dunlinmoss/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { useAskedField } from '../../forms/askedField';
import { useProblem } from '../../forms/fields';
import { chosen } from '../../forms/rowForm';
import { useValue } from '../../forms/useRowForm';
import { FieldNote } from '../../components/FieldNote';
import { TextField } from '../../components/TextField';
import { TIRE_USE_WORDS } from '../../words/families';
import { MARKING_EXAMPLES, readBack } from '../../words/marking';
import { markedLoadRange } from './rigForm';
import { type TireProps, placesOf } from './tirePlaces';

export interface TireFieldsProps extends TireProps {
  readonly family: Family;
}

interface MarkingFieldProps extends TireFieldsProps {
  readonly label?: string;
}

export function MarkingField({ form, axles, family, label = 'Tire size, as on the sidewall' }: MarkingFieldProps) {
  const units = unitsStore.use();
  const { at } = placesOf(axles, 'tireMarking');
  const marking = useValue<Rig, string>(form, at);
  const refused = useProblem(form, at);
  const inputRef = useAskedField(axles.map((index) => `/axles/${index}/tireMarking`));
  const [left, setLeft] = useState(false);
  const back = readBack(marking, units, family.kind);
  const reading = readMarking(marking);
  const stranger = reading.ok && !family.tireUses.includes(reading.value.use) ? reading.value.use : undefined;
  const problem = refused ?? (marking.trim() !== '' && !back.ok && left ? back.text : undefined);
  const type = (text: string): void => {
    form.clearProblem(at);
    const marked = markedLoadRange(text);
    form.change((now) => {
      const typed = chosen(
        now,
        axles.map((index) => `/axles/${index}/tireMarking`),
        text,
      );
      const ranges = axles.map((index) => `/axles/${index}/loadRange`);
      return marked === undefined ? typed : chosen(typed, ranges, marked);
    });
  };
  return (
    <View style={styles.field}>
      <TextField
        inputRef={inputRef}
        label={label}
        value={marking}
        onChange={type}
        onBlur={() => setLeft(true)}
        capitals
        problem={back.ok ? undefined : problem}
        hint={back.ok ? `Reads: ${back.text}.` : `Like ${MARKING_EXAMPLES[family.kind]}.`}
      />
      {stranger && (
        <FieldNote
          question={`This reads as a ${TIRE_USE_WORDS[stranger]} tire. Such a rig has ${family.tireUses.map((use) => TIRE_USE_WORDS[use]).join(' or ')} tires: check the marking.`}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: 4 },
});
