import { pressureForShareKpa } from '../contact/deflection';
import { published } from '../source';
import type { Floor } from './limit';

/**
 * The most a sidewall may bend, as deflection over section height: 35 %, more only in an emergency.
 * Published: US Forest Service central-tire-inflation reports (from memory).
 */
export const FLEX_SHARE_LIMIT = 0.35;

/** The emergency itself. Assumption: just past where the reference rig stands at the trade's last step, 6 psi. */
export const FLEX_SHARE_STUCK = 0.45;

/** The floor that rises with load: a heavy wheel bends its sidewall too far long before the bead lets go. */
export const sidewallFlex = {
  code: 'sidewallFlex',
  source: published('US Forest Service, central tire inflation reports'),
  pressureKpa: ({ build, wheelLoadKg, stuck }) =>
    pressureForShareKpa(build, wheelLoadKg, stuck ? FLEX_SHARE_STUCK : FLEX_SHARE_LIMIT),
} as const satisfies Floor;
