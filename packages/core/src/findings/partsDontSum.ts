import { TICKET_SOURCE, ticketSum } from '../loads/ticketSum';
import type { Check } from './finding';

/** The axles, weighed one by one, do not sum to the whole rig. */
export const partsDontSum = {
  severity: 'care',
  source: TICKET_SOURCE,
  find: ({ axles, wholeKg }) => {
    const loads = axles.flatMap(({ load }) => load ?? []);
    if (wholeKg === null || loads.length < axles.length || loads.some(({ standing }) => standing === 'estimated')) {
      return [];
    }
    const { agrees, ...sum } = ticketSum(
      loads.reduce((total, { loadKg }) => total + loadKg, 0),
      wholeKg,
    );
    return agrees ? [] : [{ code: 'partsDontSum', ...sum }];
  },
} as const satisfies Check;
