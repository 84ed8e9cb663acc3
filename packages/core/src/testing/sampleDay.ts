import { outToolOf, inToolOf } from '../tools/registry';
import type { RouteInput } from '../route/planRoute';
import type { RouteTools, Setting } from '../route/routeStops';
import type { RouteStretch } from '../route/stretch';
import type { PlanInput } from '../plan/plan';
import type { GroundCode } from '../grounds/registry';
import { psi } from '../units/units';
import { sampleAxle, sampleInput } from './samplePlan';

/** Key on the pin, and a compressor under the hood. */
export const sampleTools = (change: Partial<RouteTools> = {}): RouteTools => {
  const out = outToolOf('stick')!;
  const { pump, setUpS, wheelsAtOnce } = inToolOf('onBoardCompressor')!;
  return {
    wheels: [
      { position: 'front', wheel: 'left', volumeL: 60, walkS: 0 },
      { position: 'front', wheel: 'right', volumeL: 60, walkS: 8 },
      { position: 'rear', wheel: 'right', volumeL: 60, walkS: 8 },
      { position: 'rear', wheel: 'left', volumeL: 60, walkS: 8 },
    ],
    out: { tool: out, rate: { conductanceLPerS: out.conductanceLPerS, relativeError: 0.3 }, wheelsAtOnce: 1 },
    in: { pump, setUpS, rate: 1, wheelsAtOnce },
    outsideKpaAbs: 101.325,
    pullOverMin: 2,
    central: false,
    ...change,
  };
};

export const WAGON: PlanInput = sampleInput({
  axles: [sampleAxle({ position: 'front', loadKg: 560 }), sampleAxle({ position: 'rear', loadKg: 640 })],
});

/** A stretch of the sample wagon's day. */
export const stretch = (
  ground: GroundCode,
  lengthKm: number,
  change: Partial<RouteStretch> = {},
  rig: PlanInput = WAGON,
): RouteStretch => ({
  input: { ...rig, ground },
  endAxles: null,
  lengthKm,
  climbDeg: 0,
  sureness: 'usual',
  softnessShift: 0,
  noStopping: false,
  freeAir: false,
  opensMin: null,
  closesMin: null,
  ...change,
});

export const AT_ROAD: Setting = [
  { position: 'front', pressureKpa: psi(36) },
  { position: 'rear', pressureKpa: psi(36) },
];

/** Pavement, corrugations, damp sand, a soft exit over the dune, and back the same way. */
export const BEACH_DAY: readonly RouteStretch[] = [
  stretch('pavement', 20),
  stretch('gravel', 15),
  stretch('dampSand', 4),
  stretch('softSand', 2, { climbDeg: 3 }),
  stretch('dampSand', 4),
  stretch('gravel', 15),
  stretch('pavement', 20),
];

export const sampleDay = (stretches: readonly RouteStretch[], change: Partial<RouteInput> = {}): RouteInput => ({
  stretches,
  start: AT_ROAD,
  stepKpa: psi(1),
  tools: sampleTools(),
  bogMin: 30,
  prices: { harsh: 0, pressed: 0, soft: 0 },
  ...change,
});
