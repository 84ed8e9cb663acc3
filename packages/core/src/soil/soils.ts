/** What a soil answers a plate and a shear with. Units of the book: kN and m. */
export interface Soil {
  readonly code: string;
  /** Exponent of sinkage. */
  readonly n: number;
  /** Cohesive modulus, kN/m^(n+1). */
  readonly kc: number;
  /** Frictional modulus, kN/m^(n+2). */
  readonly kPhi: number;
  readonly cohesionKpa: number;
  readonly frictionDeg: number;
  /** Its figures know no bottom: the depth of the layer has to be given. */
  readonly bottomless?: true;
}

/** Published: Wong, Theory of Ground Vehicles (from memory). */
export const SOILS = [
  { code: 'drySand', n: 1.1, kc: 0.99, kPhi: 1528, cohesionKpa: 1.04, frictionDeg: 28 },
  { code: 'sandyLoam', n: 0.7, kc: 5.27, kPhi: 1515, cohesionKpa: 1.72, frictionDeg: 29 },
  { code: 'clayeySoil', n: 0.5, kc: 13.19, kPhi: 692, cohesionKpa: 4.14, frictionDeg: 13 },
  { code: 'heavyClay', n: 0.13, kc: 12.7, kPhi: 1556, cohesionKpa: 68.95, frictionDeg: 34 },
  { code: 'leanClay', n: 0.2, kc: 16.43, kPhi: 1725, cohesionKpa: 68.95, frictionDeg: 20 },
  { code: 'snow', n: 1.6, kc: 4.37, kPhi: 197, cohesionKpa: 1.03, frictionDeg: 19.7, bottomless: true },
] as const satisfies readonly Soil[];

export type SoilCode = (typeof SOILS)[number]['code'];
export const SOIL_CODES = SOILS.map(({ code }) => code) as [SoilCode, ...SoilCode[]];
export const soilOf = (code: SoilCode): Soil => SOILS.find((soil) => soil.code === code)!;
