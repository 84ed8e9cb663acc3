import { DECISIONS, type DecisionCode, type OutingRow } from '@dunlinmoss/contract';
import { Controller, useForm } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { saveOuting } from '../../data/outings';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { useRow, useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { History } from '../../components/History';
import { focusFirstInvalid } from '../../components/focusFirstInvalid';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { archiveAndSay } from '../../components/archiveAndSay';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { dayAndTime } from '../../words/format';
import { groundName } from '../../words/grounds';
import { dayText } from '../../words/modifiers';
import { DECISION_WORDS, pressuresText, stateText } from '../../words/outing';
import { TestList } from '../../components/TestList';
import { AirOfOuting } from '../../components/AirOfOuting';
import { useRouter } from '../../hooks/useRouter';
import { NextTimeHere } from './NextTimeHere';

interface DecisionValues {
  readonly code: DecisionCode | '';
  readonly note: string;
}

/** An outing: what was set, what was measured, what was decided. */
export function OutingDetail({ outing }: { readonly outing: OutingRow }) {
  const router = useRouter();
  const own = unitsStore.use();
  const { row: rig } = useRow('rigs', outing.rigId);
  const units = rig ? unitsFor(own, rig.family) : own;
  const { rows: tests } = useRows('tests', { outingId: outing.id });
  const draft = `decision:${outing.id}`;
  const form = useForm<DecisionValues>({
    defaultValues: readDraft<DecisionValues>(draft) ?? outing.decision ?? { code: '', note: '' },
  });
  useDraft(draft, form);

  const decide = form.handleSubmit(async ({ code, note }) => {
    if (code === '') {
      form.setError('code', { message: 'Choose what you decided.' });
      return;
    }
    const result = await saveOuting(outing, { decision: { code, note, counts: true } });
    if (result.kind === 'refused') {
      notify(result.problem.title);
      return;
    }
    dropDraft(draft);
    notify('Written in the Book.');
    if (outing.state !== 'closed') router.navigate('/');
  }, focusFirstInvalid);

  const remove = (): Promise<void> => archiveAndSay('outings', outing, 'The outing', () => router.navigate('/book'));

  return (
    <View style={styles.detail}>
      <Panel title={outing.title || groundName(outing.groundCode)}>
        <Text>{`${outing.rigName}, ${groundName(outing.groundCode).toLowerCase()}`}</Text>
        <Text tone="muted">{`${dayAndTime(outing.startedAt)} · ${stateText(outing, rig?.family)}`}</Text>
        <Text>
          {outing.pressures.length > 0
            ? `Set, cold: ${pressuresText(outing.pressures, units)}.`
            : 'No pressures set yet.'}
        </Text>
        {(outing.modifiers.length > 0 || outing.speedKmh !== null) && (
          <Text>{`The day: ${dayText(outing.modifiers, outing.speedKmh, units).toLowerCase()}.`}</Text>
        )}
      </Panel>
      <AirOfOuting outing={outing} units={units} />
      <Text as="heading" level={2}>
        Tests
      </Text>
      {tests.length > 0 ? (
        <TestList tests={tests} rigs={rig ? [rig] : []} />
      ) : (
        <Text tone="muted">None on this outing.</Text>
      )}
      {outing.state !== 'planned' && (
        <Action
          label="Prove it"
          onPress={() => router.navigate({ pathname: '/proof', params: { rig: outing.rigId } })}
        />
      )}
      {rig && <NextTimeHere rig={rig} outing={outing} />}
      <Panel title="Decided">
        <Controller
          control={form.control}
          name="code"
          render={({ field, fieldState }) => (
            <>
              <Choice
                label="What to do next time"
                value={field.value || undefined}
                options={DECISIONS.map((code) => ({ code, name: DECISION_WORDS[code] }))}
                onChange={(code) => {
                  form.clearErrors('code');
                  field.onChange(code);
                }}
              />
              {fieldState.error && (
                <Text role="alert" as="small" tone="rust">
                  {fieldState.error.message}
                </Text>
              )}
            </>
          )}
        />
        <Controller
          control={form.control}
          name="note"
          rules={{ maxLength: { value: 500, message: 'Expected at most 500 letters.' } }}
          render={({ field, fieldState }) => (
            <TextField
              label="What you saw (if you like)"
              value={field.value}
              onChange={field.onChange}
              onBlur={field.onBlur}
              multiline
              problem={fieldState.error?.message}
            />
          )}
        />
        <Action kind="main" label="Write it in the Book" onPress={() => void decide()} />
      </Panel>
      <History name="outings" row={outing} />
      <Action kind="hurt" icon="trash" label="Archive this outing" onPress={() => void remove()} />
    </View>
  );
}

const styles = StyleSheet.create({
  detail: { gap: 12 },
});
