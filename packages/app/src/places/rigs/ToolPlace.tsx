import { airTool as airToolSchema, fieldProblems, type AirToolRow } from '@dunlinmoss/contract';
import { AIR_TOOLS, type AirToolCode } from '@dunlinmoss/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { useRow } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { notify } from '../../pieces/Notice';
import { putAsideAndSay } from '../../pieces/putAside';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { Trash } from '../../theme/icons';
import { fieldText } from '../../words/problems';
import { savedText } from '../../words/saved';
import { TOOL_WORDS } from '../../words/tools';
import { BesideList } from './RigPlace';

interface ToolFormValues {
  readonly revision: number;
  readonly name: string;
  readonly kind: AirToolCode;
  readonly wheelsAtOnce: string;
  readonly note: string;
}

/** One air tool; `new` begins another. */
export function ToolPlace() {
  const router = useRouter();
  const { id } = useLocalSearchParams<{ id: string }>();
  const { row, missing } = useRow('tools', id === 'new' ? undefined : id);
  return (
    <BesideList title={row?.name ?? (id === 'new' ? 'New air tool' : 'Air tool')}>
      {missing ? (
        <Empty
          text="This tool is not here, or was put aside."
          action={{ label: 'All tools', onPress: () => router.replace('/rigs/tools') }}
        />
      ) : id === 'new' || row ? (
        <ToolForm key={`${id} ${row?.revision ?? 0}`} row={row} />
      ) : (
        <Loading />
      )}
    </BesideList>
  );
}

const WAYS: readonly (readonly ['out' | 'in', string])[] = [
  ['out', 'Lets air out'],
  ['in', 'Puts air in'],
];

function ToolForm({ row }: { readonly row: AirToolRow | undefined }) {
  const router = useRouter();
  const units = unitsStore.use();
  const [ownId] = useState(newId);
  const draft = `tool:${row?.id ?? 'new'}`;
  const form = useForm<ToolFormValues>({
    defaultValues:
      readDraft<ToolFormValues>(draft) ??
      (row
        ? { ...row, wheelsAtOnce: String(row.wheelsAtOnce) }
        : { revision: 0, name: '', kind: 'coreDeflator', wheelsAtOnce: '1', note: '' }),
  });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues } = form;

  const submit = async (): Promise<void> => {
    clearErrors();
    const { revision, name, kind, wheelsAtOnce, note } = getValues();
    const checked = airToolSchema.safeParse({
      id: row?.id ?? ownId,
      revision,
      name,
      kind,
      wheelsAtOnce: Number(wheelsAtOnce),
      note,
    });
    if (!checked.success) {
      for (const problem of fieldProblems(checked.error)) {
        setError(problem.path.slice(1) as Path<ToolFormValues>, { message: fieldText(problem, units) });
      }
      notify('Not saved yet: some fields need another look.');
      return;
    }
    const saved = await save('tools', checked.data);
    if (saved.kind === 'refused') {
      notify(saved.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(saved, checked.data.name));
    router.navigate('/rigs/tools');
  };
  const archive = (tool: AirToolRow): Promise<void> =>
    putAsideAndSay('tools', tool, tool.name, () => {
      dropDraft(draft);
      router.navigate('/rigs/tools');
    });

  return (
    <View style={styles.form}>
      <Controller
        control={control}
        name="name"
        render={({ field, fieldState }) => (
          <TextField label="Name" value={field.value} onChange={field.onChange} problem={fieldState.error?.message} />
        )}
      />
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <>
            {WAYS.map(([way, label]) => (
              <Choice
                key={way}
                label={label}
                value={field.value}
                options={AIR_TOOLS.filter((tool) => tool.way === way).map(({ code }) => ({
                  code,
                  name: TOOL_WORDS[code].name,
                  note: TOOL_WORDS[code].note || undefined,
                }))}
                onChange={field.onChange}
              />
            ))}
            {field.value === 'carbonDioxideBottle' && (
              <Text as="small" tone="rust">
                CO2 freezes skin: gloves on, and never point it at anyone.
              </Text>
            )}
          </>
        )}
      />
      <Controller
        control={control}
        name="wheelsAtOnce"
        render={({ field }) => (
          <Choice
            label="Wheels at once"
            value={field.value}
            options={['1', '2', '4', '6'].map((code) => ({ code, name: code }))}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="note"
        render={({ field, fieldState }) => (
          <TextField
            label="Note (if you like)"
            value={field.value}
            onChange={field.onChange}
            problem={fieldState.error?.message}
            multiline
          />
        )}
      />
      <Action kind="main" label={row ? 'Save the changes' : 'Save this tool'} onPress={() => void submit()} />
      {row && <Action kind="hurt" icon={Trash} label="Put this tool aside" onPress={() => void archive(row)} />}
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: 14 },
});
