import type { ProofTestRow, RoutineTestRow } from '@dunlinmoss/contract';
import {
  CRITERIA,
  familyOf,
  planGround,
  pressureAt,
  routineOf,
  trialAdvice,
  type BracketRun,
  type BracketSetup,
  type RoutineValues,
} from '@dunlinmoss/core';
import { askedOf, onGauge, planInput } from '@dunlinmoss/domain';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { Controller, useFieldArray, type Path } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';

import { useTestsOf } from '../../data/tests';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { NumberField } from '../../components/NumberField';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Trash } from '../../theme/icons';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';
import { pressure } from '../../words/format';
import { CRITERION_WORDS } from '../../words/proof/bracket';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { HowTo } from './HowTo';
import { anotherRun, type FieldText, type RoutineFormValues } from './routineForm';
import { RoutineField } from './RoutineField';
import { RoutineVerdict } from './RoutineVerdict';
import { TestPage, type OpenedTest } from './TestPage';
import { useRoutine } from './useRoutine';

const isBracket = (row: ProofTestRow): row is RoutineTestRow => row.kind === 'bracket';

/** The trial coach: `/proof/bracket/new` begins a trial. */
export function BracketScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return (
    <TestPage title={ROUTINE_WORDS.bracket.name} isOwn={isBracket}>
      {({ row, rig, outing }) => (
        <Trial key={`${id} ${row?.revision ?? 0} ${rig.id}`} row={row} rig={rig} outing={outing} />
      )}
    </TestPage>
  );
}

/** What is rated of a run unless the person says otherwise: all of it alike. */
const WEIGHTS = { climbs: 1, turns: 1, rolls: 1, comfort: 1, worstHit: 2 } as const;
const SEEDS = 1_000_000;

