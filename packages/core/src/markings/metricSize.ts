/**
 * The size itself as three notations write it: width in mm, aspect in percent, construction, rim in inches. Which of
 * the three a bare size belongs to tells its width: road tires come in widths that end in 5, motorcycle and farm tires
 * in widths that end in 0, and no motorcycle tire with a bare size is wider than 200 mm. Common practice, no source.
 */
export const METRIC_SIZE = String.raw`(?<width>\d{1,4})\s*/\s*(?<aspect>\d{1,3})\s*Z?(?<construction>[RDB-])\s*(?<rim>\d{1,2}(?:\.\d)?)`;

const WIDEST_MOTORCYCLE_MM = 200;

export type MetricKind = 'road' | 'motorcycle' | 'farm';

/** Which kind of tire a bare size is. */
export function metricKind(width: string, rim: string, speedSymbol: string | undefined): MetricKind {
  // A1 to A8 stand on farm tires alone.
  if (speedSymbol !== undefined && /^A\d$/.test(speedSymbol)) return 'farm';
  if (!width.endsWith('0')) return 'road';
  return Number(width) <= WIDEST_MOTORCYCLE_MM && !rim.includes('.') ? 'motorcycle' : 'farm';
}
