import type { AxlePlan, NamedFloor, PlanProblem, SchoolCode } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { AXLE_WORDS } from './axles';
import { axleOnGauge, mass, number, onGauge, pressure } from './format';
import { SCHOOL_WORDS } from './schools';

/** Far finer than any gauge: marks computed in two ways may differ in the last place. */
const DUST_KPA = 1e-6;

/** The lowest an axle will go to, rounded up to the gauge, and why. */
export function floorText({ floor }: AxlePlan, beadLocks: boolean): string {
  switch (floor.code) {
    case 'bead':
      return beadLocks ? 'bead locks hold the bead that far' : 'below it the bead may leave the rim';
    case 'sidewallFlex':
      return 'below it this load bends the sidewall past 35 %';
  }
}

/** Why the start is not what the school asks for; undefined where it is. */
export function heldText({ heldBy, wantedKpa }: AxlePlan, school: SchoolCode, units: Units): string | undefined {
  const { name } = SCHOOL_WORDS[school];
  if (heldBy === null || wantedKpa === null) return undefined;
  if (heldBy === 'placard')
    return `${name} asks for more than the placard: heavy for this tire, so stay at road pressure.`;
  const wanted = wantedKpa > 0 ? `for ${number('pressure', units.pressure, wantedKpa)}` : 'for no air at all';
  return `${name} asks ${wanted}; held at the floor.`;
}

/** What to say of a pressure that was set outside the plan's limits; it is kept all the same, because it is what was done. */
export function setPressureText(axle: AxlePlan, setKpa: number | undefined, units: Units): string | undefined {
  if (setKpa === undefined) return undefined;
  const { floorKpa, roadKpa } = axleOnGauge(axle, units);
  const set = onGauge(setKpa, units.pressure);
  if (set < floorKpa - DUST_KPA)
    return `Below the floor of ${pressure(floorKpa, units)}: the tire may leave its rim or overheat.`;
  if (set > roadKpa + DUST_KPA) return `Above the road pressure of ${pressure(roadKpa, units)}. Check the gauge.`;
  return undefined;
}

/** The trade's named floors, and why some hold each. */
export const FLOOR_WORDS: Record<NamedFloor, { readonly name: string; readonly why: string }> = {
  cautious: { name: 'Cautious', why: 'Never a bead lost, and never as far as it would go' },
  common: { name: 'Common', why: 'What most hold without bead locks' },
  beach: { name: 'Beach', why: 'Run by some on flat sand for years; gentle hands' },
};

/** There is no safe number, and what would make one possible. */
export function noPlanText(problem: PlanProblem, units: Units): string {
  const axle = AXLE_WORDS[problem.position];
  const placard = pressure(problem.placardKpa, units);
  switch (problem.code) {
    case 'placardCannotCarry':
      return (
        `${axle}: no safe pressure. ${mass(problem.wheelLoadKg, units)} on a wheel bends this sidewall too far even at ` +
        `the placard's ${placard}; it would take ${pressure(problem.neededKpa, units)}. ` +
        'Check the load and its unit, unload, or fit a tire that carries it.'
      );
    case 'floorAboveRoad':
      return (
        `${axle}: the lowest you accept, ${pressure(problem.floorKpa, units)}, is above the road pressure of ${placard}, ` +
        'so there is nothing to let out. One of the two is wrong: look at the placard, then at your own floor.'
      );
  }
}
