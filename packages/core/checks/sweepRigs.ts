import { randomLcg } from 'd3-random';

import {
  familyOf,
  psi,
  type BeadHold,
  type Casing,
  type FamilyCode,
  type LoadRange,
  type PlanAxle,
  type PlanInput,
} from '../src/index';
import { sampleAxle, sampleInput } from '../src/testing/samplePlan';

/** One rig of the sweep, with what it is called in a failure. */
export interface SweepRig {
  readonly name: string;
  readonly input: PlanInput;
}

type Random = () => number;
const between = (random: Random, low: number, high: number): number => low + (high - low) * random();
const pick = <Of>(random: Random, of: readonly Of[]): Of => of[Math.floor(random() * of.length)]!;

interface Kit {
  readonly family: FamilyCode;
  readonly markings: readonly string[];
  /** On one wheel, front then rear, kg. */
  readonly loads: readonly (readonly [low: number, high: number])[];
  readonly roadPsi: readonly [low: number, high: number];
  readonly ranges?: readonly LoadRange[];
}

/*
 * Plausible rigs of every family: sizes as they are sold, loads and road pressures as they are driven. Invented as a whole;
 * what holds for them is what has to hold for any.
 */
const KITS: readonly Kit[] = [
  {
    family: 'fourWheel',
    markings: [
      '265/65R17 112T',
      '245/75R16 111T',
      '31x10.50R15LT',
      '35x12.50R17LT',
      '285/45R22 114V',
      '215/70R15',
      'LT285/70R17 121/118Q E',
      '7.50R16',
    ],
    loads: [
      [320, 760],
      [300, 900],
    ],
    roadPsi: [26, 50],
    ranges: ['standard', 'standard', 'C', 'D', 'E'],
  },
  {
    family: 'vanTruck',
    markings: ['235/85R16C', '225/75R16C 121/120R', '235/65R16C 115/113R', 'LT275/70R18 125/122R E'],
    loads: [
      [600, 1000],
      [600, 1150],
    ],
    roadPsi: [45, 70],
    ranges: ['standard', 'D', 'E'],
  },
  {
    family: 'quad',
    markings: ['AT25x8-12', 'AT26x10-12'],
    loads: [
      [70, 130],
      [75, 160],
    ],
    roadPsi: [5, 20],
  },
  {
    family: 'sideBySide',
    markings: ['AT27x9R14', 'AT30x10R15', 'AT32x10R15'],
    loads: [
      [130, 260],
      [170, 380],
    ],
    roadPsi: [10, 28],
  },
  {
    family: 'adventureTwin',
    markings: ['110/80R19 59V', '150/70R17 69V', '90/90-21 54S'],
    loads: [
      [130, 190],
      [150, 280],
    ],
    roadPsi: [32, 42],
  },
  {
    family: 'trailSingle',
    markings: ['90/90-21 54S', '4.60-18 63P'],
    loads: [
      [100, 140],
      [115, 210],
    ],
    roadPsi: [24, 33],
  },
  {
    family: 'lightSingle',
    markings: ['90/90-21 54S', '4.60-18 63P'],
    loads: [
      [85, 120],
      [95, 180],
    ],
    roadPsi: [20, 30],
  },
  {
    family: 'gravelBike',
    markings: ['700x40C', '700x45C', '650x47B'],
    loads: [
      [24, 55],
      [38, 80],
    ],
    roadPsi: [25, 60],
  },
  {
    family: 'mountainBike',
    markings: ['29x2.20', '29x2.40', '29x2.60', '27.5x2.8'],
    loads: [
      [24, 55],
      [38, 90],
    ],
    roadPsi: [16, 40],
  },
  {
    family: 'fatBike',
    markings: ['26x3.8', '26x4.0', '26x4.8'],
    loads: [
      [24, 50],
      [40, 85],
    ],
    roadPsi: [5, 16],
  },
  {
    family: 'electricBike',
    markings: ['29x2.40', '29x2.60', '27.5x2.8'],
    loads: [
      [28, 60],
      [45, 100],
    ],
    roadPsi: [16, 40],
  },
  {
    family: 'roadBike',
    markings: ['700x25C', '700x28C', '700x32C', '700x35C'],
    loads: [
      [26, 60],
      [34, 75],
    ],
    roadPsi: [45, 100],
  },
  {
    family: 'cityBike',
    markings: ['37-622', '47-622', '50-559', '28x2.0'],
    loads: [
      [28, 60],
      [40, 85],
    ],
    roadPsi: [30, 75],
  },
  {
    family: 'tractor',
    markings: ['480/80R50 159A8/B', '420/70R28 133D', '18.4R38', 'IF710/70R42 179D'],
    loads: [
      [900, 2600],
      [1500, 4200],
    ],
    roadPsi: [14, 30],
  },
  {
    family: 'sprayer',
    markings: ['VF380/90R46 173D', '380/90R46 165D'],
    loads: [
      [1800, 3600],
      [2000, 4200],
    ],
    roadPsi: [30, 55],
  },
  {
    family: 'farmTrailer',
    markings: ['650/55R26.5 165D', '500/60-22.5 155A8/151B', '16.9-30'],
    loads: [[1500, 4000]],
    roadPsi: [22, 55],
  },
];

