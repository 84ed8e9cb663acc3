import { drivenDiameters } from './drivenDiameters';
import type { Check, Finding, FindingCode, FindingSeverity } from './finding';
import { mixedConstruction } from './mixedConstruction';
import { noGaugeReads } from './noGaugeReads';
import { overAtPressure } from './overAtPressure';
import { overAxleRating } from './overAxleRating';
import { overTire } from './overTire';
import { partsDontSum } from './partsDontSum';
import { pressureOutsideSidewall } from './pressureOutsideSidewall';
import type { RigFacts } from './rigFacts';
import { rimWidth } from './rimWidth';
import { uneven } from './uneven';

/** Every check of a rig, in the order shown: dangers first. */
const CHECKS: readonly Check[] = [
  overTire,
  overAtPressure,
  overAxleRating,
  pressureOutsideSidewall,
  mixedConstruction,
  drivenDiameters,
  partsDontSum,
  uneven,
  rimWidth,
  noGaugeReads,
];

const SEVERITY: Record<FindingCode, FindingSeverity> = {
  overTire: overTire.severity,
  overAtPressure: overAtPressure.severity,
  belowFirstRow: overAtPressure.severity,
  tooFast: overAtPressure.severity,
  overAxleRating: overAxleRating.severity,
  pressureOutsideSidewall: pressureOutsideSidewall.severity,
  mixedConstruction: mixedConstruction.severity,
  drivenDiameters: drivenDiameters.severity,
  partsDontSum: partsDontSum.severity,
  uneven: uneven.severity,
  rimWidth: rimWidth.severity,
  noGaugeReads: noGaugeReads.severity,
};

export const FINDING_CODES = Object.keys(SEVERITY) as FindingCode[];

export const findingSeverity = (code: FindingCode): FindingSeverity => SEVERITY[code];

/** Everything wrong with a rig as it stands, dangers first. */
export const findingsOf = (facts: RigFacts): readonly Finding[] => CHECKS.flatMap(({ find }) => find(facts));
