import { assumption, exact, marked, type Source } from '../source';
import { loadIndexKg } from '../tires/loadIndex';
import { speedSymbolKmh } from '../tires/speedSymbol';
import type { Tire } from '../tires/tire';
import { FARM_SPEED_SOURCE, FARM_SPEED_TABLE, farmSpeedFactor } from './farmSpeed';

export interface SpeedFactor {
  readonly factor: number;
  readonly source: Source;
}

/**
 * The highest speed that a tire's ratings reach, km/h: a farm tire rated at 40 km/h, or taken to be, may run at 50 with
 * less on it. Undefined where the marking names no speed.
 */
export function topSpeedKmh({ service, use }: Tire): number | undefined {
  const symbol = (service?.faster ?? service)?.speedSymbol;
  if (use === 'farm' && (symbol === undefined || symbol === 'A8')) return FARM_SPEED_TABLE.at(-1)![0];
  return symbol && speedSymbolKmh(symbol);
}

/**
 * What a tire carries at a speed, as a share of its load index. A farm tire rated at 40 km/h (A8) goes by the speed
 * table; any other rating holds up to its own speed and says nothing beyond. Undefined where the speed is too high.
 *
 * @param speedKmh null asks at the speed the rating itself is for
 * @example a 480/80R50 159A8/B: 1.23 at 20 km/h, 1 at 40 and at 50
 */
export function speedFactor(tire: Tire, speedKmh: number | null, highTorque = false): SpeedFactor | undefined {
  const { service, use } = tire;
  if (speedKmh === null) return { factor: 1, source: exact };
  if (!service) {
    // A farm tire without a speed symbol is taken to be rated at 40 km/h.
    const factor = use === 'farm' ? farmSpeedFactor(speedKmh, highTorque) : 1;
    return factor === undefined ? undefined : { factor, source: assumption };
  }
  const { loadIndex, speedSymbol, faster } = service;
  if (speedKmh > speedSymbolKmh(speedSymbol) && faster && speedKmh <= speedSymbolKmh(faster.speedSymbol)) {
    return { factor: loadIndexKg(faster.loadIndex)! / loadIndexKg(loadIndex)!, source: marked };
  }
  if (use === 'farm' && speedSymbol === 'A8') {
    const factor = farmSpeedFactor(speedKmh, highTorque);
    return factor === undefined ? undefined : { factor, source: FARM_SPEED_SOURCE };
  }
  return speedKmh <= speedSymbolKmh(speedSymbol) ? { factor: 1, source: marked } : undefined;
}
