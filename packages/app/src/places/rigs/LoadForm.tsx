import { doubtfulLoads, rigLoads, type LoadCaseBody, type RigRow } from '@dunlinmoss/contract';
import { familyOf, type AxlePosition } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm, useWatch, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { rigBody } from '../../data/rigs';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { notify } from '../../pieces/Notice';
import { Page } from '../../pieces/Page';
import { Panel } from '../../pieces/Panel';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { UnitChoice } from '../../pieces/UnitChoice';
import { Trash } from '../../theme/icons';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS, axleName } from '../../words/axles';
import { mass } from '../../words/format';
import { loadProblemText, METHOD_WORDS } from '../../words/loads';
import { savedText } from '../../words/saved';
import { loadValues, toLoadCase, typedCase, type LoadFormValues } from './loadForm';
import { LoadItems } from './LoadItems';
import { PostureFields, ScaleFields, UnladenFields } from './LoadMethodFields';
import { LoadPicture } from './LoadPicture';
import { LoadWorking } from './LoadWorking';

interface LoadFormProps {
  readonly rig: RigRow;
  /** Undefined makes a new load case. */
  readonly loadCase: LoadCaseBody | undefined;
}

/** One way a rig is loaded, with the load on every wheel following what is typed. */
export function LoadForm({ rig, loadCase }: LoadFormProps) {
  const router = useRouter();
  const units = unitsStore.use();
  const wide = useWide();
  const family = familyOf(rig.family);
  const [ownId] = useState(newId);
  const id = loadCase?.id ?? ownId;
  const draft = `load:${rig.id}:${loadCase?.id ?? 'new'}`;
  const form = useForm<LoadFormValues>({
    defaultValues: readDraft<LoadFormValues>(draft) ?? loadValues(rig, loadCase, units),
  });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues } = form;
  const values = useWatch({ control }) as LoadFormValues;
  const typed = typedCase(values, rig);
  const loads = rigLoads(rig, typed);
  const doubtful = loads.ok ? doubtfulLoads(rig.family, loads.value) : [];

  const submit = async (): Promise<void> => {
    clearErrors();
    const result = toLoadCase(getValues(), id, rig, units);
    if (!result.ok) {
      for (const [field, message] of Object.entries(result.problems)) {
        setError(field as Path<LoadFormValues>, { message });
      }
      notify('Not saved yet: some fields need another look.');
      return;
    }
    const others = rig.loadCases.filter((each) => each.id !== id);
    const loadCases = loadCase
      ? rig.loadCases.map((each) => (each.id === id ? result.loadCase : each))
      : [...others, result.loadCase];
    // What was just told is how it stands.
    const outcome = await save('rigs', { ...rigBody(rig), loadCases, loadCaseId: id });
    if (outcome.kind === 'refused') {
      notify(outcome.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(outcome, result.loadCase.name));
    router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });
  };

  const remove = async (): Promise<void> => {
    const loadCases = rig.loadCases.filter((each) => each.id !== id);
    const body = { ...rigBody(rig), loadCases, loadCaseId: loadCases[0]?.id ?? null };
    const outcome = await save('rigs', body);
    dropDraft(draft);
    if (outcome.kind === 'saved') {
      const undone = { ...rigBody(rig), revision: outcome.row.revision };
      notify(`${loadCase!.name} is gone.`, () => void save('rigs', undone));
    }
    router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });
  };

  return (
    <Page
      title={loadCase ? loadCase.name : `Load of ${rig.name}`}
      action={
        <View style={styles.foot}>
          {/* In view while a tank is dragged or a weight is typed. */}
          {loads.ok && !wide && (
            <Text as="label" style={styles.sum}>
              {loads.value.axles
                .map(({ position, loadKg }) => `${AXLE_WORDS[position].toLowerCase()} ${mass(loadKg, units)}`)
                .join(' · ')}
            </Text>
          )}
          <Action kind="main" label="Save this load" onPress={() => void submit()} />
        </View>
      }
      result={
        <>
          <Panel title="On every wheel">
            <LoadPicture rig={rig} loads={loads.ok ? loads.value : undefined} items={typed.items} danger={NOBODY} />
            {loads.ok ? (
              <Text as="strong">
                {`${mass(loads.value.totalKg, units)} on the wheels, ${typed.method === 'scales' ? 'measured' : 'estimated'}${
                  loads.value.couplingKg === null ? '' : `; the drawbar presses ${mass(loads.value.couplingKg, units)}`
                }.`}
              </Text>
            ) : (
              <Text role="status" tone="muted">
                {loadProblemText(loads.problem, family.kind)}
              </Text>
            )}
            {doubtful.map(({ position }) => (
              <Text key={position} as="small" tone="rust">
                {`${axleName(position, family.kind)}: this load hardly can be. Pressures for it wait until it is put right.`}
              </Text>
            ))}
          </Panel>
          {loads.ok && loads.value.shares.length > 0 && <LoadWorking rig={rig} loadCase={typed} loads={loads.value} />}
          {loadCase && <Action kind="hurt" icon={Trash} label="Remove this load case" onPress={() => void remove()} />}
        </>
      }
    >
      <Controller
        control={control}
        name="name"
        render={({ field, fieldState }) => (
          <TextField
            label="What this load is called"
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
            hint="Like: empty, touring, tank full, with plow, two up."
          />
        )}
      />
      <Controller
        control={control}
        name="method"
        render={({ field }) => (
          <Choice
            label="How it is known"
            value={field.value}
            options={family.loadMethods.map((code) => ({ code, ...METHOD_WORDS[code] }))}
            onChange={field.onChange}
          />
        )}
      />
      <UnitChoice label="Weights in" quantity="mass" />
      {values.method === 'scales' && <ScaleFields control={control} rig={rig} />}
      {values.method === 'moments' && <UnladenFields control={control} rig={rig} />}
      {values.method === 'posture' && <PostureFields control={control} />}
      {values.method !== 'scales' && <LoadItems control={control} rig={rig} />}
    </Page>
  );
}

const NOBODY: ReadonlySet<AxlePosition> = new Set();

const styles = StyleSheet.create({
  foot: { gap: 6 },
  sum: { textAlign: 'center' },
});
