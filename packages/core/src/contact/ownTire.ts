/** What a rig's own tests make of a value, as times the one that holds without any, with nine chances in ten between low and high. */
export interface OwnFactor {
  readonly factor: number;
  readonly low: number;
  readonly high: number;
  /** How many readings speak for it. */
  readonly readings: number;
}

/** What a tire's own tests gave, one factor each; 1 is the handbook's value. */
export interface OwnTire {
  /** Contact length over chord. */
  readonly contact: OwnFactor;
  /** Tread width over section width. */
  readonly width: OwnFactor;
  /** Stiffness of the carcass; 1 on a bicycle, whose casing is in its drop. */
  readonly carcass: OwnFactor;
  /** Drop of a bicycle tire; 1 elsewhere. */
  readonly drop: OwnFactor;
}
