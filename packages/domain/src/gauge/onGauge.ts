import { fromCanonical, toCanonical, type AxlePlan, type PressureUnit } from '@dunlinmoss/core';

/** What a gauge of the trade can show, in its own unit; bicycle gauges show half a psi. */
const GAUGE_STEP: Record<PressureUnit, number> = { psi: 1, bar: 0.05, kPa: 5 };
const FINE_STEP: Record<PressureUnit, number> = { psi: 0.5, bar: 0.05, kPa: 5 };
/** What a person's gauge is marked in; `fine` to half a psi, as bicycle gauges are. */
export interface GaugeUnits {
  readonly pressure: PressureUnit;
  readonly fine?: boolean;
}
const stepOf = ({ pressure: unit, fine }: GaugeUnits): number => (fine ? FINE_STEP : GAUGE_STEP)[unit];

/** Rounding dust must not push a value that lies on a mark over to the next one. */
const DUST = 1e-6;

/**
 * A pressure on the nearest mark of a gauge, kPa; `up` for what must not be gone below, `down` for what must not be
 * passed.
 */
export function onGauge(
  pressureKpa: number,
  units: GaugeUnits,
  direction: 'nearest' | 'up' | 'down' = 'nearest',
): number {
  const { pressure: unit } = units;
  const step = stepOf(units);
  const steps = fromCanonical('pressure', unit, pressureKpa) / step;
  const whole =
    direction === 'up'
      ? Math.ceil(steps - DUST)
      : direction === 'down'
        ? Math.floor(steps + DUST)
        : Math.round(steps + DUST);
  return toCanonical('pressure', unit, whole * step);
}

export const gaugeStepKpa = (units: GaugeUnits): number => toCanonical('pressure', units.pressure, stepOf(units));

/**
 * An axle's pressures as a gauge shows them, kPa: the floor never rounded down, the ceiling never up, nothing past
 * either.
 */
export function axleOnGauge({ startKpa, window, floor, ceiling, roadKpa }: AxlePlan, units: GaugeUnits) {
  // Where the floor is the person's own road pressure, both are the same mark of the gauge.
  const isRoad = roadKpa !== null && Math.abs(floor.pressureKpa - roadKpa) < DUST;
  const floorKpa = onGauge(floor.pressureKpa, units, isRoad ? 'nearest' : 'up');
  const ceilingKpa = ceiling && onGauge(ceiling.pressureKpa, units, ceiling.code === 'placard' ? 'nearest' : 'down');
  const held = (kpa: number): number =>
    Math.max(Math.min(onGauge(kpa, units), ceilingKpa ?? Number.POSITIVE_INFINITY), floorKpa);
  return {
    startKpa: held(startKpa),
    lowKpa: held(window.lowKpa),
    highKpa: held(window.highKpa),
    floorKpa,
    ceilingKpa,
    roadKpa: roadKpa === null ? null : onGauge(roadKpa, units),
  };
}
