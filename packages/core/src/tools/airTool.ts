import type { Pump } from './pump';

/** Something that lets air out. Figures are assumptions until the person has timed their own. */
export interface OutTool {
  readonly code: string;
  readonly way: 'out';
  /** Liters of the tire's air a second while choked, for each wheel it is on. */
  readonly conductanceLPerS: number;
  /** On and off again, for each wheel, s. */
  readonly setUpS: number;
  /** Stopping, reading, going on, near the target: how many times, and how long each takes, s. */
  readonly checks: number;
  readonly checkS: number;
  /** Most wheels it can be on at once. */
  readonly wheelsAtOnce: number;
  /** Stops by itself: one can walk on to the next wheel. */
  readonly stopsItself: boolean;
  /** Over the last stretch above the target it closes bit by bit, kPa; null where it is open to the end. */
  readonly closingKpa: number | null;
  /** Joins the wheels it is on, so that they come out level. */
  readonly levels: boolean;
}

/** Something that puts air in. Figures are assumptions until label or clock say better. */
export interface InTool {
  readonly code: string;
  readonly way: 'in';
  readonly pump: Pump;
  readonly setUpS: number;
  readonly wheelsAtOnce: number;
}

export type AirTool = OutTool | InTool;
