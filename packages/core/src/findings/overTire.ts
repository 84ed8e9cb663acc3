import { capacity, fullPressureKpa } from '../capacity/loadCurve';
import { marked } from '../sources/source';
import type { Check } from './finding';
import { dutyOf, heaviestKg } from './rigFacts';

/** Slow enough for any bonus that a farm tire has, km/h; what others have on the road lifts no rating. */
const CRAWL_KMH = 5;

/** A wheel is heavier than its tire carries at any pressure and any speed. */
export const overTire = {
  severity: 'danger',
  source: marked,
  find: ({ axles }) =>
    axles.flatMap((axle) => {
      const loadKg = heaviestKg(axle);
      if (loadKg === null || !axle.curve) return [];
      const most = capacity(axle.curve, {
        pressureKpa: fullPressureKpa(axle.curve),
        speedKmh: axle.tire.use === 'farm' || axle.curve.from === 'rows' ? CRAWL_KMH : null,
        ...dutyOf(axle),
      });
      if (!most.ok || loadKg <= most.loadKg) return [];
      return [{ code: 'overTire', position: axle.position, loadKg, mostKg: most.loadKg }];
    }),
} as const satisfies Check;
