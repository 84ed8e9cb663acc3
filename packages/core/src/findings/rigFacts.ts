import type { LoadCurve } from '../capacity/loadCurve';
import type { Family } from '../families/family';
import type { Gauge } from '../gauges/gauge';
import { isTrailer, type AxlePosition, type WheelCount } from '../loads/geometry';
import type { AxleLoad } from '../loads/loadsOf';
import type { Tire } from '../tires/tire';

/** What is known of one axle today. Pressures are cold gauge pressures, corrected for the gauge. */
export interface AxleFacts {
  readonly position: AxlePosition;
  readonly wheels: WheelCount;
  readonly driven: boolean;
  readonly tire: Tire;
  /** Undefined where the load curve is unknown. */
  readonly curve: LoadCurve | undefined;
  /** Undefined where the load case does not tell. */
  readonly load: AxleLoad | undefined;
  readonly ratingKg: number | null;
  readonly roadKpa: number | null;
  readonly presentKpa: number | null;
  readonly minKpa: number | null;
  readonly maxKpa: number | null;
  readonly rimInnerMm: number | null;
}

/** All that the checks of a rig look at. */
export interface RigFacts {
  readonly family: Family;
  readonly axles: readonly AxleFacts[];
  /** Fastest on the road, km/h; null where the tires' own rating is what matters. */
  readonly roadSpeedKmh: number | null;
  /** The whole rig on the weighbridge; null where it was not weighed whole. */
  readonly wholeKg: number | null;
  /** The person's gauges, and the step that matters to them. */
  readonly gauges: readonly (Gauge & { readonly id: string })[];
  readonly gaugeStepKpa: number;
}

/** The most heavily loaded wheel of an axle, kg; null where its load is not known. */
export const heaviestKg = ({ load }: AxleFacts): number | null =>
  load === undefined ? null : Math.max(...load.wheels.map(({ loadKg }) => loadKg));

/** How the tires of an axle are used. */
export const dutyOf = (axle: Pick<AxleFacts, 'position' | 'wheels'>) => ({
  dual: axle.wheels === 4,
  rolling: isTrailer(axle.position),
});

export const isDual = ({ wheels }: AxleFacts): boolean => wheels === 4;
