import {
  bodyOf,
  doubtfulLoads,
  loadCase as loadCaseSchema,
  rigLoads,
  type LoadCaseBody,
  type RigRow,
} from '@dunlinmoss/contract';
import { familyOf, groundOr, type AxlePosition } from '@dunlinmoss/core';
import { startsOf } from '@dunlinmoss/domain';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { useTestsOf } from '../../data/tests';
import { unitsStore } from '../../settings/preferences';

import { RowText } from '../../forms/fields';
import { useFieldsForm, useFormRow } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { UnitChoice } from '../../components/UnitChoice';
import { useWide } from '../../theme/useWide';
import { AXLE_WORDS, axleName } from '../../words/axles';
import { mass } from '../../words/format';
import { loadProblemText, METHOD_WORDS } from '../../words/loads';
import { movedText } from '../../words/moved';
import { savedText } from '../../words/saved';
import { useRouter } from '../../hooks/useRouter';
import { blankCase, loadKey, readable, withMethod } from './loadForm';
import { LoadItems } from './LoadItems';
import { FullAndEmptyFields, PostureFields, ScaleFields, UnladenFields } from './LoadMethodFields';
import { SplitFields } from './SplitFields';
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
  const { method, ground } = useLocalSearchParams<{ method?: string; ground?: string }>();
  const tests = useTestsOf(rig.id);
  const [initial] = useState(() => loadCase ?? blankCase(newId(), rig, method));
  const { id } = initial;
  const form = useFieldsForm<LoadCaseBody>({
    draft: `load:${rig.id}:${loadCase?.id ?? 'new'}`,
    initial,
    schema: loadCaseSchema,
    units,
    keyOf: loadKey,
    check: ({ name }) =>
      rig.loadCases.some((other) => other.id !== id && other.name.toLowerCase() === name.trim().toLowerCase())
        ? [{ path: '/name', code: 'nameTwice', message: 'expected a name of its own' }]
        : [],
    save: (saved) => {
      const loadCases = loadCase
        ? rig.loadCases.map((each) => (each.id === id ? saved : each))
        : [...rig.loadCases.filter((each) => each.id !== id), saved];
      // The loads just entered are those of today.
      return save('rigs', { ...bodyOf('rigs', rig), loadCases, loadCaseId: id });
    },
    onSaved: (outcome, saved) => {
      if (ground === undefined) {
        notify(savedText(outcome, saved.name));
        router.navigate({ pathname: '/rigs/[id]', params: { id: rig.id } });
        return;
      }
      // Asked from a number, it goes back to it, and says what it changed.
      const on = { ground: groundOr(family, ground), modifiers: [], speedKmh: null };
      const after = { ...rig, loadCases: [...rig.loadCases, saved], loadCaseId: id };
      notify(movedText(startsOf(rig, tests, on, units), startsOf(after, tests, on, units), units));
      router.navigate({ pathname: '/ground', params: { rig: rig.id, ground } });
    },
  });
  const now = useFormRow(form);
  const typed = readable(now);
  const loads = rigLoads(rig, typed);
  const doubtful = loads.ok ? doubtfulLoads(rig.family, loads.value) : [];

  const remove = async (): Promise<void> => {
    const loadCases = rig.loadCases.filter((each) => each.id !== id);
    const body = { ...bodyOf('rigs', rig), loadCases, loadCaseId: loadCases[0]?.id ?? null };
    const outcome = await save('rigs', body);
    form.dropDraft();
    if (outcome.kind === 'saved') {
      const undone = { ...bodyOf('rigs', rig), revision: outcome.row.revision };
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
          <Action kind="main" label="Save this load" onPress={() => void form.submit()} />
        </View>
      }
      result={
        <>
          <Panel title="On every wheel">
            <LoadPicture rig={rig} loads={loads.ok ? loads.value : undefined} items={typed.items} danger={NOBODY} />
            {loads.ok ? (
              <Text as="strong">
                {`${mass(loads.value.totalKg, units)} on the wheels, ${loads.value.axles.some(({ standing }) => standing === 'estimated') ? 'estimated' : 'measured'}${
                  loads.value.couplingKg === null ? '' : `; the drawbar presses ${mass(loads.value.couplingKg, units)}`
                }.`}
              </Text>
            ) : (
              <Text role="status" tone="muted">
                {loadProblemText(loads.problem, family.kind, units)}
              </Text>
            )}
            {doubtful.map(({ position }) => (
              <Text key={position} as="small" tone="rust">
                {`${axleName(position, family.kind)}: this load hardly can be. Pressures for it wait until it is put right.`}
              </Text>
            ))}
          </Panel>
          {loads.ok && loads.value.shares.length > 0 && <LoadWorking rig={rig} loadCase={typed} loads={loads.value} />}
          {loadCase && <Action kind="hurt" icon="trash" label="Remove this load case" onPress={() => void remove()} />}
        </>
      }
    >
      <RowText
        form={form}
        at="/name"
        label="What this load is called"
        hint="Like: empty, touring, tank full, with plow, two up."
      />
      <Choice
        label="How it is known"
        value={now.method}
        options={family.loadMethods.map((code) => ({ code, ...METHOD_WORDS[code] }))}
        onChange={(method) => form.change(({ row, texts }) => ({ row: withMethod(row, method, rig), texts }))}
      />
      <UnitChoice label="Weights in" quantity="mass" />
      {now.method === 'scales' && <ScaleFields form={form} rig={rig} />}
      {now.method === 'fullAndEmpty' && <FullAndEmptyFields form={form} rig={rig} />}
      {now.method === 'split' && <SplitFields form={form} rig={rig} />}
      {now.method === 'moments' && <UnladenFields form={form} rig={rig} />}
      {now.method === 'posture' && <PostureFields form={form} />}
      {(now.method === 'moments' || now.method === 'posture') && <LoadItems form={form} rig={rig} />}
    </Page>
  );
}

const NOBODY: ReadonlySet<AxlePosition> = new Set();

const styles = StyleSheet.create({
  foot: { gap: 6 },
  sum: { textAlign: 'center' },
});
