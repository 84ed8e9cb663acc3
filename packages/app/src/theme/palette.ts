/**
 * Marsh colours: warm paper and peat ink by day, deep peat by night. Moss is for what can be done, rust only for what
 * can hurt, water for the air in a tire. On `paper` and `card`, `ink` has a contrast above 7:1, the others above 4.5:1.
 */
export interface Palette {
  readonly paper: string;
  readonly card: string;
  readonly ink: string;
  readonly muted: string;
  readonly line: string;
  /** Around what can be pressed: 3:1 on `paper` and `card`. */
  readonly edge: string;
  readonly moss: string;
  readonly onMoss: string;
  readonly mossWash: string;
  readonly rust: string;
  readonly rustWash: string;
  readonly water: string;
  readonly waterDeep: string;
}

export const DAY: Palette = {
  paper: '#F4EEDF',
  card: '#FCF8EE',
  ink: '#2B211A',
  muted: '#5F5244',
  line: '#CFC2A9',
  edge: '#877A67',
  moss: '#47571F',
  onMoss: '#FBF8EC',
  mossWash: '#E3E4C8',
  rust: '#8F3313',
  rustWash: '#F5DFD2',
  water: '#A9C2C4',
  waterDeep: '#3F6469',
};

export const NIGHT: Palette = {
  paper: '#161210',
  card: '#221C18',
  ink: '#F0E7D6',
  muted: '#BCAE99',
  line: '#4A4037',
  edge: '#857767',
  moss: '#B3C67A',
  onMoss: '#1B1F0C',
  mossWash: '#333A1E',
  rust: '#F0A078',
  rustWash: '#45271A',
  water: '#40626A',
  waterDeep: '#A5C8CD',
};

export const paletteOf = (light: 'day' | 'night'): Palette => (light === 'day' ? DAY : NIGHT);
