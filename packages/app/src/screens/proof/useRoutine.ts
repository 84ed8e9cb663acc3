import type { OutingRow, RigRow, RoutineTestRow } from '@dunlinmoss/contract';
import { judgeRoutine, routineOf, type Judgement, type RoutineCode, type RoutineTest } from '@dunlinmoss/core';
import { heaviest, limitsOfTest, routineTestOf, type TestedWheel, testedWheels } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm, useWatch, type Path, type UseFormReturn } from 'react-hook-form';

import { useTestsOf } from '../../data/tests';
import { dropDraft, readDraft, useDraft } from '../../data/drafts';
import { gaugeOffsets, useGauges } from '../../data/gauges';
import { newId } from '../../data/newId';
import { save } from '../../data/outbox';
import { unitsFor, unitsStore, type Units } from '../../settings/preferences';
import { notify } from '../../components/Notice';
import { archiveAndSay } from '../../components/archiveAndSay';
import { savedText } from '../../words/saved';
import {
  newRoutine,
  routineValues,
  toRoutineTest,
  writtenDown,
  type NewRoutine,
  type RoutineFormValues,
} from './routineForm';

export interface RoutineInput {
  readonly code: RoutineCode;
  readonly row: RoutineTestRow | undefined;
  readonly rig: RigRow;
  readonly outing: OutingRow | undefined;
  /** What a new test begins with. */
  readonly begin: (wheel: TestedWheel, units: Units) => Omit<NewRoutine, 'wheel'>;
}

export interface OpenRoutine {
  readonly form: UseFormReturn<RoutineFormValues>;
  readonly values: RoutineFormValues;
  readonly units: Units;
  readonly wheels: readonly TestedWheel[];
  readonly wheel: TestedWheel;
  readonly offsetKpa: number;
  /** What can be judged already, and what it says. */
  readonly test: RoutineTest | undefined;
  readonly judgement: Judgement | undefined;
  readonly submit: () => Promise<void>;
  readonly archiveRow: (() => void) | undefined;
}

/** A test that is being walked through: what is typed, what it says so far, and how it is kept. */
export function useRoutine({ code, row, rig, outing, begin }: RoutineInput): OpenRoutine {
  const router = useRouter();
  const units = unitsFor(unitsStore.use(), rig.family);
  const [fresh] = useState(() => ({ id: newId(), performedAt: new Date().toISOString() }));
  const draft = `routine:${code}:${row?.id ?? `new:${rig.id}:${outing?.id ?? ''}`}`;
  const wheels = testedWheels(rig, outing?.loadCaseId);
  const first = heaviest(wheels);
  const form = useForm<RoutineFormValues>({
    defaultValues:
      readDraft<RoutineFormValues>(draft) ??
      (row ? routineValues(row, units) : newRoutine(code, { wheel: first.key, ...begin(first, units) }, units)),
  });
  useDraft(draft, form);
  const values = useWatch({ control: form.control }) as RoutineFormValues;
  const gauges = useGauges();
  const kept = row?.details.gauge;
  // A saved test keeps the offset of its day for as long as it keeps its gauge, and tire and load with its wheel.
  const offsetKpa = kept?.gaugeId === values.gaugeId ? kept.offsetKpa : (gaugeOffsets(gauges).get(values.gaugeId) ?? 0);
  const gauge = values.gaugeId === '' ? null : { gaugeId: values.gaugeId, offsetKpa };
  const found = wheels.find(({ key }) => key === values.wheel) ?? first;
  const wheel = row && row.details.wheel === values.wheel ? { ...found, ...tireOf(row.details) } : found;
  const written = writtenDown(code, values, tireOf(wheel), gauge);
  const tests = useTestsOf(rig.id);
  const limits = limitsOfTest(rig, tests, outing, routineOf(code).oneWheel ? found.position : null);
  const test = written && routineTestOf(code, written.details, rig.family, limits);
  const judged = test && (test.runs.length > 0 || code === 'bracket') ? judgeRoutine(test) : undefined;

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
    form,
    values,
    units,
    wheels,
    wheel,
    offsetKpa,
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
