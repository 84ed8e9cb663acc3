import { pressing, type FarmAxle, type FarmSoil } from '@dunlinmoss/core';
import { bulb, type BulbBand } from '@dunlinmoss/core/bulb';

/** An axle on a field. */
export interface BulbQuestion {
  readonly axle: FarmAxle;
  readonly soil: FarmSoil;
  readonly depthsM: readonly number[];
  /** What is drawn: how much across and down, m, and from which chance on each band is. */
  readonly across: { readonly acrossM: number; readonly depthM: number; readonly from: readonly number[] };
}

export interface BulbAnswer {
  readonly bands: readonly BulbBand[];
  readonly atM: number;
  /** At each depth, 0 to 1. */
  readonly chances: readonly number[];
}

/** The bands of the bulb below the tire that presses most, and the chance at each depth. */
export function workOutBulb({ axle, soil, depthsM, across }: BulbQuestion): BulbAnswer {
  const pressed = pressing(axle, soil, depthsM);
  const atM = pressed.worstAtM;
  return {
    bands: bulb(axle, soil, pressed, { atM, ...across }),
    atM,
    chances: pressed.depths.map(({ chance }) => chance),
  };
}
