import type { Family, Finding } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { axleName } from './axles';
import { length, mass, pressure, speed } from './format';

/** What is wrong, with its numbers, and what to do about it. */
export interface FindingWords {
  readonly what: string;
  readonly todo: string;
}

const AT: Record<'road' | 'present', string> = { road: 'at road pressure', present: 'at what is in it now' };

export function findingWords(finding: Finding, kind: Family['kind'], units: Units): FindingWords {
  const on = 'position' in finding ? axleName(finding.position, kind) : '';
  const wheel = kind === 'bicycle' || kind === 'motorcycle' ? '' : ' on a wheel';
  switch (finding.code) {
    case 'overTire':
      return {
        what: `${on}: ${mass(finding.loadKg, units)}${wheel}, and its tire carries ${mass(finding.mostKg, units)} at the most, at any pressure and speed.`,
        todo: 'Unload, or fit tires with a higher load index.',
      };
    case 'overAtPressure': {
      const sure = finding.extrapolated ? ' by our estimate (below the lines that are known)' : '';
      return {
        what: `${on}: ${mass(finding.loadKg, units)}${wheel}, and ${AT[finding.at]} of ${pressure(finding.pressureKpa, units)} its tire carries ${mass(finding.carriesKg, units)} on the road${sure}.`,
        todo:
          finding.neededKpa === null
            ? 'No pressure carries it at road speed. Unload, or drive slower than the road asks.'
            : `Inflate to ${pressure(onGauge(finding.neededKpa, units, 'up'), units)} before the road, or unload.`,
      };
    }
    case 'belowFirstRow':
      return {
        what: `${on}: ${pressure(finding.pressureKpa, units)} is below the first row of the data sheet, ${pressure(finding.firstKpa, units)}. Below it nothing is promised.`,
        todo: `Inflate to ${pressure(onGauge(finding.firstKpa, units, 'up'), units)} or more.`,
      };
    case 'tooFast':
      return {
        what: `${on}: the road is driven at ${speed(finding.speedKmh, units)}, and this tire is good for ${speed(finding.topKmh, units)}.`,
        todo: `Hold ${speed(finding.topKmh, units)} or less, or fit tires for more.`,
      };
    case 'overAxleRating':
      return {
        what: `${on}: ${mass(finding.loadKg, units)} stand on it, and it is rated for ${mass(finding.ratingKg, units)}.`,
        todo: 'Unload, or move load to another axle.',
      };
    case 'uneven':
      return {
        what: `${on}: ${mass(finding.leftKg, units)} left, ${mass(finding.rightKg, units)} right (${finding.measured ? 'weighed' : 'estimated'}).`,
        todo: 'Move load across. Until then the heavier side sets the pressure of both.',
      };
    case 'mixedConstruction':
      return {
        what: `${axleName(finding.radial, kind)} on radial tires, ${axleName(finding.bias, kind).toLowerCase()} on bias: they steer apart.`,
        todo: 'Fit one build all round.',
      };
    case 'drivenDiameters':
      return {
        what: `Tires of ${length(finding.frontMm, units)} and ${length(finding.rearMm, units)} on axles that are driven together: they wind up the drive.`,
        todo: 'Fit one diameter, or undo the drive of one axle on firm ground.',
      };
    case 'rimWidth':
      return {
        what: `${on}: a tire of ${length(finding.tireMm, units)} on a rim of ${length(finding.rimInnerMm, units)} inside; ${finding.lowMm.toFixed(0)} to ${finding.highMm.toFixed(0)} mm suit it.`,
        todo:
          finding.rimInnerMm < finding.lowMm
            ? 'Run it firmer, or it folds in turns. A wider rim or a narrower tire would do.'
            : 'The tread goes flat and the sidewall stands bare. A narrower rim or a wider tire would do.',
      };
    case 'pressureOutsideSidewall':
      return {
        what:
          finding.limit === 'max'
            ? `${on}: ${pressure(finding.pressureKpa, units)} ${finding.at === 'road' ? 'on the road' : 'in it now'} is above the sidewall's maximum of ${pressure(finding.limitKpa, units)}.`
            : `${on}: a road pressure of ${pressure(finding.pressureKpa, units)} is below the sidewall's minimum of ${pressure(finding.limitKpa, units)}.`,
        todo:
          finding.limit === 'max'
            ? 'The sidewall overrules: never inflate past it. Look at both numbers again.'
            : 'The sidewall overrules: inflate to its minimum. Look at both numbers again.',
      };
    case 'noGaugeReads':
      return {
        what: `${on}: none of your gauges can be trusted with ${pressure(finding.pressureKpa, units)}.`,
        todo: 'Get one whose scale has it near the middle.',
      };
    case 'partsDontSum':
      return {
        what: `The axles sum to ${mass(finding.sumKg, units)}, and the whole weighed ${mass(finding.wholeKg, units)}.`,
        todo: 'One ticket is wrong, or somebody got off in between. Weigh again.',
      };
  }
}
