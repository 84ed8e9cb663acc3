export interface Typed {
  readonly supply: string;
  readonly tank: string;
  readonly out: string;
  readonly line: string;
  readonly distance: string;
  readonly speed: string;
  readonly cycles: string;
}

/** A tractor's own compressor and lines, where nobody said otherwise. Assumptions. */
export const USUAL: Typed = {
  supply: '900',
  tank: '40',
  out: '6',
  line: '4',
  distance: '400',
  speed: '20',
  cycles: '6',
};

/** The pressure that a tank is held at, kPa. Assumption. */
export const TANK_KPA = 800;

export const FIELDS: readonly (readonly [keyof Typed, string, string, number, number])[] = [
  ['distance', 'From where it may begin to the gate', 'm', 0, 100_000],
  ['speed', 'Speed there', 'km/h', 1, 80],
  ['cycles', 'Road to field and back, a day', 'times', 0, 200],
];

export const SUPPLY: readonly (readonly [keyof Typed, string, string, number, number])[] = [
  ['supply', 'Compressor delivers', 'L/min', 1, 100_000],
  ['tank', 'Tank', 'L', 1, 10_000],
  ['out', 'Each wheel lets out, at most', 'L/s', 0.1, 100],
  ['line', 'Each line lets in, at most', 'L/s', 0.1, 100],
];
