import { contours } from 'd3-contour';

import { concentrationAt } from './onSoil';
import { chanceOf, strengthAt, wetnessUnder, type FarmAxle, type FarmSoil, type Pressing } from './pressing';
import { stressSheet } from './stress';

/** Where soil gives way with at least some chance, on an upright sheet across an axle. */
export interface BulbBand {
  readonly chance: number;
  /** Closed rings, m: across from the middle of the axle, and down. Holes are rings of their own. */
  readonly rings: readonly (readonly (readonly [acrossM: number, depthM: number])[])[];
}

const COLUMNS = 29;
const ROWS = 18;

/**
 * The bulb: bands of chance by depth below a tire of an axle, in m, for drawing.
 *
 * @param atM across, the middle of what is drawn; @param acrossM how much of it; @param depthM how deep
 * @param from each band holds what gives way with at least this chance, 0 to 1
 */
export function bulb(
  axle: FarmAxle,
  soil: FarmSoil,
  { contact }: Pressing,
  { atM, acrossM, depthM, from }: { atM: number; acrossM: number; depthM: number; from: readonly number[] },
): BulbBand[] {
  const depths = Array.from({ length: ROWS }, (_, row) => ((row + 0.5) / ROWS) * depthM);
  // What stands farther off adds nothing that could be seen.
  const near = axle.tiresAtM.filter((x) => Math.abs(x - atM) < 1.5 * acrossM);
  const reachM = acrossM / 2 + Math.max(0, ...near.map((x) => Math.abs(x - atM)));
  const columns = Math.ceil((reachM / acrossM) * COLUMNS) + 2;
  const sheet = stressSheet(contact, concentrationAt(wetnessUnder(soil)), reachM * 1.02, depths, columns);
  const chances = depths.flatMap((depth, row) => {
    const strengthKpa = strengthAt(soil, depth);
    return Array.from({ length: COLUMNS }, (_, column) => {
      const x = atM + ((column + 0.5) / COLUMNS - 0.5) * acrossM;
      const stressKpa = near.reduce((sum, tireM) => sum + sheet(x - tireM, row), 0);
      return chanceOf(Math.max(stressKpa, 1e-6), strengthKpa);
    });
  });
  return contours()
    .size([COLUMNS, ROWS])
    .thresholds([...from])(chances)
    .map(({ value, coordinates }) => ({
      chance: value,
      rings: coordinates.flatMap((polygon) =>
        polygon.map((ring) =>
          ring.map(([x, y]) => [atM + (x! / COLUMNS - 0.5) * acrossM, (y! / ROWS) * depthM] as const),
        ),
      ),
    }));
}
