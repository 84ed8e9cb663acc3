import type { AxlePlan, PlanProblem } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { mass, number, pressure } from './format';
import { AXLE_WORDS } from './outing';

/** The lowest an axle will go to, rounded up to the gauge, and why. */
export function floorText({ floor }: AxlePlan, beadLocks: boolean): string {
  switch (floor.code) {
    case 'bead':
      return beadLocks ? 'bead locks hold the bead that far' : 'below it the bead may leave the rim';
    case 'sidewallFlex':
      return 'below it this load bends the sidewall past 35 %';
  }
}

/** Why the start is not what equal deflection asks for; undefined where it is. */
export function heldText({ heldBy, wantedKpa }: AxlePlan, units: Units): string | undefined {
  if (heldBy === null || wantedKpa === null) return undefined;
  if (heldBy === 'placard')
    return 'Equal deflection asks for more than the placard: heavy for this tire, so stay at road pressure.';
  const wanted = wantedKpa > 0 ? `for ${number('pressure', units.pressure, wantedKpa)}` : 'for no air at all';
  return `Equal deflection asks ${wanted}; held at the floor.`;
}

/** There is no safe number, and what would make one possible. */
export function noPlanText({ position, wheelLoadKg, placardKpa, neededKpa }: PlanProblem, units: Units): string {
  return (
    `${AXLE_WORDS[position]}: no safe pressure. ${mass(wheelLoadKg, units)} on a wheel bends this sidewall too far even at ` +
    `the placard's ${pressure(placardKpa, units)}; it would take ${pressure(neededKpa, units)}. ` +
    'Check the load and its unit, unload, or fit a tire that carries it.'
  );
}
