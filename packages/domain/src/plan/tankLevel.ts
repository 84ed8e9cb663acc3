import type { LoadCaseBody } from '@dunlinmoss/contract';

type Tank = Extract<LoadCaseBody['items'][number], { kind: 'tank' }>;

const tanksOf = ({ items }: Pick<LoadCaseBody, 'items'>): Tank[] =>
  items.filter((item): item is Tank => item.kind === 'tank');

/**
 * How full what a load case carries in tanks is today, 0 to 1: of several tanks by what they hold. Null where nothing of
 * it comes and goes.
 */
export function tankLevel(loadCase: LoadCaseBody): number | null {
  if (loadCase.method === 'fullAndEmpty') return loadCase.level ?? 1;
  if (loadCase.method === 'scales' || loadCase.method === 'split') return null;
  const tanks = tanksOf(loadCase);
  const holds = tanks.reduce((sum, { liters }) => sum + liters, 0);
  return holds > 0 ? tanks.reduce((sum, { liters, level }) => sum + liters * level, 0) / holds : null;
}

/** The load case as full as that: every tank of it alike. */
export function withTankLevel(loadCase: LoadCaseBody, level: number): LoadCaseBody {
  return loadCase.method === 'fullAndEmpty'
    ? { ...loadCase, level }
    : { ...loadCase, items: loadCase.items.map((item) => (item.kind === 'tank' ? { ...item, level } : item)) };
}
