import type { Capacity, CurveProblem, LoadCurve, Result } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { mass, pressure, speed } from './format';

const FROM: Record<LoadCurve['from'], string> = {
  rows: 'its data sheet',
  lines: 'the lines on its sidewall',
  index: 'its load index',
  road: 'the pressure it is driven with on the road',
};

/** What a tire carries at road pressure, by what evidence; or what would tell. */
export function capacityText(
  curve: Result<LoadCurve, CurveProblem>,
  carries: Capacity | undefined,
  speedKmh: number | null,
  units: Units,
): string {
  if (!curve.ok) {
    if (curve.problem.code === 'nothingKnown') {
      return 'What it carries is not known: type a “max load at pressure” line of the sidewall.';
    }
    return curve.problem.code === 'pressureMissing'
      ? 'Its load index says how much it carries, not at what pressure: type rows of its data sheet, or the pressure beside the load on its sidewall.'
      : `Its lines contradict each other: ${pressure(curve.problem.firmer.pressureKpa, units)} should carry more than ${pressure(curve.problem.softer.pressureKpa, units)}. Check both.`;
  }
  if (!carries) return 'What it carries on the road waits for the road pressure.';
  const by = FROM[curve.value.from];
  if (!carries.ok) {
    return carries.code === 'tooFast'
      ? `Good for ${speed(carries.topKmh, units)} by ${by}: not for this road speed.`
      : `Its data sheet begins at ${pressure(carries.firstKpa, units)}: below that nothing is promised.`;
  }
  const at = speedKmh === null ? '' : ` at ${speed(speedKmh, units)}`;
  const how = carries.extrapolated
    ? curve.value.from === 'index'
      ? `estimated from ${by}, taken to hold at ${pressure(curve.value.points[0].pressureKpa, units)}`
      : `estimated, below ${by}`
    : `by ${by}`;
  return `Carries ${mass(carries.loadKg, units)} a wheel there${at}, ${how}.`;
}