function Trial({ row, rig, outing }: OpenedTest<RoutineTestRow>) {
  const palette = usePalette();
  const words = ROUTINE_WORDS.bracket;
  const family = familyOf(rig.family);
  const tests = useTestsOf(rig.id);
  const [seed] = useState(() => Math.floor(Math.random() * SEEDS));
  const open = useRoutine({
    code: 'bracket',
    row,
    rig,
    outing,
    begin: ({ position, roadKpa }, units) => {
      const input = outing ? planInput(rig, tests, askedOf(outing)) : undefined;
      const plan = input?.ok ? planGround(input.value) : undefined;
      const axle = plan?.ok ? plan.value.axles.find((each) => each.position === position) : undefined;
      const startKpa = onGauge(
        outing?.pressures.find((each) => each.position === position)?.pressureKpa ?? axle?.startKpa ?? roadKpa ?? 150,
        units,
      );
      return {
        setup: {
          startKpa,
          stepKpa: family.trialStepKpa,
          lowestKpa: axle ? axle.floor.pressureKpa : Math.max(0, startKpa - 3 * family.trialStepKpa),
          highestKpa: axle?.ceiling ? axle.ceiling.pressureKpa : null,
          by: 'ratings',
          blind: 'open',
          seed,
          ...WEIGHTS,
        },
        runs: [],
      };
    },
  });
  const { form, values, units, wheels, test, judgement } = open;
  const { control, getValues } = form;
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'runs' });
  const names = Object.fromEntries(wheels.map((each) => [each.key, wheelName(each)]));
  const setup = test?.setup as unknown as BracketSetup | undefined;
  const runs = (test?.runs ?? []) as unknown as BracketRun[];
  const advice = setup && trialAdvice(runs, setup);
  const [ratings, setRatings] = useState<Readonly<Record<string, string>>>({});
  const [seen, setSeen] = useState(false);
  const blind = setup?.blind === 'blind' && advice?.next !== null && row === undefined;
  const nextKpa = advice && setup && advice.next !== null ? pressureAt(advice.next, setup) : null;
  const asked = setup?.by === 'ratings' ? CRITERIA.filter((name) => setup[name] > 0) : (['measured'] as const);

  const keepRun = (): void => {
    const given = Object.fromEntries(asked.map((name) => [name, Number((ratings[name] ?? '').replace(',', '.'))]));
    const bad = asked.find(
      (name) =>
        (ratings[name] ?? '').trim() === '' ||
        !Number.isFinite(given[name]) ||
        (setup!.by === 'ratings' && (given[name]! < 1 || given[name]! > 10)),
    );
    if (bad !== undefined) {
      notify(
        setup!.by === 'ratings' ? 'Expected a rating from 1 to 10 for each.' : 'Expected the number you measured.',
      );
      return;
    }
    append(anotherRun('bracket', { pressureKpa: nextKpa, ...given } as RoutineValues, units));
    setRatings({});
    setSeen(false);
  };
  const drop = (index: number): void => {
    const run = getValues(`runs.${index}`);
    remove(index);
    notify('Run removed.', () => insert(index, run));
  };
  const setupField = (name: string) => (
    <Controller
      key={name}
      control={control}
      name={`setup.${name}` as Path<RoutineFormValues>}
      render={({ field: { value, onChange }, fieldState }) => (
        <RoutineField
          field={routineOf('bracket').setup[name]!}
          label={words.fields[name] ?? name}
          spoken={words.fields[name] ?? name}
          value={value as FieldText}
          onChange={onChange}
          options={words.options?.[name]}
          wheels={names}
          problem={fieldState.error?.message}
        />
      )}
    />
  );

  return (
    <Page
      title={words.name}
      action={
        nextKpa !== null && runs.length > 0 ? (
          <Action label="Stop here and save" onPress={() => void open.submit()} />
        ) : runs.length > 0 ? (
          <Action kind="main" label={row ? 'Save the changes' : 'Save this trial'} onPress={() => void open.submit()} />
        ) : undefined
      }
      result={
        <>
          {blind ? (
            <Panel title="Result">
              <Text tone="muted">Blind: pressures and results stay hidden until the trial ends.</Text>
            </Panel>
          ) : (
            <RoutineVerdict test={test} judgement={runs.length > 0 ? judgement : undefined} wheels={names} />
          )}
          {fields.length > 0 && (
            <Panel title="Runs">
              {fields.map(({ id }, index) => {
                const run = runs[index];
                return (
                  <View key={id} style={[styles.run, index > 0 && [styles.next, { borderColor: palette.line }]]}>
                    <Text style={styles.words}>
                      {blind || !run
                        ? `Run ${index + 1}`
                        : `${index + 1}: ${pressure(run.pressureKpa, units)}, ${setup?.by === 'ratings' ? CRITERIA.flatMap((name) => (run[name] === null ? [] : [`${CRITERION_WORDS[name].toLowerCase()} ${run[name]}`])).join(', ') : run.measured}`}
                    </Text>
                    <Press aria-label={`Remove run ${index + 1}`} onPress={() => drop(index)} style={styles.remove}>
                      <Trash size={18} color={palette.muted} />
                      <Text as="small" tone="muted">
                        Remove
                      </Text>
                    </Press>
                  </View>
                );
              })}
            </Panel>
          )}
          {open.archiveRow && <Action kind="hurt" icon={Trash} label="Archive this test" onPress={open.archiveRow} />}
        </>
      }
    >
      <Text tone="muted">{`${rig.name}.`}</Text>
      <HowTo code="bracket" />
      {!setup && (
        <Text role="alert" tone="rust">
          Something below is missing: start, step, or the lowest.
        </Text>
      )}
      {nextKpa !== null && (
        <Panel title={`Run ${runs.length + 1}`}>
          {blind && !seen ? (
            <>
              <Text>The rider looks away. The helper reads the pressure, sets it, and hides it again.</Text>
              <Action label="Helper: show the pressure" onPress={() => setSeen(true)} />
            </>
          ) : (
            <>
              <Text>{`Set ${(names[values.wheel] ?? '').toLowerCase()} to this, the other end as ever:`}</Text>
              <Text as="numeral">{pressure(nextKpa, units)}</Text>
              {blind && <Action label="It is set: hide it" onPress={() => setSeen(false)} />}
            </>
          )}
          <Text>Ride it, then say how it was.</Text>
          {asked.map((name) => (
            <NumberField
              key={name}
              label={name === 'measured' ? 'Measured' : CRITERION_WORDS[name]}
              unit={name === 'measured' ? '' : '1–10'}
              spokenLabel={name === 'measured' ? 'Measured' : CRITERION_WORDS[name]}
              value={ratings[name] ?? ''}
              onChange={(text) => setRatings({ ...ratings, [name]: text })}
            />
          ))}
          <Action kind="main" label="Keep this run" onPress={keepRun} />
        </Panel>
      )}
      {wheels.length > 1 && (
        <Controller
          control={control}
          name="wheel"
          render={({ field: { value, onChange } }) => (
            <Choice
              label="For the axle of"
              value={value}
              options={wheels.map((each) => ({ code: each.key, name: wheelName(each) }))}
              onChange={onChange}
            />
          )}
        />
      )}
      <Unfold
        label="How it is compared"
        value={words.options!.by![values.setup.by as string] ?? ''}
        startsOpen={!setup}
      >
        {['startKpa', 'stepKpa', 'lowestKpa', 'highestKpa', 'by', 'blind'].map(setupField)}
        {values.setup.by === 'ratings' && (
          <>
            <Text as="small" tone="muted">
              How much each counts, 0 to 5; with 0 it is not asked for.
            </Text>
            {CRITERIA.map(setupField)}
          </>
        )}
      </Unfold>
    </Page>
  );
}

const styles = StyleSheet.create({
  run: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingVertical: 4 },
  next: { borderTopWidth: 1 },
  words: { flex: 1 },
  remove: { flexDirection: 'row', gap: 4, alignItems: 'center', paddingHorizontal: 8 },
});
