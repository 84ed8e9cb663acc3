import type { AxlePosition, GroundCode, Setting } from '@dunlinmoss/core';
import {
  bodyOf,
  fieldProblems,
  outing as outingSchema,
  type Outing,
  type OutingRow,
  type RigRow,
} from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, writeDraft } from '../../data/drafts';
import { save } from '../../data/outbox';
import { newOuting } from '../../data/outings';
import type { Units } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { Dialog } from '../../components/Dialog';
import { focusFirstInvalid } from '../../components/focusFirstInvalid';
import { notify } from '../../components/Notice';
import { QuantityField } from '../../components/QuantityField';
import { canonicalOf, EMPTY_QUANTITY, type QuantityText } from '../../components/quantityText';
import { ReadingDoubtNote } from '../../components/ReadingDoubtNote';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { fieldText } from '../../words/problems';
import { groundName } from '../../words/grounds';
import { pressure } from '../../words/format';
import { pressuresText } from '../../words/outing';
import { settingText } from '../../words/route';

interface SetPressuresProps {
  readonly rig: RigRow;
  readonly ground: GroundCode;
  /** What was planned, on the gauge. */
  readonly planned: Setting;
  /** What stands against a pressure on an axle, kPa: below its floor, above its ceiling. */
  readonly against: (axle: number, kpa: number | undefined) => string | undefined;
  readonly units: Units;
  /** The outing under way with this rig; without one, a new outing begins here. */
  readonly outing: OutingRow | undefined;
  /** What else of the outing changes with it. */
  readonly change: Partial<Outing>;
  /** Of the way out of it. */
  readonly backLabel: string;
  readonly onClose: () => void;
  readonly onKept?: () => void;
}

/**
 * What the gauge read on each axle in the end. The fields begin empty: the plan's own numbers in them would look like a
 * reading. That it reads as planned is said by a button of its own.
 */
export function SetPressures(props: SetPressuresProps) {
  const { rig, ground, planned, against, units, outing, backLabel, onClose } = props;
  const [blank] = useState(newOuting);
  const [today] = useState(() => new Date().toDateString());
  // What was read on another outing, or on another day, is no reading of this one.
  const draft = `gauge:${rig.id}:${ground}:${outing?.id ?? today}`;
  const [typed, setTyped] = useState<readonly QuantityText[]>(
    () => readDraft<QuantityText[]>(draft) ?? planned.map(() => EMPTY_QUANTITY),
  );
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});

  const change = (index: number, value: QuantityText): void => {
    const next = typed.with(index, value);
    setTyped(next);
    writeDraft(draft, next);
    setProblems({});
  };

  const keep = async (read: readonly { position: AxlePosition; pressureKpa: number | undefined }[]): Promise<void> => {
    const begun = outing && bodyOf('outings', outing);
    const checked = outingSchema.safeParse({
      ...(begun ?? { ...blank, rigId: rig.id }),
      loadCaseId: outing?.loadCaseId ?? rig.loadCaseId,
      ...props.change,
      groundCode: ground,
      stuckRung: 0,
      state: 'lowered',
      pressuresAt: new Date().toISOString(),
      pressures: read,
    });
    if (!checked.success) {
      setProblems(Object.fromEntries(fieldProblems(checked.error).map((each) => [each.path, fieldText(each, units)])));
      focusFirstInvalid();
      return;
    }
    const result = await save('outings', checked.data, begun);
    if (result.kind === 'refused') {
      notify(result.problem.title);
      return;
    }
    dropDraft(draft);
    onClose();
    notify(`Kept: ${pressuresText(checked.data.pressures, units)}.`);
    props.onKept?.();
  };

  const readings = planned.map(({ position }, index) => ({
    position,
    pressureKpa: canonicalOf('pressure', typed[index]!),
  }));
  return (
    <Dialog
      title="What does the gauge read?"
      onClose={onClose}
      actions={
        <>
          <Action kind="main" label="Keep what I read" onPress={() => void keep(readings)} />
          <Action
            label={`It reads as planned, ${settingText(planned, units)}`}
            onPress={() => void keep([...planned])}
          />
          <Action label={backLabel} onPress={onClose} />
        </>
      }
    >
      <Text tone="muted">{`${rig.name} on ${groundName(ground).toLowerCase()}. ${rig.axles.every(({ wheels }) => wheels === 1) ? 'Tires cold.' : 'Both wheels of an axle alike, tires cold.'}`}</Text>
      {planned.map(({ position, pressureKpa }, index) => (
        <View key={position} style={styles.field}>
          <QuantityField
            label={AXLE_WORDS[position]}
            spokenLabel={`${AXLE_WORDS[position]} axle`}
            quantity="pressure"
            value={typed[index]!}
            onChange={(value) => change(index, value)}
            problem={
              problems[`/pressures/${index}/pressureKpa`] ?? against(index, canonicalOf('pressure', typed[index]!))
            }
            hint={`Planned: ${pressure(pressureKpa, units)}`}
            stepsFrom={pressureKpa}
          />
          <ReadingDoubtNote
            typed={typed[index]!}
            limits={{ plannedKpa: pressureKpa, highest: null }}
            onChange={(value) => change(index, value)}
          />
        </View>
      ))}
    </Dialog>
  );
}

const styles = StyleSheet.create({ field: { gap: 4 } });
