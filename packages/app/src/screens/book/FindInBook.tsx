import type { OutingRow } from '@dunlinmoss/contract';
import { sortedByName, type GroundCode } from '@dunlinmoss/core';
import { ANY_OUTING, isAnyOuting, type BookQuery } from '@dunlinmoss/domain';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { TextField } from '../../components/TextField';
import { Unfold } from '../../components/Unfold';
import { createStore } from '../../settings/store';
import { namesStore } from '../../settings/who';
import { groundName } from '../../words/grounds';

/** What is looked for: it stays while one goes from outing to outing, and is forgotten with the page. */
export const bookQueryStore = createStore<BookQuery>(ANY_OUTING);

const DAY_MS = 86_400_000;
const SPANS = { month: 30, quarter: 91, year: 365 } as const;
type Span = keyof typeof SPANS;
const SPAN_WORDS: Record<Span | 'all', string> = {
  all: 'All',
  month: '30 days',
  quarter: '3 months',
  year: '12 months',
};
const ANY = 'any';

/** Each that there is once, as a choice with one for all of them. */
function optionsOf<Id extends string>(all: readonly Id[], nameOf: (id: Id) => string, any: string) {
  const each = [...new Set(all)].map((code) => ({ code: code as string, name: nameOf(code) }));
  return [{ code: ANY, name: any }, ...sortedByName(each, ({ name }) => name)];
}

interface FindInBookProps {
  readonly outings: readonly OutingRow[];
  readonly found: number;
  readonly nowMs: number;
}

/** The Book by machine, person, ground, time, and words. */
export function FindInBook({ outings, found, nowMs }: FindInBookProps) {
  const query = bookQueryStore.use();
  const names = namesStore.use();
  const set = (change: Partial<BookQuery>): void => bookQueryStore.set({ ...query, ...change });
  const rigNames = new Map(outings.map(({ rigId, rigName }) => [rigId, rigName]));
  const machines = optionsOf([...rigNames.keys()], (id) => rigNames.get(id)!, 'Every machine');
  const people = optionsOf(
    outings.flatMap(({ savedBy }) => (savedBy !== undefined && names[savedBy] !== undefined ? [savedBy] : [])),
    (id) => names[id]!,
    'Everybody',
  );
  const grounds = optionsOf(
    outings.map(({ groundCode }) => groundCode),
    groundName,
    'Every ground',
  );
  const days = query.fromMs === null ? null : Math.round((nowMs - query.fromMs) / DAY_MS);
  const span = (Object.keys(SPANS) as Span[]).find((code) => SPANS[code] === days) ?? 'all';
  const all = isAnyOuting(query);
  return (
    <Unfold label="Find" value={all ? 'Everything' : `${found} of ${outings.length} outings`}>
      <TextField
        label="Words"
        spokenLabel="Words to find in the Book"
        value={query.text}
        onChange={(text) => set({ text })}
        placeholder="a field, a beach, what was noted"
      />
      <PickOne label="Machine" value={query.rigId} options={machines} onChange={(code) => set({ rigId: code })} />
      <PickOne
        label="Who wrote it"
        value={query.personId}
        options={people}
        onChange={(code) => set({ personId: code })}
      />
      <PickOne
        label="Ground"
        value={query.groundCode}
        options={grounds}
        onChange={(code) => set({ groundCode: code as GroundCode | null })}
      />
      <Choice
        label="How far back"
        value={span}
        options={(['all', ...Object.keys(SPANS)] as (Span | 'all')[]).map((code) => ({ code, name: SPAN_WORDS[code] }))}
        onChange={(code) => set({ fromMs: code === 'all' ? null : nowMs - SPANS[code] * DAY_MS })}
      />
      {!all && <Action label="Show everything again" onPress={() => bookQueryStore.set(ANY_OUTING)} />}
    </Unfold>
  );
}

interface PickOneProps {
  readonly label: string;
  readonly value: string | null;
  readonly options: readonly { readonly code: string; readonly name: string }[];
  readonly onChange: (code: string | null) => void;
}

/** One of many, or any of them. Nothing to see where there is but one. */
function PickOne({ label, value, options, onChange }: PickOneProps) {
  if (options.length <= 2) return null;
  const chosen = options.find(({ code }) => code === (value ?? ANY)) ?? options[0]!;
  return (
    <Unfold label={label} value={chosen.name}>
      {(close) => (
        <Choice
          label={label}
          layout="list"
          value={chosen.code}
          options={options}
          onChange={(code) => {
            onChange(code === ANY ? null : code);
            close();
          }}
        />
      )}
    </Unfold>
  );
}
