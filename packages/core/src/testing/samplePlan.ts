import { loadCurve, type LoadLine, type LoadRow } from '../capacity/loadCurve';
import { bareAxle, type PlanAxle } from '../axle/planAxle';
import type { PlanInput } from '../plan/plan';
import { readMarking } from '../markings/readMarking';
import { psi } from '../units/units';

interface SampleAxle extends Partial<Omit<PlanAxle, 'tire' | 'curve'>> {
  readonly marking?: string;
  /** On each wheel, kg. */
  readonly loadKg?: number;
  readonly lines?: readonly LoadLine[];
  readonly rows?: readonly LoadRow[];
  readonly rowsOf?: 'thisTire' | 'standardTire';
}

/** An axle of the reference rig, with whatever a test changes of it. */
export function sampleAxle(change: SampleAxle = {}): PlanAxle {
  const { marking = '265/65R17', loadKg = 600, lines = [], rows = [], rowsOf = 'thisTire', ...rest } = change;
  const reading = readMarking(marking);
  if (!reading.ok) throw new RangeError(marking);
  const curve = loadCurve({ tire: reading.value, maxKpa: rest.maxKpa ?? null, lines, rows, rowsOf });
  return {
    ...bareAxle({ position: 'front', wheels: 2, tire: reading.value }),
    leftLoadKg: loadKg,
    rightLoadKg: loadKg,
    roadKpa: psi(36),
    curve: curve.ok ? curve.value : null,
    ...rest,
  };
}

/** The reference rig on soft sand, with whatever a test changes of it. */
export const sampleInput = (change: Partial<PlanInput> = {}): PlanInput => ({
  family: 'fourWheel',
  ground: 'softSand',
  school: null,
  modifiers: [],
  speedKmh: null,
  roadSpeedKmh: null,
  riderKg: null,
  ownFloorKpa: null,
  stuckAccepted: false,
  axles: [sampleAxle()],
  ...change,
});

/** Front and rear of a bicycle under a rider, front share as given. */
export const bicycleAxles = (
  marking: string,
  totalKg: number,
  frontShare: number,
  change: SampleAxle = {},
): readonly PlanAxle[] =>
  (['front', 'rear'] as const).map((position) =>
    sampleAxle({
      marking,
      wheels: 1,
      casing: 'medium',
      roadKpa: null,
      loadKg: totalKg * (position === 'front' ? frontShare : 1 - frontShare),
      ...change,
      position,
    }),
  );

/** A rig of every kind as it might stand in a yard: for laws that hold for all. */
export const SAMPLE_RIGS: Readonly<Record<string, Pick<PlanInput, 'family' | 'axles' | 'roadSpeedKmh' | 'riderKg'>>> = {
  car: { family: 'fourWheel', axles: [sampleAxle()], roadSpeedKmh: null, riderKg: null },
  van: {
    family: 'vanTruck',
    axles: [
      sampleAxle({ marking: '235/85R16C', loadRange: 'E', loadKg: 900, roadKpa: psi(60) }),
      sampleAxle({ marking: '235/85R16C', loadRange: 'E', loadKg: 700, roadKpa: psi(60), position: 'rear', wheels: 4 }),
    ],
    roadSpeedKmh: null,
    riderKg: null,
  },
  quad: {
    family: 'quad',
    axles: [
      sampleAxle({
        marking: 'AT25x8-12',
        loadKg: 110,
        roadKpa: psi(20),
        maxKpa: psi(22),
        lines: [{ pressureKpa: psi(22), loadKg: 250 }],
      }),
    ],
    roadSpeedKmh: null,
    riderKg: null,
  },
  motorcycle: {
    family: 'trailSingle',
    axles: [
      sampleAxle({ marking: '90/90-21 54S', wheels: 1, loadKg: 105, roadKpa: psi(29), tube: true }),
      sampleAxle({
        marking: '4.60-18 63P',
        wheels: 1,
        loadKg: 150,
        roadKpa: psi(32),
        position: 'rear',
        beadHold: 'rimLock',
      }),
    ],
    roadSpeedKmh: null,
    riderKg: null,
  },
  bicycle: { family: 'mountainBike', axles: bicycleAxles('29x2.40', 94, 0.375), roadSpeedKmh: null, riderKg: 80 },
  farm: {
    family: 'tractor',
    axles: [sampleAxle({ marking: '480/80R50 159A8/B **', loadKg: 2500, roadKpa: 160 })],
    roadSpeedKmh: 40,
    riderKg: null,
  },
};
