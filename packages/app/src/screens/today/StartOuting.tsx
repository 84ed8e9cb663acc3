import { familyOf, groundsFor, type GroundCode, type Kind, groundOr, STUCK, groundOf } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { save } from '../../data/outbox';
import { newOuting } from '../../data/outings';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { GroundPicker } from '../../components/GroundPicker';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';

interface StartValues {
  readonly rigId: string;
  readonly ground: GroundCode;
  readonly title: string;
}

const DRAFT = 'outing:new';
const EMPTY: StartValues = { rigId: '', ground: groundOr('car', undefined), title: '' };

/** Nobody lets air out for pavement, and nobody sets out to be stuck. */
const aheadOf = (kind: Kind): readonly GroundCode[] =>
  groundsFor(kind).filter((code) => !groundOf(code).paved && code !== STUCK);

/** Nothing is under way: which rig, what ground, where. */
export function StartOuting() {
  const router = useRouter();
  const { rows: rigs, loading } = useRows('rigs');
  const [blank] = useState(newOuting);
  const form = useForm<StartValues>({
    defaultValues: readDraft<StartValues>(DRAFT) ?? EMPTY,
  });
  useDraft(DRAFT, form);
  const rigId = useWatch({ control: form.control, name: 'rigId' });

  if (loading) {
    return (
      <Page title="Today">
        <Loading />
      </Page>
    );
  }
  if (rigs.length === 0) {
    return (
      <Page title="Today">
        <Empty
          text="Start with your rig: what stands on each wheel, and what the sidewall and the placard say."
          action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
        />
      </Page>
    );
  }

  const rig = rigs.find(({ id }) => id === rigId) ?? rigs[0]!;
  const { kind } = familyOf(rig.family);
  const start = form.handleSubmit(async ({ ground, title }) => {
    const result = await save('outings', {
      ...blank,
      rigId: rig.id,
      loadCaseId: rig.loadCaseId,
      groundCode: groundOr(kind, ground),
      title,
    });
    if (result.kind === 'refused') {
      notify(result.problem.title);
      return;
    }
    dropDraft(DRAFT);
    form.reset(EMPTY);
  });

  return (
    <Page title="Where to today?" action={<Action kind="main" label="Start the outing" onPress={() => void start()} />}>
      <Text tone="muted">Nothing is under way. Choose a rig and the ground ahead of it.</Text>
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
            kind={kind}
            value={groundOr(kind, field.value)}
            onChange={field.onChange}
            grounds={aheadOf(kind)}
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
    </Page>
  );
}
