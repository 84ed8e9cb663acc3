import { judgeRoutine, routineOf } from '@dunlinmoss/core';
import { heaviest, limitsOfTest, routineTestOf, testedWheels, type TestedWheel } from '@dunlinmoss/domain';
import { useState } from 'react';
import { useFieldArray, useForm, useWatch, type Path } from 'react-hook-form';

import { useTestsOf } from '../../data/tests';
import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { gaugeOffsets, useGauges } from '../../data/gauges';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsFor, unitsStore } from '../../settings/preferences';
import { focusFirstInvalid } from '../../components/focusFirstInvalid';
import { notify } from '../../components/Notice';
import { archiveAndSay } from '../../components/archiveAndSay';
import { wheelName } from '../../words/air';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { savedText } from '../../words/saved';
import { useRouter } from '../../hooks/useRouter';
import {
  isPendingRun,
  newRoutine,
  routineValues,
  toRoutineTest,
  writtenDown,
  type RoutineFormValues,
} from './routineForm';
import type { OpenRoutine, RoutineInput } from './openRoutine';
import { filledIn, isUnread, pressureFor } from './nextRun';
import { oneRun } from './routines/onScreen';
import { onScreen } from './routines/registry';

/** A test that is being walked through: what is typed, what it says so far, and how it is kept. */
export function useRoutine(input: RoutineInput): OpenRoutine {
  const { code, row, rig, outing } = input;
  const router = useRouter();
  const units = unitsFor(unitsStore.use(), rig.family);
  const [fresh] = useState(() => ({ id: newId(), performedAt: new Date().toISOString() }));
  const draft = `routine:${code}:${row?.id ?? `new:${rig.id}:${outing?.id ?? ''}`}`;
  const wheels = testedWheels(rig, outing?.loadCaseId);
  const first = heaviest(wheels);
  const tests = useTestsOf(rig.id);
  const begun = (wheel: TestedWheel): RoutineFormValues => {
    // Where each run names its wheel they are gone round in walking order.
    const at = { rig, outing, tests, wheel: routineOf(code).run.wheel ? (wheels[0] ?? wheel) : wheel, units };
    const form = newRoutine(code, { wheel: wheel.key, ...(onScreen(code).begin ?? oneRun)(at) }, units);
    return { ...form, runs: form.runs.map(filledIn) };
  };
  const form = useForm<RoutineFormValues>({
    defaultValues: readDraft<RoutineFormValues>(draft) ?? (row ? routineValues(row, units) : begun(first)),
  });
  useDraft(draft, form);
  const { fields, append, remove, insert } = useFieldArray({ control: form.control, name: 'runs' });
  const chooseWheel = (key: string): void => {
    form.setValue('wheel', key, { shouldDirty: true });
    const wheel = wheels.find((each) => each.key === key);
    // What was filled in for the wheel before is no reading of this one.
    if (wheel && form.getValues('runs').every((run) => isPendingRun(routineOf(code).run, run))) {
      form.setValue('runs', begun(wheel).runs);
    }
  };
  /** Another wheel for one run: what was filled in for the wheel before is no reading of this one. */
  const chooseWheelOf = (index: number, key: string): void => {
    const runs = form.getValues('runs');
    form.setValue(`runs.${index}.wheel`, key, { shouldDirty: true });
    if (isUnread(runs[index]!)) {
      form.setValue(`runs.${index}.pressureKpa`, pressureFor({ code, runs, wheels, outing, units }, key));
    }
  };
  const drop = (index: number): void => {
    const run = form.getValues(`runs.${index}`);
    remove(index);
    if (!isPendingRun(routineOf(code).run, run)) {
      notify(`${ROUTINE_WORDS[code].run ?? 'Run'} removed.`, () => insert(index, run));
    }
  };
  const values = useWatch({ control: form.control }) as RoutineFormValues;
  const gauges = useGauges();
  const kept = row?.details.gauge;
  // A saved test keeps the offset of its day for as long as it keeps its gauge, and tire and load with its wheel.
  const offsetKpa = kept?.gaugeId === values.gaugeId ? kept.offsetKpa : (gaugeOffsets(gauges).get(values.gaugeId) ?? 0);
  const gauge = values.gaugeId === '' ? null : { gaugeId: values.gaugeId, offsetKpa };
  const found = wheels.find(({ key }) => key === values.wheel) ?? first;
  const wheel = row && row.details.wheel === values.wheel ? { ...found, ...tireOf(row.details) } : found;
  const written = writtenDown(code, values, tireOf(wheel), gauge);
  const limits = limitsOfTest(rig, tests, outing, routineOf(code).oneWheel ? found.position : null);
  const test = written && routineTestOf(code, written.details, rig.family, limits);
  const judged = test && test.runs.length > 0 ? judgeRoutine(test) : undefined;

  const limitsOf: OpenRoutine['limitsOf'] = (key) =>
    limitsOfTest(rig, tests, outing, (wheels.find((each) => each.key === key) ?? found).position);

  const submit = async (): Promise<void> => {
    form.clearErrors();
    const identity = row
      ? { id: row.id, rigId: row.rigId, outingId: row.outingId, performedAt: row.performedAt, counts: row.counts }
      : { ...fresh, rigId: rig.id, outingId: outing?.id ?? null, counts: true };
    const checked = toRoutineTest(code, form.getValues(), identity, tireOf(wheel), gauge, units);
    if (!checked.ok) {
      for (const [field, message] of Object.entries(checked.problems)) {
        form.setError(field as Path<RoutineFormValues>, { message });
      }
      focusFirstInvalid();
      notify(checked.problems.runs ?? 'Not saved yet: some fields need another look.');
      return;
    }
    const saved = await save('tests', checked.test);
    if (saved.kind === 'refused') {
      notify(saved.problem.title);
      return;
    }
    dropDraft(draft);
    notify(savedText(saved, 'The test', 'in the Book'));
    router.navigate(checked.test.outingId ? '/' : '/proof');
  };
  const archiveRow = row
    ? () =>
        void archiveAndSay('tests', row, 'The test', () => {
          dropDraft(draft);
          router.navigate('/proof');
        })
    : undefined;
  return {
    ...input,
    form,
    values,
    runs: { fields, append, drop },
    chooseWheel,
    chooseWheelOf,
    units,
    wheels,
    names: Object.fromEntries(wheels.map((each) => [each.key, wheelName(each)])),
    wheel,
    offsetKpa,
    limitsOf,
    test,
    judgement: judged,
    submit,
    archiveRow,
  };
}

const tireOf = ({
  tireMarking,
  loadRange,
  wheelLoadKg,
  widthMm,
}: Pick<TestedWheel, 'tireMarking' | 'loadRange' | 'wheelLoadKg' | 'widthMm'>) => ({
  tireMarking,
  loadRange,
  wheelLoadKg,
  widthMm,
});
