import type { Rig } from '@dunlinmoss/contract';
import { readMarking, readSidewallText, sameSize, type Family } from '@dunlinmoss/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { useAskedField } from '../../forms/askedField';
import { useProblem } from '../../forms/fields';
import { chosen } from '../../forms/rowForm';
import { useValue } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { FieldNote } from '../../components/FieldNote';
import { TextField } from '../../components/TextField';
import { TIRE_USE_WORDS } from '../../words/families';
import { MARKING_EXAMPLES, readBack } from '../../words/marking';
import {
  isAnything,
  leftoversOf,
  NOTHING_LEFT,
  withLeftovers,
  withoutTexts,
  withSidewall,
  type Leftovers,
} from './leftovers';
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
  const [begun, setBegun] = useState(marking);
  const [cleared, setCleared] = useState<readonly Leftovers[] | null>(null);
  /** What belonged to a tire of another size goes with it; a whole sidewall is taken apart. */
  const leave = (): void => {
    setLeft(true);
    const text = readSidewallText(marking);
    if (text.lines.length > 0 || text.maxKpa !== null) {
      form.change((now) => ({ ...now, row: withSidewall(now.row, axles, text) }));
    }
    const [before, after] = [readMarking(begun), readMarking(marking)];
    if (!before.ok || !after.ok || sameSize(before.value, after.value)) return;
    const old = axles.map((index) => leftoversOf(form.now().row.axles[index]!));
    if (!old.some(isAnything)) return;
    setCleared(old);
    const nothing = axles.map(() => NOTHING_LEFT);
    form.change((now) => ({
      row: withLeftovers(now.row, axles, nothing),
      texts: withoutTexts(now.texts, axles),
    }));
  };
  const bringBack = (): void => {
    if (cleared) form.change((now) => ({ ...now, row: withLeftovers(now.row, axles, cleared) }));
    setCleared(null);
  };
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
        onFocus={() => setBegun(marking)}
        onBlur={leave}
        capitals
        problem={back.ok ? undefined : problem}
        hint={back.ok ? `Reads: ${back.text}.` : `Like ${MARKING_EXAMPLES[family.kind]}.`}
      />
      {cleared && (
        <>
          <FieldNote question="Another size: what was measured and read on the tire before is taken off." />
          <Action label="Same tire, bring it back" onPress={bringBack} />
        </>
      )}
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
