import {
  bodyOf,
  checkedBy,
  RESOURCES,
  type BodyOf,
  type FieldProblem,
  type Problem,
  type ResourceName,
  type RowOf,
  type Schema,
} from '@dunlinmoss/contract';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';

import { dropDraft, readDraft, useDraft } from '../data/drafts';
import { newId } from '../data/newId';
import { save, type SaveResult } from '../data/outbox';
import type { Units } from '../settings/preferences';
import { notify } from '../components/Notice';
import { focusFirstInvalid } from '../components/focusFirstInvalid';
import { archiveAndSay } from '../components/archiveAndSay';
import { fieldText } from '../words/problems';
import { finished, openForm, problemsByField, type Pointer, type RowForm } from './rowForm';

/** With the row as it was when the form was opened, so that what somebody else changes meanwhile can be put beside it. */
type Inner = RowForm<Record<string, unknown>> & { readonly begun?: unknown };
type Saved = Exclude<SaveResult<ResourceName>, { kind: 'refused' }>;

/** So long after the last key what was typed is looked over, ms: nobody is corrected in the middle of a number. */
const PAUSE_MS = 600;

/** A form that is open: what its fields read, and how they change it. */
export interface OpenForm<Body extends object> {
  readonly inner: UseFormReturn<Inner>;
  readonly units: Units;
  readonly now: () => RowForm<Body>;
  readonly change: (update: (form: RowForm<Body>) => RowForm<Body>) => void;
  /** Sentences by the pointer of the field that they stand beside; under `''` what belongs to no field. */
  readonly problems: ReadonlyMap<string, string>;
  readonly clearProblem: (pointer: string) => void;
  /** Registers a shown field, so that its problems stand beside it. Returns the way to stop. */
  readonly register: (pointer: string) => () => void;
  readonly submit: () => Promise<void>;
  /** Drops the draft and shows what was saved last. */
  readonly drop: () => void;
  readonly dropDraft: () => void;
}

interface FieldsFormOptions<Body extends object> {
  readonly draft: string;
  readonly initial: Body;
  readonly schema: Schema<Body>;
  readonly units: Units;
  /** `begun` is what the form was opened with: a draft may be older than the row by now. */
  readonly save: (body: Body, begun: Body | undefined) => Promise<SaveResult<ResourceName>>;
  readonly onSaved: (outcome: Saved, body: Body) => void;
  /** The key of the field that a refused pointer of the row was typed into, where they differ. */
  readonly keyOf?: (pointer: string, row: Body) => string;
  /** What the schema of this part alone can't know. */
  readonly check?: (body: Body) => readonly FieldProblem[];
  readonly problemText?: (problem: FieldProblem, units: Units) => string;
}

const opened = (initial: object): Inner => ({ ...openForm(initial), begun: initial }) as unknown as Inner;

