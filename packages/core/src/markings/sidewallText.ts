import type { LoadLine } from '../capacity/loadCurve';
import { toCanonical, type MassUnit, type PressureUnit } from '../units/units';

/** What a whole sidewall says: the size with what follows it, its load lines, and the most that it allows. */
export interface SidewallText {
  /** The text without the lines that were taken from it. */
  readonly marking: string;
  readonly lines: readonly LoadLine[];
  readonly maxKpa: number | null;
}

const NUMBER = String.raw`(\d{1,5}(?:[.,]\d{1,3})?)`;
const MASS = String.raw`(LBS?|KG)\.?`;
const PRESSURE = String.raw`(PSI|KPA|BAR)`;
/** Many sidewalls say a thing twice: `500 KG (1100 LBS) AT 140 KPA (20 PSI)`. The first counts. */
const AGAIN = String.raw`(?:\s*\([^)]*\))?`;

const LOAD_LINE = new RegExp(
  String.raw`MAX(?:IMUM)?\.?\s*LOAD\s*:?\s*${NUMBER}\s*${MASS}${AGAIN}\s*(?:AT|@)\s*${NUMBER}\s*${PRESSURE}${AGAIN}(?:\s*COLD)?`,
  'g',
);
const MOST = new RegExp(
  String.raw`(?:(?:INFLATE\s*TO|MAX(?:IMUM)?\.?)\s*(?:INFLATION\s*|PRESSURE\s*)*:?)\s*${NUMBER}\s*${PRESSURE}${AGAIN}(?:\s*MAX(?:IMUM)?\.?)?`,
  'g',
);

const MASS_UNITS: Readonly<Record<string, MassUnit>> = { LB: 'lb', LBS: 'lb', KG: 'kg' };
const PRESSURE_UNITS: Readonly<Record<string, PressureUnit>> = { PSI: 'psi', KPA: 'kPa', BAR: 'bar' };

/** A comma before three digits parts thousands: `1,100 LBS`. */
const read = (text: string): number =>
  Number(/^\d{1,2},\d{3}$/.test(text) ? text.replace(',', '') : text.replace(',', '.'));

/**
 * Reads a sidewall as it is moulded: the size, `8 PLY`, `4 STARS`, and lines such as `MAX LOAD 1100 LBS AT 20 PSI`.
 *
 * @example readSidewallText('AT25x8-12 MAX LOAD 1100 LBS AT 20 PSI 8 PLY') // marking 'AT25X8-12 8PR', one line of 499 kg at 138 kPa
 */
export function readSidewallText(text: string): SidewallText {
  const lines: LoadLine[] = [];
  let maxKpa: number | null = null;
  const marking = text
    .toUpperCase()
    .replace(LOAD_LINE, (_, load: string, mass: string, at: string, pressure: string) => {
      lines.push({
        loadKg: toCanonical('mass', MASS_UNITS[mass]!, read(load)),
        pressureKpa: toCanonical('pressure', PRESSURE_UNITS[pressure]!, read(at)),
      });
      return ' ';
    })
    .replace(MOST, (_, most: string, pressure: string) => {
      maxKpa = toCanonical('pressure', PRESSURE_UNITS[pressure]!, read(most));
      return ' ';
    })
    .replace(/(\d{1,2})\s*-?\s*PLY(?:\s*RATING|\s*RATED)?/g, '$1PR')
    .replace(/([1-4])\s*STARS?/g, (_, stars: string) => '*'.repeat(Number(stars)))
    .replace(/[;,]\s*(?=\s|$)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return { marking, lines, maxKpa };
}
