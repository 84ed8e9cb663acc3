import { compareTexts } from '@dunlinmoss/core';
import { courseOf, type AirHistory } from './inTire';
import { rigWheels } from './wheels';

/** A time in which at least one wheel was below road pressure. */
export interface SoftSpell {
  readonly from: string;
  /** Null while it lasts: no reading has ended it. */
  readonly to: string | null;
}

/**
 * When a rig stood or drove on soft tires, the earliest first and none touching another: from when a wheel was let out,
 * set or read below its road pressure until every wheel was read at it. What has no date begins no spell.
 */
export function softSpells(history: AirHistory): SoftSpell[] {
  const spells = rigWheels(history.rig).flatMap((wheel): SoftSpell[] => {
    const own: SoftSpell[] = [];
    let from: string | null = null;
    for (const { low, at } of courseOf(history, wheel)) {
      if (low) from ??= at;
      else if (from !== null && at !== null) {
        own.push({ from, to: at });
        from = null;
      }
    }
    return from === null ? own : [...own, { from, to: null }];
  });
  const joined: SoftSpell[] = [];
  for (const spell of spells.sort((a, b) => compareTexts(a.from, b.from))) {
    const last = joined.at(-1);
    if (!last || (last.to !== null && last.to < spell.from)) joined.push(spell);
    else if (last.to !== null && (spell.to === null || spell.to > last.to))
      joined[joined.length - 1] = { from: last.from, to: spell.to };
  }
  return joined;
}

/** How long a rig was soft between two moments, ms; a spell that lasts counts until the later of them. */
export const softMs = (spells: readonly SoftSpell[], fromMs: number, toMs: number): number =>
  spells.reduce((sum, { from, to }) => {
    const end = Math.min(toMs, to === null ? toMs : Date.parse(to));
    return sum + Math.max(0, end - Math.max(fromMs, Date.parse(from)));
  }, 0);
