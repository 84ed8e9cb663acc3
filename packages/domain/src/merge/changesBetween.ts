import { alike, isPlain, keyedBy } from './mergeRows';

/** A field that differs between two versions of a row. */
export interface FieldChange {
  /** JSON pointer; items of a list that have a key of their own stand by that key. */
  readonly path: string;
  /** Undefined where it was not there. */
  readonly before: unknown;
  readonly after: unknown;
}

/** What differs between two versions of a row, in the order of the newer one. Nothing where they are equal as JSON. */
export function changesBetween(before: unknown, after: unknown, path = ''): FieldChange[] {
  if (alike(before, after)) return [];
  if (isPlain(before) && isPlain(after)) {
    const names = [...new Set([...Object.keys(after), ...Object.keys(before)])];
    return names.flatMap((name) => changesBetween(before[name], after[name], `${path}/${name}`));
  }
  if (Array.isArray(before) && Array.isArray(after)) {
    const keyOf = keyedBy([before, after]);
    if (keyOf) {
      const [were, are] = [before, after].map((list) => new Map(list.map((item) => [keyOf(item), item] as const)));
      const keys = [...new Set([...are!.keys(), ...were!.keys()])];
      const items = keys.flatMap((key) => changesBetween(were!.get(key), are!.get(key), `${path}/${key}`));
      // The same items in another order.
      return items.length > 0 ? items : [{ path, before, after }];
    }
  }
  return [{ path, before, after }];
}
