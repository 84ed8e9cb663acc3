import { familyOf, GROUND_CODES, type GroundCode } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { save } from '../../data/outbox';
import { newOuting } from '../../data/outings';
import { useRows } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { GroundPicker } from '../../pieces/GroundPicker';
import { notify } from '../../pieces/Notice';
import { Page } from '../../pieces/Page';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';

interface StartValues {
  readonly rigId: string;
  readonly ground: GroundCode;
  readonly title: string;
}

const DRAFT = 'outing:new';

/** Nobody lets air out for pavement, and nobody sets out to be stuck. */
const AHEAD = GROUND_CODES.filter((code) => code !== 'pavement' && code !== 'stuck');

/** Nothing is under way: which rig, what ground, where. */
export function StartOuting() {
  const router = useRouter();
  const { rows, loading } = useRows('rigs');
  // Rigs whose pressures can be worked out by ground.
  const rigs = rows.filter(({ family }) => familyOf(family).grounds);
  const [blank] = useState(newOuting);
  const form = useForm<StartValues>({
    defaultValues: readDraft<StartValues>(DRAFT) ?? { rigId: '', ground: 'softSand', title: '' },
  });
  useDraft(DRAFT, form);

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
          text={
            rows.length === 0
              ? 'Start with your rig: what stands on each wheel, and what the sidewall and the placard say.'
              : 'Outings go by ground, which is worked out for four-wheel drives, vans and trucks so far. None of your rigs is one.'
          }
          action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
        />
      </Page>
    );
  }

  const start = form.handleSubmit(async ({ rigId, ground, title }) => {
    const result = await save('outings', {
      ...blank,
      rigId: rigId || rigs[0]!.id,
      loadCaseId: (rigs.find(({ id }) => id === rigId) ?? rigs[0]!).loadCaseId,
      groundCode: ground,
      title,
    });
    if (result.kind === 'refused') {
      notify(result.problem.title);
      return;
    }
    dropDraft(DRAFT);
    form.reset({ rigId: '', ground: 'softSand', title: '' });
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
            value={field.value || rigs[0]!.id}
            options={rigs.map(({ id, name }) => ({ code: id, name }))}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={form.control}
        name="ground"
        render={({ field }) => <GroundPicker value={field.value} onChange={field.onChange} grounds={AHEAD} />}
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
