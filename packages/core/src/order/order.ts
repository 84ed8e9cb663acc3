/*
 * What stands before what, without asking the language of the device where that is not needed: the first question to a browser's
 * tables of languages takes 50 ms on a slow phone, as long as a tenth of an opening.
 */

/** Two times as Date.toISOString writes them, or other texts of ASCII alone, the earlier first. */
export const compareTexts = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The signs of ASCII as English sorts them; they differ in nothing else once letters are small. */
const SIGNS = ` _-,;:!?.'"()[]{}@*/\\&#%\`^+<=>|~$0123456789abcdefghijklmnopqrstuvwxyz`;
const PLACES = new Map([...SIGNS].map((sign, place) => [sign, String.fromCharCode(place)]));

/** A name as a text that sorts by its codes; null where it has a sign that only the tables know. */
function plainKey(name: string): string | null {
  let key = '';
  for (const sign of name.toLowerCase()) {
    const place = PLACES.get(sign);
    if (place === undefined) return null;
    key += place;
  }
  return key;
}

let collator: Intl.Collator | undefined;
const byTables = (a: string, b: string): number =>
  (collator ??= new Intl.Collator('en')).compare(a.toLowerCase(), b.toLowerCase());

/** Two names as people look for them, without regard to capitals, as the database sorts them. */
export function compareNames(a: string, b: string): number {
  const [left, right] = [plainKey(a), plainKey(b)];
  return left === null || right === null ? byTables(a, b) : compareTexts(left, right);
}

/** The same of many, each looked at once. */
export function sortedByName<Item>(items: readonly Item[], nameOf: (item: Item) => string): Item[] {
  const named = items.map((item) => [nameOf(item), item] as const);
  const keyed = named.map(([name, item]) => [plainKey(name), item] as const);
  return keyed.every((each): each is readonly [string, Item] => each[0] !== null)
    ? keyed.sort(([a], [b]) => compareTexts(a, b)).map(([, item]) => item)
    : named.sort(([a], [b]) => byTables(a, b)).map(([, item]) => item);
}
