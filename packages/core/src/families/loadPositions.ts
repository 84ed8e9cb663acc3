interface LoadPosition {
  readonly body: 'vehicle' | 'trailer';
  /** From the front axle, or the coupling, as a share of the way to the last axle. */
  readonly share: number;
}

const vehicle = (share: number): LoadPosition => ({ body: 'vehicle', share });
const trailer = (share: number): LoadPosition => ({ body: 'trailer', share });

/** Where things are commonly put. Assumptions: a person replaces them by what their tape says. */
export const LOAD_POSITIONS = {
  frontSeats: vehicle(0.5),
  rearSeats: vehicle(0.8),
  roof: vehicle(0.6),
  tray: vehicle(0.97),
  aheadOfFront: vehicle(-0.2),
  behindRear: vehicle(1.3),
  driver: vehicle(0.55),
  frontRack: vehicle(-0.05),
  rearRack: vehicle(1.1),
  plow: vehicle(-0.6),
  rider: vehicle(0.65),
  passenger: vehicle(0.9),
  tankBag: vehicle(0.45),
  panniers: vehicle(0.95),
  handlebar: vehicle(0.05),
  frame: vehicle(0.45),
  saddleBag: vehicle(0.85),
  cab: vehicle(0.75),
  frontWeights: vehicle(-0.4),
  frontLoader: vehicle(-0.6),
  rearLinkage: vehicle(1.35),
  rearWeights: vehicle(1),
  sprayTank: vehicle(0.5),
  boom: vehicle(1.3),
  trailerFront: trailer(0.7),
  trailerMiddle: trailer(0.95),
  trailerBack: trailer(1.25),
} as const satisfies Record<string, LoadPosition>;

export type LoadPositionCode = keyof typeof LOAD_POSITIONS;
export const loadPositionOf = (code: LoadPositionCode): LoadPosition => LOAD_POSITIONS[code];