/** A form over a row or a part of one: drafts, refusals beside their fields, saving. */
export function useFieldsForm<Body extends object>(options: FieldsFormOptions<Body>): OpenForm<Body> {
  const { draft, initial, schema, units, onSaved, problemText = fieldText } = options;
  const { keyOf = (pointer) => pointer, check = () => [] } = options;
  const inner = useForm<Inner>({
    defaultValues: readDraft<Inner>(draft) ?? opened(initial),
  });
  useDraft(draft, inner);
  const [problems, setProblems] = useState<ReadonlyMap<string, string>>(new Map());
  const fields = useRef(new Map<string, number>());
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const lookOver = useRef<() => void>(() => undefined);
  useEffect(() => () => clearTimeout(pause.current), []);

  const { getValues, setValue, reset } = inner;
  const now = useCallback(() => getValues() as unknown as RowForm<Body>, [getValues]);
  const change = useCallback<OpenForm<Body>['change']>(
    (update) => {
      const { row, texts } = update(now());
      setValue('texts', texts);
      setValue('row', row as Record<string, unknown>);
      clearTimeout(pause.current);
      pause.current = setTimeout(() => lookOver.current(), PAUSE_MS);
    },
    [now, setValue],
  );
  const clearProblem = useCallback((pointer: string): void => {
    setProblems((before) => (before.has(pointer) ? new Map([...before].filter(([at]) => at !== pointer)) : before));
  }, []);
  const register = useCallback((pointer: string): (() => void) => {
    const shown = fields.current;
    shown.set(pointer, (shown.get(pointer) ?? 0) + 1);
    return () => {
      const left = shown.get(pointer)! - 1;
      if (left > 0) shown.set(pointer, left);
      else shown.delete(pointer);
    };
  }, []);

  const sentencesOf = (found: readonly FieldProblem[], inForm: (pointer: string) => string) => {
    const inPlace = found.map((problem) => ({ ...problem, path: inForm(problem.path) }));
    const placed = problemsByField(inPlace, [...fields.current.keys()]);
    return new Map([
      // A field that is folded away says it when it is shown again.
      ...inPlace.map((problem) => [problem.path, problemText(problem, units)] as const),
      ...[...placed].map(([at, problem]) => [at, problemText(problem, units)] as const),
    ]);
  };
  const tell = (found: readonly FieldProblem[], inForm: (pointer: string) => string): void => {
    const sentences = sentencesOf(found, inForm);
    setProblems(sentences);
    focusFirstInvalid();
    notify(sentences.get('') ?? 'Not saved yet: some fields need another look.');
  };
  const looked = () => {
    const { row, inForm: pointerInForm } = finished(now());
    const inForm = (pointer: string): string => keyOf(pointerInForm(pointer), now().row);
    const checked = checkedBy(schema, row);
    return { checked, found: [...(checked.ok ? [] : checked.problems), ...check(row)], inForm };
  };
  // What was typed and can't be is said where it stands, without waiting for the save; what is still empty is not.
  useEffect(() => {
    lookOver.current = () => {
      const { found, inForm } = looked();
      const { texts } = now();
      const isTyped = (at: string): boolean => (texts[at]?.text.trim() ?? '') !== '';
      setProblems((before) => {
        const sentences = [...sentencesOf(found, inForm)].filter(
          ([at]) => isTyped(at) || (at !== '' && before.has(at)),
        );
        return sentences.length === 0 && before.size === 0 ? before : new Map(sentences);
      });
    };
  });
  const submit = async (): Promise<void> => {
    setProblems(new Map());
    const { checked, found, inForm } = looked();
    if (!checked.ok || found.length > 0) return tell(found, inForm);
    const outcome = await options.save(checked.value, getValues().begun as Body | undefined);
    if (outcome.kind === 'refused') return tellRefusal(outcome.problem, inForm);
    dropDraft(draft);
    onSaved(outcome, checked.value);
  };
  const tellRefusal = ({ fields: refused = [], title }: Problem, inForm: (pointer: string) => string): void => {
    if (refused.length > 0) tell(refused, inForm);
    notify(title);
  };

  return useMemo(
    () => ({
      inner,
      units,
      now,
      change,
      problems,
      clearProblem,
      register,
      submit,
      drop: () => {
        dropDraft(draft);
        setProblems(new Map());
        reset(opened(initial));
      },
      dropDraft: () => dropDraft(draft),
    }),
    // `submit` reads its options when it runs: they may differ from drawing to drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [inner, units, problems, draft, initial, options],
  );
}

interface RowFormOptions<Name extends ResourceName> {
  readonly draft: string;
  /** Undefined makes a new row from the blank one. */
  readonly row: RowOf<Name> | undefined;
  /** A new row, but for its id. */
  readonly blank: () => Omit<BodyOf<Name>, 'id'>;
  readonly units: Units;
  readonly onSaved: (outcome: Saved, body: BodyOf<Name>) => void;
  readonly keyOf?: (pointer: string, row: BodyOf<Name>) => string;
  readonly problemText?: (problem: FieldProblem, units: Units) => string;
}

export interface OpenRowForm<Body extends object> extends OpenForm<Body> {
  /** Archives the saved row, with the way back; undefined for a new one. */
  readonly archive: ((called: string, goOn: () => void) => Promise<void>) | undefined;
}

/** The form of a row of a kind: the row as it was read, or a blank one, its draft, saving and archiving. */
export function useRowForm<Name extends ResourceName>(
  name: Name,
  { draft, row, blank, units, onSaved, keyOf, problemText }: RowFormOptions<Name>,
): OpenRowForm<BodyOf<Name>> {
  // One new row for as long as the form is open: saving twice is one row.
  const [initial] = useState(() =>
    row ? bodyOf(name, row) : ({ ...blank(), id: newId() } as unknown as BodyOf<Name>),
  );
  const form = useFieldsForm<BodyOf<Name>>({
    draft,
    initial,
    schema: RESOURCES[name].body as unknown as Schema<BodyOf<Name>>,
    units,
    save: (body, begun) => save(name, body, row && begun) as Promise<SaveResult<ResourceName>>,
    onSaved,
    ...(keyOf && { keyOf }),
    ...(problemText && { problemText }),
  });
  const archive =
    row &&
    ((called: string, goOn: () => void) =>
      archiveAndSay(name, row, called, () => {
        dropDraft(draft);
        goOn();
      }));
  return { ...form, archive };
}

/** The name under which the form library knows a field of the row. */
export const rowName = (pointer: string) => `row${pointer.replaceAll('/', '.')}` as 'row';

/** The value of a field as it is now, in SI; drawn anew when it changes. */
export function useValue<Body extends object, Value>(form: OpenForm<Body>, pointer: Pointer<Body>): Value {
  return useWatch({ control: form.inner.control, name: rowName(pointer) }) as Value;
}

/** The whole row as it is now, in SI. */
export const useFormRow = <Body extends object>(form: OpenForm<Body>): Body =>
  useWatch({ control: form.inner.control, name: 'row' }) as unknown as Body;

/** Something of the row was changed since it was opened or saved. */
export const useChanged = <Body extends object>(form: OpenForm<Body>, saved: Body): boolean =>
  JSON.stringify(useFormRow(form)) !== JSON.stringify(saved);
