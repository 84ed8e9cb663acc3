/** On which day an outing is to begin. */
export interface StartDay {
  readonly when: 'now' | 'tomorrow' | 'later';
  /** `2026-12-05`, for later. */
  readonly date: string;
}

/** In the morning of a day, by the clock of this place; undefined where that is no day. */
function morningOf(date: string): string | undefined {
  const [, year, month, day] = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(date.trim()) ?? [];
  if (year === undefined) return undefined;
  const morning = new Date(Number(year), Number(month) - 1, Number(day), 6);
  // The 31st of a month of thirty days is none, nor is a thirteenth month.
  const isThatDay = morning.getMonth() === Number(month) - 1 && morning.getDate() === Number(day);
  return isThatDay ? morning.toISOString() : undefined;
}

/** When it begins, ISO: now, or in the morning of its day; undefined where that is no day. */
export function startsAt({ when, date }: StartDay, now: Date): string | undefined {
  if (when === 'now') return now.toISOString();
  if (when === 'later') return morningOf(date);
  return new Date(now.getFullYear(), now.getMonth(), now.getDate() + 1, 6).toISOString();
}
