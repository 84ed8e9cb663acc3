import type { SoilContact } from './onSoil';
import { published, type Source } from '../sources/source';

export const STRESS_SOURCE: Source = published('Fröhlich 1934; Söhne 1953');

/** Under the middle of an even circle: p·(1 − cos^ν β), tan β = a/z. Published: Fröhlich 1934; exact. */
export const stressUnderCircle = (
  pressureKpa: number,
  radiusM: number,
  depthM: number,
  concentration: number,
): number => pressureKpa * (1 - (depthM / Math.hypot(depthM, radiusM)) ** concentration);

/** A load that stands for a piece of the contact, kN, from its middle: across x, along y, m. */
interface PointLoad {
  readonly x: number;
  readonly y: number;
  readonly kn: number;
}

/** Rings and spokes into which a contact is cut: with so many the stress at its own width's depth is right to 1 %. */
const RINGS = 8;
const SPOKES = 16;

/**
 * The contact cut into point loads that add up to it. Over the ellipse p(ρ) = peak·(1 − ρ^m), m = 2/(peak/mean − 1): nearly
 * even for a peak just above the mean, a hump for twice the mean.
 */
function pointLoads(
  { loadKn, lengthM, widthM, peakOverMean }: SoilContact,
  rings = RINGS,
  spokes = SPOKES,
): PointLoad[] {
  const m = 2 / (peakOverMean - 1);
  // Share of the load within ρ: the integral of 2ρ·peak·(1 − ρ^m) over the mean.
  const within = (rho: number): number => peakOverMean * (rho ** 2 - (2 * rho ** (m + 2)) / (m + 2));
  return Array.from({ length: rings }, (_, ring) => {
    const [inner, outer] = [ring / rings, (ring + 1) / rings];
    const share = within(outer) - within(inner);
    const rho = (2 / 3) * ((outer ** 3 - inner ** 3) / (outer ** 2 - inner ** 2));
    return Array.from({ length: spokes }, (_spoke, spoke): PointLoad => {
      const angle = ((spoke + 0.5) / spokes) * 2 * Math.PI;
      return {
        x: (rho * Math.cos(angle) * widthM) / 2,
        y: (rho * Math.sin(angle) * lengthM) / 2,
        kn: (loadKn * share) / spokes,
      };
    });
  }).flat();
}

/** Nothing is told of the stress this near to the surface, m: a piece of the contact is a point, and a point has no width. */
export const SHALLOWEST_M = 0.05;

/** Straight-down stress of one contact, kPa, at a place from its middle: across x, along y, down z, m. */
export type StressAt = (x: number, y: number, z: number) => number;

/**
 * Straight-down stress below a contact, by adding up Q·ν/(2π·z²)·cos^(ν+2) θ of its pieces. Published: Fröhlich 1934;
 * Söhne 1953 (from memory). Below `SHALLOWEST_M` of the surface that of `SHALLOWEST_M`.
 */
export function stressBelow(contact: SoilContact, concentration: number): StressAt {
  const loads = pointLoads(contact);
  // A power by way of its logarithm takes a third of the time here.
  const power = concentration / 2 + 1;
  return (x, y, depth) => {
    const z2 = Math.max(depth, SHALLOWEST_M) ** 2;
    let sum = 0;
    for (const load of loads) {
      const dx = x - load.x;
      const dy = y - load.y;
      const r2 = dx * dx + dy * dy + z2;
      sum += load.kn * Math.exp(power * Math.log(z2 / r2));
    }
    return (sum * concentration) / (2 * Math.PI * z2);
  };
}

/** A contact that stands somewhere: across x, along y, m. */
export interface PlacedContact {
  readonly contact: SoilContact;
  readonly x: number;
  readonly y: number;
}

/** The same below several contacts, duals and following axles among them: their stresses add up. Exact. */
export function stressBelowAll(placed: readonly PlacedContact[], concentration: number): StressAt {
  const each = placed.map(({ contact, x, y }) => ({ x, y, below: stressBelow(contact, concentration) }));
  return (x, y, z) => each.reduce((sum, at) => sum + at.below(x - at.x, y - at.y, z), 0);
}

/** A drawing needs no more pieces. */
const DRAWN = { rings: 6, spokes: 16 };
const POWERS = 512;

/** Stress below one contact on an upright sheet across its middle: for drawing, where it is asked for many times over. */
export type StressSheet = (xM: number, row: number) => number;

/**
 * The same as `stressBelow` at y = 0, worked out once on a grid of one half and read off it by straight lines in between.
 *
 * @param acrossM how far it reaches to one side; nothing is told beyond
 * @param depthsM a row each
 * @param columns of the grid, 2 or more
 */
export function stressSheet(
  contact: SoilContact,
  concentration: number,
  acrossM: number,
  depthsM: readonly number[],
  columns: number,
): StressSheet {
  // One half along stands for both.
  const loads = pointLoads(contact, DRAWN.rings, DRAWN.spokes).filter(({ y }) => y > 0);
  const power = concentration / 2 + 1;
  // A power is asked for some ten thousand times: read off a table it takes a tenth of the time.
  const powers = Float64Array.from({ length: POWERS + 2 }, (_, index) => (index / POWERS) ** power);
  const table = depthsM.map((depth) => {
    const z2 = Math.max(depth, SHALLOWEST_M) ** 2;
    return Float64Array.from({ length: columns }, (_, column) => {
      const x = (column / (columns - 1)) * acrossM;
      let sum = 0;
      for (const load of loads) {
        const dx = x - load.x;
        const at = (z2 / (dx * dx + load.y * load.y + z2)) * POWERS;
        const below = at | 0;
        sum += load.kn * (powers[below]! + (at - below) * (powers[below + 1]! - powers[below]!));
      }
      return (sum * concentration) / (Math.PI * z2);
    });
  });
  return (xM, row) => {
    const at = (Math.abs(xM) / acrossM) * (columns - 1);
    const column = Math.floor(at);
    if (column >= columns - 1) return 0;
    const values = table[row]!;
    return values[column]! + (at - column) * (values[column + 1]! - values[column]!);
  };
}
