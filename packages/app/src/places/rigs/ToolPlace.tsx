import { airTool as airToolSchema, fieldProblems, type AirToolRow } from '@dunlinmoss/contract';
import { AIR_TOOLS, inToolOf, psi, type AirToolCode } from '@dunlinmoss/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller, useForm, useWatch, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsStore } from '../../data/preferences';
import { useRow } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Choice } from '../../pieces/Choice';
import { notify } from '../../pieces/Notice';
import { NumberField } from '../../pieces/NumberField';
import { putAsideAndSay } from '../../pieces/putAside';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { TextField } from '../../pieces/TextField';
import { Unfold } from '../../pieces/Unfold';
import { Trash } from '../../theme/icons';
import { parseNumber, pressure } from '../../words/format';
import { fieldText } from '../../words/problems';
import { savedText } from '../../words/saved';
import { TOOL_WORDS } from '../../words/tools';
import { BesideList } from './RigPlace';

interface ToolFormValues {
  readonly revision: number;
  readonly name: string;
  readonly kind: AirToolCode;
  readonly wheelsAtOnce: string;
  /** Liters a minute at the pressures of `LABEL_KPA`, as the label has them. */
  readonly flow: readonly string[];
  readonly onMin: string;
  readonly restMin: string;
  readonly budget: string;
  readonly note: string;
}

/** The back pressures that labels speak of: none, 30, 50 and 80 psi. */
const LABEL_KPA = [0, psi(30), psi(50), psi(80)] as const;

const PUMP_BLANK = { flow: LABEL_KPA.map(() => ''), onMin: '', restMin: '', budget: '' };

const textOf = (value: number | undefined): string => (value === undefined ? '' : String(value));

const valuesOf = (row: AirToolRow): ToolFormValues => ({
  ...row,
  wheelsAtOnce: String(row.wheelsAtOnce),
  flow: LABEL_KPA.map((kpa) =>
    textOf(row.flow.find(({ pressureKpa }) => Math.abs(pressureKpa - kpa) < 1)?.litersPerMin),
  ),
  onMin: textOf(row.duty?.onMin),
  restMin: textOf(row.duty?.restMin),
  budget: textOf(row.budget?.kind === 'gas' ? row.budget.kg : row.budget?.liters),
});

/** What was typed of a pump; numbers that are none are left for the schema to refuse. */
function pumpPart({ kind, flow, onMin, restMin, budget }: ToolFormValues) {
  const number = (text: string): number => parseNumber(text) ?? Number.NaN;
  const isPump = inToolOf(kind) !== undefined;
  const points = LABEL_KPA.flatMap((pressureKpa, index) =>
    flow[index]!.trim() === '' ? [] : [{ pressureKpa, litersPerMin: number(flow[index]!) }],
  );
  const gas = kind === 'carbonDioxideBottle';
  return {
    flow: isPump ? points : [],
    duty:
      isPump && (onMin.trim() !== '' || restMin.trim() !== '')
        ? { onMin: number(onMin), restMin: number(restMin) }
        : null,
    budget:
      !isPump || budget.trim() === ''
        ? null
        : gas
          ? { kind: 'gas', kg: number(budget) }
          : { kind: 'liters', liters: number(budget) },
  };
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

const PUMP_FIELDS = [
  { name: 'onMin', label: 'May run', unit: 'min' },
  { name: 'restMin', label: 'Then rests', unit: 'min' },
  { name: 'budget', label: 'A charge gives', unit: 'L' },
] as const;

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
        ? valuesOf(row)
        : { revision: 0, name: '', kind: 'coreDeflator', wheelsAtOnce: '1', ...PUMP_BLANK, note: '' }),
  });
  useDraft(draft, form);
  const { control, setError, clearErrors, getValues } = form;
  const kind = useWatch({ control, name: 'kind' });

  const typedPoint = (point: number): string => {
    const typed = getValues().flow.flatMap((text, index) => (text.trim() === '' ? [] : [index]));
    return `flow.${typed[point] ?? 0}`;
  };

  const submit = async (): Promise<void> => {
    clearErrors();
    const { revision, name, wheelsAtOnce, note } = getValues();
    const checked = airToolSchema.safeParse({
      id: row?.id ?? ownId,
      revision,
      name,
      kind,
      wheelsAtOnce: Number(wheelsAtOnce),
      ...pumpPart(getValues()),
      note,
    });
    if (!checked.success) {
      for (const problem of fieldProblems(checked.error)) {
        // A point is named by its place among those that were typed; a duty and a budget by their own fields.
        const [part, at] = problem.path.slice(1).split('/');
        const field =
          part === 'duty' ? at : part === 'budget' ? 'budget' : part === 'flow' ? typedPoint(Number(at)) : part;
        setError(field as Path<ToolFormValues>, {
          message:
            part === 'duty' || part === 'budget' || part === 'flow'
              ? 'Expected a number above 0.'
              : fieldText(problem, units),
        });
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
      {inToolOf(kind) && (
        <Unfold label="What its label says" value="Without it, what such a pump commonly does is taken">
          {LABEL_KPA.map((kpa, index) => (
            <Controller
              key={kpa}
              control={control}
              name={`flow.${index}` as 'flow.0'}
              render={({ field, fieldState }) => (
                <NumberField
                  label={index === 0 ? 'Delivers, open' : `Delivers against ${pressure(kpa, units)}`}
                  unit="L/min"
                  value={field.value}
                  onChange={field.onChange}
                  problem={fieldState.error?.message}
                />
              )}
            />
          ))}
          {PUMP_FIELDS.filter(
            ({ name }) => name !== 'budget' || kind === 'handheldPump' || kind === 'carbonDioxideBottle',
          ).map(({ name, label, unit }) => (
            <Controller
              key={name}
              control={control}
              name={name}
              render={({ field, fieldState }) => (
                <NumberField
                  label={name === 'budget' && kind === 'carbonDioxideBottle' ? 'Gas in the bottle' : label}
                  unit={name === 'budget' && kind === 'carbonDioxideBottle' ? 'kg' : unit}
                  value={field.value}
                  onChange={field.onChange}
                  problem={fieldState.error?.message}
                />
              )}
            />
          ))}
        </Unfold>
      )}
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
