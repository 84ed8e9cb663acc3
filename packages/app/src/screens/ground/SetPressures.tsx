import type { AxlePosition, GroundPlan } from '@dunlinmoss/core';
import { bodyOf, fieldProblems, outing as outingSchema, type OutingRow, type RigRow } from '@dunlinmoss/contract';
import { type PlanRequest, axleOnGauge } from '@dunlinmoss/domain';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Dialog } from 'react-native-paper';

import { dropDraft, readDraft, writeDraft } from '../../data/drafts';
import { save } from '../../data/outbox';
import { newOuting } from '../../data/outings';
import type { Units } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Over } from '../../components/Over';
import { QuantityField } from '../../components/QuantityField';
import { canonicalOf, EMPTY_QUANTITY, type QuantityText } from '../../components/quantityText';
import { Text } from '../../components/Text';
import { AXLE_WORDS } from '../../words/axles';
import { fieldText } from '../../words/problems';
import { groundName } from '../../words/grounds';
import { setPressureText } from '../../words/limits';
import { pressure } from '../../words/format';
import { pressuresText } from '../../words/outing';
import { settingText } from '../../words/route';
import { useRouter } from '../../hooks/useRouter';

interface SetPressuresProps {
  readonly plan: GroundPlan;
  readonly rig: RigRow;
  readonly asked: PlanRequest;
  readonly units: Units;
  /** The outing under way with this rig; without one, a new outing begins here. */
  readonly outing: OutingRow | undefined;
  readonly onClose: () => void;
}

/**
 * What the gauge read on each axle in the end. The fields begin empty: the plan's own numbers in them would look like a
 * reading. That it reads as planned is said by a button of its own.
 */
export function SetPressures({ plan, rig, asked, units, outing, onClose }: SetPressuresProps) {
  const router = useRouter();
  const [blank] = useState(newOuting);
  // What was read on another outing is no reading of this one.
  const draft = `gauge:${rig.id}:${plan.ground}:${outing?.id ?? 'new'}`;
  const planned = plan.axles.map((axle) => ({
    position: axle.position,
    pressureKpa: axleOnGauge(axle, units).startKpa,
  }));
  const [typed, setTyped] = useState<readonly QuantityText[]>(
    () => readDraft<QuantityText[]>(draft) ?? plan.axles.map(() => EMPTY_QUANTITY),
  );
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});

  const change = (index: number, value: QuantityText): void => {
    const next = typed.with(index, value);
    setTyped(next);
    writeDraft(draft, next);
    setProblems({});
  };

  const keep = async (read: readonly { position: AxlePosition; pressureKpa: number | undefined }[]): Promise<void> => {
    const candidate = {
      ...(outing ? bodyOf('outings', outing) : { ...blank, rigId: rig.id }),
      groundCode: plan.ground,
      modifiers: asked.modifiers,
      speedKmh: asked.speedKmh,
      loadCaseId: asked.loadCaseId ?? outing?.loadCaseId ?? rig.loadCaseId,
      stuckRung: 0,
      state: 'lowered',
      pressuresAt: new Date().toISOString(),
      pressures: read,
    };
    const checked = outingSchema.safeParse(candidate);
    if (!checked.success) {
      setProblems(Object.fromEntries(fieldProblems(checked.error).map((each) => [each.path, fieldText(each, units)])));
      return;
    }
    const result = await save('outings', checked.data);
    if (result.kind === 'refused') {
      notify(result.problem.title);
      return;
    }
    dropDraft(draft);
    onClose();
    notify(`Kept: ${pressuresText(checked.data.pressures, units)}.`);
    router.navigate('/');
  };

  return (
    <Over name="What does the gauge read?" onClose={onClose}>
      <Dialog visible dismissable={false} style={styles.dialog}>
        <Dialog.Title>What does the gauge read?</Dialog.Title>
        <Dialog.ScrollArea style={styles.area}>
          <ScrollView contentContainerStyle={styles.fields}>
            <Text tone="muted">{`${rig.name} on ${groundName(plan.ground).toLowerCase()}. ${rig.axles.every(({ wheels }) => wheels === 1) ? 'Tires cold.' : 'Both wheels of an axle alike, tires cold.'}`}</Text>
            {plan.axles.map((axle, index) => (
              <QuantityField
                key={axle.position}
                label={AXLE_WORDS[axle.position]}
                spokenLabel={`${AXLE_WORDS[axle.position]} axle`}
                quantity="pressure"
                value={typed[index]!}
                onChange={(value) => change(index, value)}
                problem={
                  problems[`/pressures/${index}/pressureKpa`] ??
                  setPressureText(axle, canonicalOf('pressure', typed[index]!), units)
                }
                hint={`Planned: ${pressure(planned[index]!.pressureKpa, units)}`}
                stepsFrom={planned[index]!.pressureKpa}
              />
            ))}
          </ScrollView>
        </Dialog.ScrollArea>
        <View style={styles.actions}>
          <Action
            kind="main"
            label="Keep what I read"
            onPress={() =>
              void keep(
                planned.map(({ position }, index) => ({
                  position,
                  pressureKpa: canonicalOf('pressure', typed[index]!),
                })),
              )
            }
          />
          <Action label={`It reads as planned, ${settingText(planned, units)}`} onPress={() => void keep(planned)} />
          <Action label="Back to the plan" onPress={onClose} />
        </View>
      </Dialog>
    </Over>
  );
}

const styles = StyleSheet.create({
  dialog: { maxWidth: 440, width: '92%', alignSelf: 'center' },
  area: { paddingHorizontal: 20 },
  fields: { gap: 12, paddingVertical: 8 },
  actions: { padding: 20, gap: 10 },
});
