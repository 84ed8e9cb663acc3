import type { OutingRow } from '@dunlinmoss/contract';
import { familyOf, groundsFor, type GroundCode, type Family, groundOr, STUCK, groundOf } from '@dunlinmoss/core';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { save } from '../../data/outbox';
import { newOuting } from '../../data/outings';
import { useRows } from '../../data/rows';
import { chosenRigStore } from '../../hooks/useChosenRig';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { GroundPicker } from '../../components/GroundPicker';
import { NeedsRig } from '../../components/NeedsRig';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Loading } from '../../components/States';
import { StuckButton } from '../../components/StuckButton';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { WhenField } from '../../components/WhenField';
import { focusFirstInvalid } from '../../components/focusFirstInvalid';
import { useRouter } from '../../hooks/useRouter';
import { startsAt, type StartDay } from './startDay';
import { DemoShelf } from './DemoShelf';
import { ToCome } from './ToCome';

interface StartValues extends StartDay {
  readonly rigId: string;
  readonly ground: GroundCode;
  readonly title: string;
}

const DRAFT = 'outing:new';
const EMPTY: StartValues = {
  rigId: '',
  ground: groundOr(familyOf('fourWheel'), undefined),
  title: '',
  when: 'now',
  date: '',
};

/** Nobody lets air out for pavement, and nobody sets out to be stuck. */
const aheadOf = (family: Family): readonly GroundCode[] =>
  groundsFor(family).filter((code) => !groundOf(code).paved && code !== STUCK);

interface StartOutingProps {
  readonly toCome?: readonly OutingRow[];
}

/** Another outing: which rig, what ground, where, on which day. Others may be under way. */
export function StartOuting({ toCome = [] }: StartOutingProps) {
  const router = useRouter();
  const { rows: rigs, loading } = useRows('rigs');
  const chosen = chosenRigStore.use();
  const [blank] = useState(newOuting);
  const form = useForm<StartValues>({ defaultValues: { ...EMPTY, ...readDraft<StartValues>(DRAFT) } });
  useDraft(DRAFT, form);
  const { rigId, when } = useWatch({ control: form.control }) as StartValues;

  if (loading) {
    return (
      <Page title="Today">
        <Loading />
      </Page>
    );
  }
  if (rigs.length === 0) return <NeedsRig title="Where to today?" loading={false} why="An outing needs a rig." />;

  const rig = rigs.find(({ id }) => id === (rigId || chosen)) ?? rigs[0]!;
  const family = familyOf(rig.family);
  const start = form.handleSubmit(async (values) => {
    const { ground, title } = values;
    const startedAt = startsAt(values, new Date());
    if (startedAt === undefined) {
      form.setError('date', { message: 'Choose the day.' });
      focusFirstInvalid();
      return;
    }
    const result = await save('outings', {
      ...blank,
      rigId: rig.id,
      loadCaseId: rig.loadCaseId,
      groundCode: groundOr(family, ground),
      title,
      startedAt,
    });
    if (result.kind === 'refused') {
      notify(result.problem.title);
      return;
    }
    dropDraft(DRAFT);
    form.reset(EMPTY);
    chosenRigStore.set(rig.id);
    if (values.when !== 'now') notify('The outing is planned. It comes onto Today when its day does.');
    router.navigate('/');
  }, focusFirstInvalid);

  return (
    <Page
      title="Where to today?"
      aside={<StuckButton rigId={rig.id} />}
      action={
        <Action
          kind="main"
          label={when === 'now' ? 'Start the outing' : 'Plan the outing'}
          onPress={() => void start()}
        />
      }
      result={
        <>
          {rigs.some(({ demo }) => !demo) && (
            <Action label="Start another rig" onPress={() => router.navigate('/rigs/new')} />
          )}
          <ToCome outings={toCome} />
        </>
      }
    >
      <DemoShelf />
      <Text tone="muted">Choose a rig and the ground ahead of it.</Text>
      <Controller
        control={form.control}
        name="rigId"
        render={({ field }) => (
          <Choice
            label="Rig"
            layout="list"
            value={rig.id}
            options={rigs.map(({ id, name }) => ({ code: id, name }))}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={form.control}
        name="ground"
        render={({ field }) => (
          <GroundPicker
            family={family}
            value={groundOr(family, field.value)}
            onChange={field.onChange}
            grounds={aheadOf(family)}
          />
        )}
      />
      <Controller
        control={form.control}
        name="title"
        rules={{ maxLength: { value: 80, message: 'Expected at most 80 letters.' } }}
        render={({ field, fieldState }) => (
          <TextField
            label="Where, what for (if you like)"
            value={field.value}
            onChange={field.onChange}
            onBlur={field.onBlur}
            problem={fieldState.error?.message}
          />
        )}
      />
      <Controller
        control={form.control}
        name="when"
        render={({ field }) => (
          <Choice
            label="When"
            value={field.value}
            options={[
              { code: 'now', name: 'Today' },
              { code: 'tomorrow', name: 'Tomorrow' },
              { code: 'later', name: 'Another day' },
            ]}
            onChange={field.onChange}
          />
        )}
      />
      {when === 'later' && (
        <Controller
          control={form.control}
          name="date"
          render={({ field, fieldState }) => (
            <WhenField
              kind="date"
              label="Day"
              value={field.value}
              onChange={field.onChange}
              onBlur={field.onBlur}
              problem={fieldState.error?.message}
            />
          )}
        />
      )}
    </Page>
  );
}