const CASINGS_OR_NONE: readonly (Casing | null)[] = ['thin', 'medium', 'downhill', null];

/** What is written on a farm or quad tire: a load line, rows of its data sheet, or nothing at all. */
function written(
  random: Random,
  use: string,
  loadKg: number,
  roadKpa: number,
): Partial<Parameters<typeof sampleAxle>[0]> {
  if (use !== 'farm' && use !== 'quad') return {};
  const kind = pick(random, ['line', 'rows', 'nothing', 'nothing']);
  const fullKg = loadKg * between(random, 1.05, 1.8);
  if (kind === 'line') return { lines: [{ pressureKpa: roadKpa * between(random, 1.1, 1.5), loadKg: fullKg }] };
  if (kind === 'rows' && use === 'farm') {
    return {
      rows: [10, 25, 40, 65].flatMap((speedKmh, column) =>
        [0.4, 0.7, 1, 1.4].map((share) => ({
          speedKmh,
          pressureKpa: Math.round(roadKpa * share),
          loadKg: fullKg * 1.1 * share ** 0.7 * (1.4 - 0.13 * column),
        })),
      ),
    };
  }
  return {};
}

function rigOf(random: Random, kit: Kit, index: number): SweepRig {
  const family = familyOf(kit.family);
  const bicycle = family.kind === 'bicycle';
  const trailer = kit.family === 'farmTrailer';
  const roadKpa = psi(between(random, ...kit.roadPsi));
  const marking = pick(random, kit.markings);
  const tube = random() < 0.25;
  const beadHold: BeadHold = family.kind === 'car' && random() < 0.15 ? 'beadLock' : 'none';
  const maxKpa = family.kind === 'quad' ? psi(pick(random, [8, 14, 22, 22, 44])) : null;
  const positions: readonly PlanAxle['position'][] = trailer ? ['trailer'] : ['front', 'rear'];
  let frontKg = 0;
  const axles = positions.map((position, axle) => {
    // Motorcycles wear other tires in front than behind; all else here wears one size.
    const own = family.kind === 'motorcycle' ? kit.markings[axle === 0 ? 0 : 1]! : marking;
    // Nobody sits further forward than half of it on the front wheel.
    const loadKg = Math.max(between(random, ...kit.loads[axle]!), bicycle && axle === 1 ? frontKg : 0);
    if (axle === 0) frontKg = loadKg;
    const most = maxKpa ?? null;
    return sampleAxle({
      position,
      marking: own,
      wheels: bicycle || family.kind === 'motorcycle' ? 1 : 2,
      loadKg,
      loadRange: kit.ranges ? pick(random, kit.ranges) : 'standard',
      roadKpa: most === null ? roadKpa : Math.min(roadKpa, most),
      maxKpa: most,
      tube,
      beadHold,
      insert: bicycle && random() < 0.15,
      casing: bicycle ? pick(random, CASINGS_OR_NONE) : null,
      widthMm:
        bicycle && random() < 0.5
          ? between(random, 0.95, 1.05) * sampleAxle({ marking: own }).tire.sectionWidthMm
          : null,
      ...written(random, family.kind === 'quad' ? 'quad' : family.kind, loadKg, roadKpa),
    });
  });
  return {
    name: `${index} ${kit.family} ${marking} ${axles.map(({ leftLoadKg }) => Math.round(leftLoadKg)).join('/')} kg ${Math.round(roadKpa)} kPa ${axles[0]!.curve?.from ?? 'no curve'}`,
    input: sampleInput({
      family: kit.family,
      roadSpeedKmh: family.roadSpeedKmh,
      riderKg: bicycle ? between(random, 50, 130) : null,
      ownFloorKpa: random() < 0.1 ? psi(pick(random, [10, 20])) : null,
      axles,
    }),
  };
}

/** So many rigs of every family, the same for the same seed. */
export function sweepRigs(perFamily: number, seed: number): SweepRig[] {
  const random = randomLcg(seed);
  return KITS.flatMap((kit) => Array.from({ length: perFamily }, (_, index) => rigOf(random, kit, index)));
}
