import type { CautionCode, GroundPlan } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { AXLE_WORDS } from './axles';
import { length, speed } from './format';

/** The speed guide in words, or undefined on the road, where law and tire set it. */
export function speedGuide({ ground, speedGuideKmh }: GroundPlan): string | undefined {
  if (!speedGuideKmh) return undefined;
  if (ground === 'stuck') return 'walking pace';
  const { low, high } = speedGuideKmh;
  return low === high ? speed(high) : `${low}–${speed(high)}`;
}

/** A caution as a person reads it: what to do first, then why. */
export function cautionText(code: CautionCode, plan: GroundPlan, units: Units): string {
  switch (code) {
    case 'overLoadIndex':
      return 'A wheel carries more than its tire is marked for. Unload, or fit a tire with a higher load index.';
    case 'stuckOnly':
      return 'One attempt, straight ahead, at walking pace. Then straight back up to the window of the ground.';
    case 'chassisAground':
      return 'If the underside already rests on the ground, letting out air lowers it further. Dig and use boards first.';
    case 'recoveryGear':
      return 'Recovery gear kills when it is used wrong. Nobody in line with a rope; never go under a vehicle on a jack.';
    case 'speedAndHeat':
      return `Hold ${speedGuide(plan) ?? 'the posted speed'} or less. Soft tires at speed overheat and fail.`;
    case 'gentleTurns':
      return 'No sharp turns, no hard braking: a soft tire can leave its rim, and it steers and stops worse.';
    case 'airBeforePavement':
      return 'Air back to road pressure before pavement.';
    case 'drivingOnSand':
      return 'Traction control off, straight lines, wide gentle turns, roll to a stop.';
    case 'hotSandIsSofter':
      return 'Hot sand is softer than the same sand in the morning. A trailer makes it worse.';
    case 'sidewallOnRock':
      return 'A soft sidewall bulges out to where the stones are. Place each wheel; keep off edges.';
    case 'deepMudWithBottom':
      return 'In deep mud that has a bottom, a tall narrow tire may do better left firm, to cut down to it.';
    case 'dampersStillCount':
      return 'This spares tire, vehicle and track. It does not stand in for worn dampers.';
    case 'stiffCarcass':
      return 'This carcass is stiff for its load: less air brings little more contact. Expect less than the table promises.';
    case 'clearanceLost':
      return `You stand ${plan.axles.map((axle) => `${length(axle.clearanceLostMm, units)} lower ${axle.position === 'front' ? 'in front' : `at the ${AXLE_WORDS[axle.position].toLowerCase()}`}`).join(' and ')}.`;
    case 'pressureMonitors':
      return 'Tire-pressure monitors will warn: set their alarm to the new pressure and allow them some minutes.';
    case 'overruled':
      return 'The sidewall, the placard, local law and a qualified tire fitter overrule these numbers.';
  }
}
