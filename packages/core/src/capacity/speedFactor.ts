import { assumption, exact, marked, type Source } from '../sources/source';
import { loadIndexKg } from '../tires/loadIndex';
import { speedSymbolKmh } from '../tires/speedSymbol';
import type { Tire, TireUse } from '../tires/tire';
import {
  A8_TOP_KMH,
  FARM_SPEED_SOURCE,
  farmSpeedFactor,
  FASTER_RATED_SOURCE,
  ROLLING_SOURCE,
  type FarmDuty,
} from './farmSpeed';
import { HEAVY_INDEX, ROAD_SPEED_SOURCE, roadSpeedFactor } from './roadSpeed';

export interface SpeedFactor {
  readonly factor: number;
  readonly source: Source;
}

/** Tires that carry more than their index while they are slower than its speed. */
const ROAD_USES: ReadonlySet<TireUse> = new Set(['passenger', 'lightTruck', 'commercial', 'truck', 'motorcycle']);

/** A farm tire without a speed symbol is taken to be rated at 40 km/h. Assumption. */
const FARM_RATED_KMH = 40;

/**
 * The highest speed that a tire's ratings reach, km/h: a farm tire rated at 40 km/h, or taken to be, may run at 50 with
 * less on it. Null where the marking names no speed.
 */
export function topSpeedKmh({ service, use }: Tire): number | null {
  const symbol = (service?.faster ?? service)?.speedSymbol;
  if (use === 'farm' && (symbol === undefined || symbol === 'A8')) return A8_TOP_KMH;
  return symbol === undefined ? null : speedSymbolKmh(symbol);
}

/**
 * What a tire carries at a speed, as a share of its load index: farm tires by the drive-wheel table of their rating,
 * those of the road by the table of the regulation; any other rating holds up to its own speed and says nothing beyond.
 * Null where the speed is too high.
 *
 * @param speedKmh null asks at the speed the rating itself is for
 * @example a 480/80R50 159A8/B: 1.23 at 20 km/h, 1 at 40 and at 50
 */
export function speedFactor(tire: Tire, speedKmh: number | null, duty: FarmDuty = {}): SpeedFactor | null {
  const { service, use } = tire;
  if (speedKmh === null) return { factor: 1, source: exact };
  if (use === 'farm') return farmFactor(tire, speedKmh, duty);
  if (!service) {
    if (!ROAD_USES.has(use)) return { factor: 1, source: assumption };
    return { factor: roadSpeedFactor(use === 'truck' ? HEAVY_INDEX : 0, null, speedKmh), source: ROAD_SPEED_SOURCE };
  }
  const ownKmh = speedSymbolKmh(service.speedSymbol);
  if (speedKmh > ownKmh) {
    const faster = service.faster ? towardsFaster(tire, speedKmh) : null;
    return faster === null ? null : { factor: faster, source: marked };
  }
  return ROAD_USES.has(use)
    ? { factor: roadSpeedFactor(service.loadIndex, ownKmh, speedKmh), source: ROAD_SPEED_SOURCE }
    : { factor: 1, source: marked };
}

function farmFactor(tire: Tire, speedKmh: number, duty: FarmDuty): SpeedFactor | null {
  const { service } = tire;
  const ratedKmh = service ? speedSymbolKmh(service.speedSymbol) : FARM_RATED_KMH;
  if (speedKmh > ratedKmh && service?.faster) {
    const factor = towardsFaster(tire, speedKmh);
    return factor === null ? null : { factor, source: marked };
  }
  const factor = farmSpeedFactor(ratedKmh, speedKmh, duty);
  if (factor === null) return null;
  const source = duty.rolling
    ? ROLLING_SOURCE
    : ratedKmh > FARM_RATED_KMH
      ? FASTER_RATED_SOURCE
      : service
        ? FARM_SPEED_SOURCE
        : assumption;
  return { factor, source };
}

/** Between a rating and the second, faster one of the same sidewall in a straight line, so that no step stands there. */
function towardsFaster({ service }: Tire, speedKmh: number): number | null {
  const { loadIndex, speedSymbol, faster } = service!;
  const [ownKmh, fasterKmh] = [speedSymbolKmh(speedSymbol), speedSymbolKmh(faster!.speedSymbol)];
  if (speedKmh > fasterKmh) return null;
  const there = loadIndexKg(faster!.loadIndex)! / loadIndexKg(loadIndex)!;
  return 1 + ((there - 1) * (speedKmh - ownKmh)) / (fasterKmh - ownKmh);
}
