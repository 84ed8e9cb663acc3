import type { GroundCode } from '../grounds/registry';

/** What a caution looks at to know whether it applies. */
export interface CautionContext {
  readonly ground: GroundCode;
  readonly axles: readonly {
    readonly wheelLoadKg: number;
    readonly loadIndexKg: number | undefined;
    readonly startKpa: number;
    readonly roadKpa: number;
    /** What equal deflection asks for, before any limit; zero or less where the carcass alone is too stiff. */
    readonly wantedKpa: number;
    readonly floorKpa: number;
    readonly carcass: number;
  }[];
}

interface Caution {
  readonly code: string;
  /** `danger` is told before `care`. */
  readonly severity: 'danger' | 'care';
  readonly applies: (context: CautionContext) => boolean;
}

const onGround =
  (...grounds: GroundCode[]) =>
  ({ ground }: CautionContext): boolean =>
    grounds.includes(ground);

const lowered = ({ axles }: CautionContext): boolean => axles.some((axle) => axle.startKpa < axle.roadKpa);

/**
 * Everything that can hurt someone, in the order it is told. Facts of the trade without a source, except where the
 * arithmetic of the plan itself says so. The interface words each code and never hides one that applies.
 */
export const CAUTIONS = [
  {
    code: 'overLoadIndex',
    severity: 'danger',
    applies: ({ axles }) => axles.some((axle) => axle.loadIndexKg !== undefined && axle.wheelLoadKg > axle.loadIndexKg),
  },
  { code: 'stuckOnly', severity: 'danger', applies: onGround('stuck') },
  { code: 'speedAndHeat', severity: 'danger', applies: lowered },
  { code: 'gentleTurns', severity: 'danger', applies: lowered },
  { code: 'airBeforePavement', severity: 'danger', applies: lowered },
  { code: 'chassisAground', severity: 'danger', applies: onGround('stuck', 'softSand', 'verySoftSand') },
  { code: 'recoveryGear', severity: 'danger', applies: onGround('stuck') },
  { code: 'drivingOnSand', severity: 'care', applies: onGround('dampSand', 'softSand', 'verySoftSand') },
  { code: 'hotSandIsSofter', severity: 'care', applies: onGround('softSand', 'verySoftSand') },
  { code: 'sidewallOnRock', severity: 'care', applies: onGround('rockyTrack', 'forestMud') },
  { code: 'deepMudWithBottom', severity: 'care', applies: onGround('forestMud') },
  { code: 'dampersStillCount', severity: 'care', applies: onGround('gravel') },
  {
    code: 'stiffCarcass',
    severity: 'care',
    applies: ({ axles }) => axles.some((axle) => axle.carcass > 1 && axle.wantedKpa < axle.floorKpa),
  },
  { code: 'clearanceLost', severity: 'care', applies: lowered },
  { code: 'pressureMonitors', severity: 'care', applies: lowered },
  { code: 'overruled', severity: 'care', applies: () => true },
] as const satisfies readonly Caution[];

export type CautionCode = (typeof CAUTIONS)[number]['code'];

/** The cautions that apply, dangers first. */
export const cautionsFor = (context: CautionContext): CautionCode[] =>
  CAUTIONS.filter((caution) => caution.applies(context)).map(({ code }) => code);

export const cautionSeverity = (code: CautionCode): Caution['severity'] =>
  CAUTIONS.find((caution) => caution.code === code)!.severity;
