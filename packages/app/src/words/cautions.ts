import { familyOf, type CautionCode, type GroundPlan, STUCK } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS } from './axles';
import { length, speed, speedNumber } from './format';

/** The speed guide in words, or undefined where law, tire and rider set it. */
export function speedGuide({ ground, speedGuideKmh }: GroundPlan, units: Pick<Units, 'speed'>): string | undefined {
  if (!speedGuideKmh) return undefined;
  if (ground === STUCK) return 'walking pace';
  const { low, high } = speedGuideKmh;
  return low === high ? speed(high, units) : `${speedNumber(low, units)}–${speed(high, units)}`;
}

/** What a soft tire can do, by what it is on. */
const GENTLE: Partial<Record<ReturnType<typeof familyOf>['kind'], string>> = {
  motorcycle: 'No hard corners, no hard braking: a soft tire moves under you and can leave its rim.',
};

/** A caution as a person reads it: what to do first, then why. */
export function cautionText(code: CautionCode, plan: GroundPlan, units: Units): string {
  switch (code) {
    case 'stuckOnly':
      return 'One attempt, straight ahead, at walking pace. Then straight back up to what the ground asks for.';
    case 'fasterThanGuide':
      return `Faster than the ${plan.groundGuideKmh === null ? 'guide' : speed(plan.groundGuideKmh, units)} that people drive on this ground. The floor has risen with it.`;
    case 'chassisAground':
      return 'If the underside already rests on the ground, letting out air lowers it further. Dig and use boards first.';
    case 'recoveryGear':
      return 'Recovery gear kills when it is used wrong. Nobody in line with a rope; never go under a vehicle on a jack.';
    case 'speedAndHeat':
      return `Hold ${speedGuide(plan, units) ?? 'the posted speed'} or less. Soft tires at speed overheat and fail.`;
    case 'gentleTurns':
      return (
        GENTLE[familyOf(plan.family).kind] ??
        'No sharp turns, no hard braking: a soft tire can leave its rim, and it steers and stops worse.'
      );
    case 'airBeforePavement':
      return 'Air back to road pressure before pavement.';
    case 'brakingOnSnow':
      return 'Braking on snow takes longer, soft tires or not. On ice letting air out is no remedy.';
    case 'mixedTires':
      return 'Radial and bias tires on one vehicle: they steer apart. Have it put right before you drive.';
    case 'notForHighway':
      return 'Its sidewall says NHS: not for highway service. No speed on pavement is promised: slow and short, or on a trailer.';
    case 'noAirNear':
      return 'Without air of your own you will drive pavement on this: slow, short, straight.';
    case 'valveCreep':
      return 'A tube without a rim lock can creep and tear out its valve: leave the valve nut loose, and stop when the stem leans.';
    case 'foldsInTurn':
      return 'What climbs best folds in a fast turn: air back into the rear before the descent.';
    case 'drivingOnSand':
      return 'Traction control off, straight lines, wide gentle turns, roll to a stop.';
    case 'hotSandIsSofter':
      return 'Hot sand is softer than the same sand in the morning. A trailer makes it worse.';
    case 'trailerOnSand':
      return 'Lower the trailer’s tires too, keep it in your tracks, and turn wider than without it.';
    case 'sidewallOnRock':
      return 'A soft sidewall bulges out to where the stones are. Place each wheel; keep off edges.';
    case 'deepMudWithBottom':
      return 'In deep mud that has a bottom, a tall narrow tire may do better left firm, to cut down to it.';
    case 'dampersStillCount':
      return 'This spares tire, vehicle and track. It does not stand in for worn dampers.';
    case 'judgeByWorstHit':
      return 'Judge by the worst hit of the ride, not the average: if the rim was struck, up at once.';
    case 'tubePinch':
      return 'A tube is pinched before the rim is struck: press the tire onto an edge, it must not touch.';
    case 'lookAtTread':
      return 'Look at the tread where it stands: flat across is right, crowned is too hard.';
    case 'pushesWide':
      return 'When the front pushes wide on snow, lift off; steering harder only plows.';
    case 'plowLoad':
      return 'The plow’s weight is on the front: choose the load case with it, and mind the front tires first.';
    case 'firstPass':
      return 'Most of the damage to soil is done in the first pass: keep to the same tracks, or wait a day.';
    case 'seedbedRuts':
      return 'A seedbed keeps every rut: turn on the headland, stay out of where the rows will be.';
    case 'sustainedTorque':
      return 'This counts on slow and easy work. Pulling hard for long or uphill, say so above: the tire then needs more.';
    case 'loadUnknown':
      return 'What these tires carry is not known. Enter the load index or the sidewall’s load lines, and the load counts too.';
    case 'ratedAtUnknown':
      return 'The load index is known, not the pressure it is for. Enter a load line of the sidewall or rows of its data sheet, and the load counts too.';
    case 'sidewallUnread':
      return 'Read the sidewall’s maximum, and the rim’s, before you go up: it is not entered here.';
    case 'stiffCarcass':
      return 'This carcass is stiff for its load: less air brings little more contact. Expect less than the table promises.';
    case 'clearanceLost':
      return `You stand ${plan.axles
        .flatMap(({ clearanceLostMm, position }) =>
          clearanceLostMm === null
            ? []
            : [
                `${length(clearanceLostMm, units)} lower ${position === 'front' ? 'in front' : `at the ${AXLE_WORDS[position].toLowerCase()}`}`,
              ],
        )
        .join(' and ')}.`;
    case 'pressureMonitors':
      return 'Tire-pressure monitors will warn: set their alarm to the new pressure and allow them some minutes.';
    case 'lookEveryRide':
      return 'Tires lose air by themselves: look every ride when it matters, every four weeks otherwise.';
    case 'overruled':
      return 'The sidewall, the placard, local law and a qualified tire fitter overrule these numbers.';
  }
}
