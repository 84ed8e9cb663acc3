import type { CeilingCode, FloorCode, GroundCode, Kind, LegAxle } from '@dunlinmoss/core';
import { gaugeStepKpa, onGauge } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { percent, pressure } from './format';
import { groundName } from './grounds';
import { LIMIT_WORDS } from './limits';

/** What one pressure for the day means on one leg: `15 psi of its own; 8 psi above, the print 21 % shorter`. */
export function legText({ aboveOwnKpa, atOwn, atOne }: LegAxle, ownOnGaugeKpa: number, units: Units): string {
  const own = `its own is ${pressure(ownOnGaugeKpa, units)}`;
  if (!atOne) return own;
  const apart = Math.abs(aboveOwnKpa);
  if (apart < gaugeStepKpa(units) / 2) return `${own}: nothing lost`;
  const longer = atOne.lengthMm / atOwn.lengthMm - 1;
  const harder = atOne.groundPressureKpa / atOwn.groundPressureKpa - 1;
  const print = `the print ${percent(Math.abs(longer))} ${longer < 0 ? 'shorter' : 'longer'}`;
  const ground = `${percent(Math.abs(harder))} ${harder > 0 ? 'harder' : 'lighter'} on the ground`;
  return `${own}; one pressure is ${pressure(apart, units)} ${aboveOwnKpa > 0 ? 'above' : 'below'} it, ${print}, ${ground}`;
}

interface OnLeg<Code> {
  readonly code: Code;
  readonly pressureKpa: number;
  readonly ground: GroundCode;
}

/** What holds the one pressure where it is, or why there is none. */
export function heldAtText(
  axle: string,
  lowest: OnLeg<FloorCode | 'placardRules'>,
  highest: OnLeg<CeilingCode> | null,
  units: Units,
): string {
  const least = pressure(onGauge(lowest.pressureKpa, units, 'up'), units);
  const why = lowest.code === 'placardRules' ? 'its road pressure rules' : LIMIT_WORDS[lowest.code].name;
  const floor = `${groundName(lowest.ground).toLowerCase()} takes ${least} at least (${why})`;
  if (!highest) return `${axle}: ${floor}, so that is what it is all day.`;
  return `${axle}: ${floor}, and ${groundName(highest.ground).toLowerCase()} ${pressure(onGauge(highest.pressureKpa, units, 'down'), units)} at the most (${LIMIT_WORDS[highest.code].name}).`;
}

/** What stopping to change takes. */
export function stopsText(changes: number, minutes: number | undefined, kind: Kind): string {
  if (changes === 0) return 'The parts ask for about the same: there is nothing to change for.';
  const stops = changes === 1 ? 'One stop' : `${changes} stops`;
  if (minutes === 0)
    return `${stops}, and central inflation makes them while you drive: each part has its own pressure.`;
  const time = minutes === undefined ? '' : `, about ${Math.round(changes * minutes)} min in all`;
  const what =
    kind === 'farm'
      ? 'Without central inflation the heaviest load at the highest speed rules the whole day.'
      : 'Then every part has its own pressure.';
  return `${stops} to change${time}. ${what}`;
}
