import { unreadSidewall } from '../limits/unreadSidewall';
import { marked } from '../sources/source';
import type { Caution } from './caution';

/** Nobody read how high the tire may go. */
export const sidewallUnread = {
  code: 'sidewallUnread',
  severity: 'care',
  source: marked,
  applies: ({ axles }) =>
    axles.some(({ plan }) => plan.ceiling?.all.some(({ code }) => code === unreadSidewall.code) ?? true),
} as const satisfies Caution;
