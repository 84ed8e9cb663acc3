import type { OutingRow } from '@dunlinmoss/contract';

/** Where an outing stands on its path, and so what comes next. */
export type NextStep = 'start' | 'setPressures' | 'test' | 'decide' | 'airUp';

/** The one next step; `start` where nothing is under way. */
export function nextStep(outing: OutingRow | undefined, testCount: number): NextStep {
  if (!outing || outing.state === 'closed') return 'start';
  if (outing.state === 'planned') return 'setPressures';
  if (testCount === 0) return 'test';
  return outing.decision === null ? 'decide' : 'airUp';
}

/** The steps of an outing in order, each done or not: the path drawn on Today. */
export function pathOf(
  step: NextStep,
): readonly { readonly name: string; readonly state: 'done' | 'next' | 'later' }[] {
  const order: readonly NextStep[] = ['setPressures', 'test', 'decide', 'airUp'];
  const names: Record<string, string> = {
    setPressures: 'Let air out',
    test: 'Prove it',
    decide: 'Decide',
    airUp: 'Put air back',
  };
  const at = order.indexOf(step);
  return order.map((each, index) => ({
    name: names[each]!,
    state: index < at ? 'done' : index === at ? 'next' : 'later',
  }));
}
