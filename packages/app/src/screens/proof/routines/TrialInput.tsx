import {
  CRITERIA,
  pressureAt,
  trialAdvice,
  type BracketRun,
  type BracketSetup,
  type RoutineValues,
} from '@dunlinmoss/core';
import { measuredTests } from '@dunlinmoss/domain';
import { useState } from 'react';

import { useTestsOf } from '../../../data/tests';
import { Action } from '../../../components/Action';
import { notify } from '../../../components/Notice';
import { NumberField } from '../../../components/NumberField';
import { Panel } from '../../../components/Panel';
import { Text } from '../../../components/Text';
import { Unfold } from '../../../components/Unfold';
import { day, pressure } from '../../../words/format';
import { CRITERION_WORDS } from '../../../words/proof/bracket';
import { ROUTINE_WORDS } from '../../../words/proof/registry';
import { anotherRun } from '../routineForm';
import { FieldOfRoutine, WheelOfTest } from '../RoutineFields';
import type { OpenRoutine } from '../openRoutine';

/** Where a trial stands: its setup once it is whole, the runs so far, and the pressure of the next. */
export function trialOf({ test, row }: OpenRoutine) {
  const setup = test?.setup as unknown as BracketSetup | undefined;
  const runs = (test?.runs ?? []) as unknown as readonly BracketRun[];
  const advice = setup && trialAdvice(runs, setup);
  const nextKpa = advice && advice.next !== null ? pressureAt(advice.next, setup) : null;
  const blind = setup?.blind === 'blind' && nextKpa !== null && row === undefined;
  return { setup, runs, nextKpa, blind };
}

/** Runs of tests that were measured already, taken in as they are: nobody types a number twice. */
function FromMeasured({ open }: { readonly open: OpenRoutine }) {
  const { rig, values, units, form, row } = open;
  const { setup, runs } = trialOf(open);
  const tests = useTestsOf(rig.id);
  const rated = setup?.by === 'ratings' && runs.length > 0;
  const offered = measuredTests(tests, rig.family, values.wheel).filter(
    ({ test, better }) => !runs.some(({ testId }) => testId === test.id) && (runs.length === 0 || setup?.by === better),
  );
  if (row !== undefined || rated || offered.length === 0) return null;
  return (
    <Unfold
      label="Runs that are measured already"
      value={`${offered.length} ${offered.length === 1 ? 'test' : 'tests'}`}
    >
      {offered.map(({ test, better, runs: measured }) => (
        <Action
          key={test.id}
          label={`Take in: ${ROUTINE_WORDS[test.kind].name}, ${day(test.performedAt)}, ${measured.length} ${measured.length === 1 ? 'run' : 'runs'}`}
          onPress={() => {
            form.setValue('setup.by', better, { shouldDirty: true });
            open.runs.append(
              measured.map((run) => anotherRun('bracket', { ...run, testId: test.id } as RoutineValues, units)),
            );
          }}
        />
      ))}
    </Unfold>
  );
}

/** The trial coach: what to set, then how it was, run by run. */
export function TrialInput({ open }: { readonly open: OpenRoutine }) {
  const { values, units, names } = open;
  const words = ROUTINE_WORDS.bracket;
  const { setup, runs, nextKpa, blind } = trialOf(open);
  const [ratings, setRatings] = useState<Readonly<Record<string, string>>>({});
  const [seen, setSeen] = useState(false);
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
    open.runs.append(anotherRun('bracket', { pressureKpa: nextKpa, ...given } as RoutineValues, units));
    setRatings({});
    setSeen(false);
  };
  return (
    <>
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
              {blind && <Action label="Set. Hide the number" onPress={() => setSeen(false)} />}
            </>
          )}
          <Text>Do the lap, then say how it was.</Text>
          {asked.map((name) => (
            <NumberField
              key={name}
              label={name === 'measured' ? 'Measured' : CRITERION_WORDS[name]}
              unit={name === 'measured' ? '' : '10 is best'}
              spokenLabel={name === 'measured' ? 'Measured' : CRITERION_WORDS[name]}
              value={ratings[name] ?? ''}
              onChange={(text) => setRatings({ ...ratings, [name]: text })}
            />
          ))}
          <Action kind="main" label="Keep this run" onPress={keepRun} />
        </Panel>
      )}
      <FromMeasured open={open} />
      <WheelOfTest open={open} label="For the axle of" />
      <Unfold
        label="How it is compared"
        value={words.options!.by![values.setup.by as string] ?? ''}
        startsOpen={!setup}
      >
        {['startKpa', 'stepKpa', 'lowestKpa', 'highestKpa', 'by', 'blind'].map((name) => (
          <FieldOfRoutine key={name} open={open} name={name} />
        ))}
        {values.setup.by === 'ratings' && (
          <>
            <Text as="small" tone="muted">
              How much each counts, 0 to 5; with 0 it is not asked for.
            </Text>
            {CRITERIA.map((name) => (
              <FieldOfRoutine key={name} open={open} name={name} />
            ))}
          </>
        )}
      </Unfold>
    </>
  );
}
