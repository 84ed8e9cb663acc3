import type { Family } from '../families/family';
import type { AxleContext } from '../axle/axleContext';
import { commonPractice } from '../sources/source';
import { psi } from '../units/units';
import type { Limit } from './limit';

/**
 * Floors that the trade holds on four wheels without bead locks: some never go below 20 psi, most hold 12, some have
 * run 10 on the beach for years. Common practice, no source. The person holds one of them, or a figure of their own.
 */
export const NAMED_FLOORS = [
  { code: 'cautious', pressureKpa: psi(20) },
  { code: 'common', pressureKpa: psi(12) },
  { code: 'beach', pressureKpa: psi(10) },
] as const;

export type NamedFloor = (typeof NAMED_FLOORS)[number]['code'];

/** What is held where the person has chosen nothing, kPa. */
export const defaultFloorKpa = ({ bead: { heldKpa, looseKpa } }: Family, held: boolean): number =>
  held ? heldKpa : looseKpa;

/** The lowest that a family's trade ever goes to, kPa: for one bad patch. */
export const lastFloorKpa = ({ bead: { stuckHeldKpa, stuckLooseKpa } }: Family): number =>
  Math.min(stuckHeldKpa, stuckLooseKpa);

/** On a motorcycle a lock at the rim, on four wheels a ring that clamps the bead. */
const isHeld = ({ axle }: AxleContext): boolean => axle.beadHold !== 'none';

const stuckOf = ({ bead: { stuckHeldKpa, stuckLooseKpa } }: Family, held: boolean): number =>
  held ? stuckHeldKpa : stuckLooseKpa;

/** A placard of a quad or motorcycle below the trade's floor is evidence: so much of it is held there, and less when stuck. Assumption. */
const OF_PLACARD = 0.85;
const OF_PLACARD_STUCK = 0.7;
const placardShare = ({ stuck }: AxleContext): number => (stuck ? OF_PLACARD_STUCK : OF_PLACARD);

function byPlacardKpa(context: AxleContext): number | null {
  const { family, axle } = context;
  const counts = family.kind === 'quad' || family.kind === 'motorcycle';
  return counts && axle.roadKpa !== null ? placardShare(context) * axle.roadKpa : null;
}

/** What the trade of the family holds here, before anything is chosen, kPa. */
function tradeFloorKpa(context: AxleContext): number {
  const { family, stuck } = context;
  const held = isHeld(context);
  const trade = stuck ? stuckOf(family, held) : defaultFloorKpa(family, held);
  return Math.min(trade, byPlacardKpa(context) ?? trade);
}

/**
 * The lowest before a tire may leave its rim: what the trade of the family holds, lower where the bead is held, or as
 * low as the person has chosen to go. Stuck, straight and at walking pace, lower for one attempt.
 */
export const bead = {
  code: 'bead',
  withoutLoad: true,
  source: commonPractice,
  pressureKpa: (context) => {
    const { stuck, ownFloorKpa } = context;
    const trade = tradeFloorKpa(context);
    return stuck || ownFloorKpa === null ? trade : Math.min(trade, ownFloorKpa);
  },
  trace: (context, pressureKpa) => [
    {
      code: 'beadFloor',
      inputs: {
        ...(byPlacardKpa(context) !== null && { roadKpa: context.axle.roadKpa!, groundShare: placardShare(context) }),
      },
      result: { name: 'beadFloorKpa', value: pressureKpa },
      source: context.family.bead.source,
    },
  ],
} as const satisfies Limit;
