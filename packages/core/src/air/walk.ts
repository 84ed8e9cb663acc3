import { isTrailer, sideOf, wheelsOf, type RigGeometry } from '../loads/geometry';
import { assumption, type Source } from '../sources/source';
import { sameWheel, type WheelRef } from './wheel';

/** How fast one walks round a rig with a tool in the hand, m/s. Assumption. */
export const WALKING_M_PER_S = 1.2;
export const WALKING_SOURCE: Source = assumption;

/** Down at a wheel and up again, s. Assumption. */
export const KNEEL_S = 4;

/** A way across where no track is known, mm. Assumption. */
const USUAL_TRACK_MM = 1600;

/** How far beyond a wheel one walks past a bumper, mm. Assumption. */
const ROUND_THE_END_MM = 900;

/**
 * The order that one walks round a rig in: down the left side from the front, back up the right. With the wheels of a
 * pair, the outer one first: the inner is reached from there.
 */
export function walkingOrder({ axles }: Pick<RigGeometry, 'axles'>): WheelRef[] {
  const all = axles.flatMap(({ position, wheels }) => wheelsOf(wheels).map((wheel) => ({ position, wheel })));
  const left = all.filter(({ wheel }) => sideOf(wheel) !== 'right');
  const right = all.filter(({ wheel }) => sideOf(wheel) === 'right');
  // On the right the outer wheel of a pair is listed last, left to right: turned round it comes first.
  return [...left, ...right.reverse()];
}

interface Spot {
  readonly alongMm: number;
  readonly acrossMm: number;
}

function spotOf({ axles, hitchMm }: RigGeometry, place: WheelRef): Spot {
  const axle = axles.find(({ position }) => position === place.position);
  if (!axle) return { alongMm: 0, acrossMm: 0 };
  const half = (axle.trackMm ?? USUAL_TRACK_MM) / 2;
  const side = sideOf(place.wheel);
  const start = isTrailer(axle.position)
    ? (hitchMm ?? Math.max(...axles.filter(({ position }) => !isTrailer(position)).map(({ behindMm }) => behindMm)))
    : 0;
  return { alongMm: start + axle.behindMm, acrossMm: side === 'middle' ? 0 : side === 'left' ? -half : half };
}

/** How long the walk from one wheel to another takes, s: along the side, or round the nearer end. Assumption. */
export function walkSeconds(rig: RigGeometry, from: WheelRef, to: WheelRef): number {
  if (sameWheel(from, to)) return 0;
  const [a, b] = [spotOf(rig, from), spotOf(rig, to)];
  const across = Math.abs(a.acrossMm - b.acrossMm);
  const along = Math.abs(a.alongMm - b.alongMm);
  const crosses = a.acrossMm * b.acrossMm < 0;
  const last = Math.max(
    ...rig.axles.map(({ position, wheels }) => spotOf(rig, { position, wheel: wheelsOf(wheels)[0]! }).alongMm),
  );
  const round = Math.min(a.alongMm + b.alongMm, 2 * last - a.alongMm - b.alongMm) + 2 * ROUND_THE_END_MM;
  return KNEEL_S + (crosses ? across + round : along + across) / 1000 / WALKING_M_PER_S;
}
