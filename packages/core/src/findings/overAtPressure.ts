import { capacity, isAssumed, pressureForLoadKpa } from '../capacity/loadCurve';
import { marked } from '../sources/source';
import type { Check, Finding } from './finding';
import { overTire } from './overTire';
import { dutyOf, heaviestKg, type AxleFacts, type RigFacts } from './rigFacts';

/** A wheel is heavier than its tire carries on the road, at road pressure or at what is in it now. */
export const overAtPressure = {
  severity: 'danger',
  source: marked,
  find: (facts) => {
    const already = new Set(overTire.find(facts).map(({ position }) => position));
    // What no pressure carries is said once.
    return facts.axles.filter(({ position }) => !already.has(position)).flatMap((axle) => findingsOf(axle, facts));
  },
} as const satisfies Check;

function findingsOf(axle: AxleFacts, { roadSpeedKmh }: RigFacts): Finding[] {
  const { curve, position } = axle;
  const loadKg = heaviestKg(axle);
  // A pressure that was merely assumed to go with the index accuses nobody.
  if (loadKg === null || !curve || isAssumed(curve)) return [];
  const conditions = { speedKmh: roadSpeedKmh, ...dutyOf(axle) };
  const findings: Finding[] = [];
  for (const [at, pressureKpa] of [
    ['road', axle.roadKpa],
    ['present', axle.presentKpa],
  ] as const) {
    if (pressureKpa === null) continue;
    const carried = capacity(curve, { ...conditions, pressureKpa });
    if (!carried.ok) {
      if (carried.code === 'tooFast') {
        findings.push({ code: 'tooFast', position, speedKmh: roadSpeedKmh!, topKmh: carried.topKmh });
        break;
      }
      findings.push({ code: 'belowFirstRow', position, at, pressureKpa, firstKpa: carried.firstKpa });
    } else if (loadKg > carried.loadKg) {
      findings.push({
        code: 'overAtPressure',
        position,
        at,
        pressureKpa,
        loadKg,
        carriesKg: carried.loadKg,
        extrapolated: carried.extrapolated,
        neededKpa: pressureForLoadKpa(curve, loadKg, conditions) ?? null,
      });
    }
  }
  return findings;
}
