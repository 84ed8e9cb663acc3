import type { BodyOf, ResourceName } from '@dunlinmoss/contract';

import { mergeAirings } from '../air/airings';

/** A field that two people changed to different things: only they can tell which is meant. */
export interface Clash {
  /** JSON pointer; items of a list that have a key of their own stand by that key. */
  readonly path: string;
  /** Undefined where one of them took it away. */
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface Merged<Body> {
  /** Both put together; where they clash, what `prefer` says. */
  readonly body: Body;
  readonly clashes: readonly Clash[];
}

/** What tells the items of a list apart, the first that all of them have. Other lists are one value. */
const ITEM_KEYS: readonly (readonly string[])[] = [['id'], ['position', 'wheel'], ['position', 'part'], ['position']];

/** Fields that only say when something was last done: of two the later is true. */
const LATER: ReadonlySet<string> = new Set(['pressuresAt', 'keptAt', 'softOnPurposeAt']);

export type Plain = Readonly<Record<string, unknown>>;
export const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Equal as JSON, whatever the order of the fields. */
export function alike(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((item, index) => alike(item, b[index]));
  }
  if (!isPlain(a) || !isPlain(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) => alike(a[name], b[name]));
}

/** The key of every item of some lists; null where they have none that tells them apart. */
export function keyedBy(lists: readonly (readonly unknown[])[]): ((item: unknown) => string) | null {
  for (const fields of ITEM_KEYS) {
    const keyOf = (item: unknown): string => fields.map((field) => String((item as Plain)[field])).join(' ');
    const fits = lists.every(
      (list) =>
        list.every((item) => isPlain(item) && fields.every((field) => typeof item[field] === 'string')) &&
        new Set(list.map(keyOf)).size === list.length,
    );
    if (fits) return keyOf;
  }
  return null;
}

/** One merge: what was met on the way, and whose word counts where both have one. */
class Merge {
  readonly clashes: Clash[] = [];

  constructor(private readonly prefer: 'mine' | 'theirs') {}

  value(base: unknown, mine: unknown, theirs: unknown, path: string, field: string, own: readonly unknown[]): unknown {
    if (alike(mine, theirs) || alike(base, theirs)) return mine;
    if (alike(base, mine)) return theirs;
    if (LATER.has(field) && typeof mine === 'string' && typeof theirs === 'string') {
      return mine > theirs ? mine : theirs;
    }
    if (isPlain(mine) && isPlain(theirs)) return this.fields(isPlain(base) ? base : {}, mine, theirs, path, own);
    if (Array.isArray(mine) && Array.isArray(theirs)) {
      const before: readonly unknown[] = Array.isArray(base) ? base : [];
      const lists = own.filter((each) => Array.isArray(each));
      const keyOf = keyedBy([before, mine, theirs, ...lists]);
      if (keyOf) return this.items(before, mine, theirs, path, keyOf, lists);
    }
    // What stands there came from here.
    if (own.some((each) => alike(each, theirs))) return mine;
    this.clashes.push({ path, mine, theirs });
    return this.prefer === 'mine' ? mine : theirs;
  }

  private fields(base: Plain, mine: Plain, theirs: Plain, path: string, own: readonly unknown[]): Plain {
    const names = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
    return Object.fromEntries(
      names.map((name) => [
        name,
        this.value(
          base[name],
          mine[name],
          theirs[name],
          `${path}/${name}`,
          name,
          own.flatMap((each) => (isPlain(each) ? [each[name]] : [])),
        ),
      ]),
    );
  }

  private items(
    base: readonly unknown[],
    mine: readonly unknown[],
    theirs: readonly unknown[],
    path: string,
    keyOf: (item: unknown) => string,
    own: readonly (readonly unknown[])[],
  ): unknown[] {
    const byKey = (list: readonly unknown[]) => new Map(list.map((item) => [keyOf(item), item] as const));
    const [before, ours, others] = [byKey(base), byKey(mine), byKey(theirs)];
    const sent = own.map(byKey);
    // In the order of whoever moved them; else theirs, with what is new of ours behind it.
    const moved = alike([...before.keys()], [...others.keys()]) ? ours : others;
    const keys = [...new Set([...moved.keys(), ...others.keys(), ...ours.keys()])];
    return keys.flatMap((key) => {
      const item = this.value(
        before.get(key),
        ours.get(key),
        others.get(key),
        `${path}/${key}`,
        key,
        sent.map((each) => each.get(key)),
      );
      return item === undefined ? [] : [item];
    });
  }
}

/** What nobody enters. */
const NOT_MERGED = ['id', 'revision'];

/**
 * Two versions of a row put together, field by field, from the one that both began with: load cases by their id, axles
 * and wheels by their place. What only one of them changed is kept; what both changed to the same is that. The body
 * stands on the revision of `theirs`.
 *
 * @param base null where nobody knows it any more: then everything in which they differ clashes
 * @param prefer whose word counts where they clash
 * @param sent what was sent before without an answer: where theirs says the same, it came from here
 */
export function mergeRows<Name extends ResourceName>(
  name: Name,
  base: BodyOf<Name> | null,
  mine: BodyOf<Name>,
  theirs: BodyOf<Name>,
  prefer: 'mine' | 'theirs' = 'mine',
  sent: readonly BodyOf<Name>[] = [],
): Merged<BodyOf<Name>> {
  if (name === 'airings') {
    return { body: mergeAirings(mine as BodyOf<'airings'>, theirs as never) as BodyOf<Name>, clashes: [] };
  }
  const merge = new Merge(prefer);
  const names = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])].filter((key) => !NOT_MERGED.includes(key));
  const [before, ours, others] = [base ?? {}, mine, theirs] as unknown as readonly [Plain, Plain, Plain];
  const fields = names.map(
    (key) =>
      [
        key,
        merge.value(
          before[key],
          ours[key],
          others[key],
          `/${key}`,
          key,
          sent.map((each) => (each as unknown as Plain)[key]),
        ),
      ] as const,
  );
  return {
    body: { ...theirs, ...Object.fromEntries(fields) } as BodyOf<Name>,
    clashes: merge.clashes,
  };
}
