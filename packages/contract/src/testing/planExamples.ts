/** Plausible rigs of every kind, as planning calculators take them; the heaviest fields filled. */
const two = (
  tireMarking: string,
  [front, rear]: readonly [number, number],
  roadKpa: number,
  rest: Readonly<Record<string, unknown>> = {},
) =>
  [
    { position: 'front', leftLoadKg: front, rightLoadKg: front },
    { position: 'rear', leftLoadKg: rear, rightLoadKg: rear },
  ].map((axle) => ({ ...axle, tireMarking, loadRange: 'standard', roadKpa, wheels: 2, ...rest }));

const LINES = [
  { pressureKpa: 100, loadKg: 900 },
  { pressureKpa: 240, loadKg: 1900 },
];

export const PLAN_EXAMPLES = [
  { family: 'fourWheel', ground: 'softSand', axles: two('265/65R17 112T', [580, 690], 240) },
  {
    family: 'vanTruck',
    ground: 'forestMud',
    axles: two('LT245/75R16 120/116Q', [700, 900], 420, { loadRange: 'E', maxKpa: 550, minKpa: 100 }),
  },
  { family: 'quad', ground: 'snow', axles: two('AT25x8-12', [95, 110], 35, { maxKpa: 69 }) },
  { family: 'adventureTwin', ground: 'dirtRoad', axles: two('150/70R17', [140, 180], 250, { wheels: 1 }) },
  {
    family: 'mountainBike',
    ground: 'hardpack',
    riderKg: 80,
    axles: two('57-584', [38, 56], 170, { wheels: 1, rimInnerMm: 30, casing: 'medium', insert: true }),
  },
  {
    family: 'tractor',
    ground: 'fieldDry',
    speedKmh: 15,
    axles: two('480/80R42 151D', [1400, 2100], 160, { lines: LINES, roadLoadKg: 2500 }),
  },
];
