import { ROUTINE_CODES, routineOf, type RoutineCode } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';
import { Controller } from 'react-hook-form';

import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Empty } from '../../components/States';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { loadText } from '../../words/proof/print';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { useRouter } from '../../hooks/useRouter';
import { HowTo } from './HowTo';
import type { RoutineInput } from './openRoutine';
import { WheelOfTest } from './RoutineFields';
import { RoutineRuns } from './RoutineRuns';
import type { RoutineOnScreen } from './routines/onScreen';
import { onScreen } from './routines/registry';
import { RoutineVerdict } from './RoutineVerdict';
import { TestPage } from './TestPage';
import { useRoutine } from './useRoutine';

const isRoutine = (code: string): code is RoutineCode => ROUTINE_CODES.some((each) => each === code);

/** One test of the registry: `/proof/<kind>/new` begins one. */
export function RoutineScreen() {
  const router = useRouter();
  const { kind, id } = useLocalSearchParams<{ kind: string; id: string }>();
  if (!isRoutine(kind)) {
    return (
      <Page title="Proof">
        <Empty text="There is no such test." action={{ label: 'All tests', onPress: () => router.replace('/proof') }} />
      </Page>
    );
  }
  return (
    <TestPage code={kind}>
      {(opened) => (
        <RoutineForm key={`${kind} ${id} ${opened.row?.revision ?? 0} ${opened.rig.id}`} code={kind} {...opened} />
      )}
    </TestPage>
  );
}

const saveTest: NonNullable<RoutineOnScreen['saving']> = () => ({ label: 'Save this test', main: true });

function RoutineForm(input: RoutineInput) {
  const open = useRoutine(input);
  const { code, rig, row, form, units, wheel, archiveRow } = open;
  const { oneWheel } = routineOf(code);
  const { Body = RoutineRuns, Beside, saving = saveTest } = onScreen(code);
  const button = row ? { label: 'Save the changes', main: true } : saving(open);
  return (
    <Page
      title={ROUTINE_WORDS[code].name}
      action={
        button && (
          <Action {...(button.main && { kind: 'main' })} label={button.label} onPress={() => void open.submit()} />
        )
      }
      result={
        <>
          <RoutineVerdict open={open} />
          {Beside && <Beside open={open} />}
          {archiveRow && <Action kind="hurt" icon="trash" label="Archive this test" onPress={archiveRow} />}
        </>
      }
    >
      <Text tone="muted">
        {oneWheel ? `${rig.name}. ${wheel.tireMarking}, ${loadText(wheel.wheelLoadKg, units)}.` : `${rig.name}.`}
      </Text>
      <HowTo code={code} />
      {oneWheel && <WheelOfTest open={open} label="Wheel" />}
      <Body open={open} />
      <Controller
        control={form.control}
        name="note"
        render={({ field: { value, onChange, onBlur }, fieldState }) => (
          <TextField
            label="Note (if you like)"
            value={value}
            onChange={onChange}
            onBlur={onBlur}
            problem={fieldState.error?.message}
          />
        )}
      />
    </Page>
  );
}
