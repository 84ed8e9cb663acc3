import { PLAIN_AXLE, type LoadCaseBody, type RigAxle, type RigRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

/* A sound rig for the tests: each changes what it looks at. */

export const sampleAxle = (position: RigAxle['position'], change: Partial<RigAxle> = {}): RigAxle => ({
  ...PLAIN_AXLE,
  position,
  behindMm: position === 'front' ? 0 : 2790,
  trackMm: 1570,
  tireMarking: '265/65R17 112T',
  roadKpa: psi(36),
  ...change,
});

export const sampleCase = (change: Partial<LoadCaseBody> = {}): LoadCaseBody => ({
  id: '0192f000-0000-7000-8000-000000000011',
  name: 'Touring',
  method: 'scales',
  weighed: [
    { position: 'front', part: 'left', loadKg: 560 },
    { position: 'front', part: 'right', loadKg: 570 },
    { position: 'rear', part: 'left', loadKg: 700 },
    { position: 'rear', part: 'right', loadKg: 690 },
  ],
  wholeKg: null,
  unladen: [],
  items: [],
  posture: null,
  split: null,
  level: null,
  ...change,
});

export function sampleRig(change: Partial<RigRow> = {}): RigRow {
  const loadCases = change.loadCases ?? [sampleCase()];
  return {
    id: '0192f000-0000-7000-8000-000000000001',
    revision: 1,
    family: 'fourWheel',
    name: 'Knot',
    hitchMm: null,
    topSpeedKmh: null,
    loadCaseId: loadCases[0]?.id ?? null,
    school: null,
    beadFloorKpa: null,
    roadLoadCaseId: null,
    softOnPurposeAt: null,
    keeperId: null,
    demo: false,
    axles: [sampleAxle('front'), sampleAxle('rear')],
    loadCases,
    createdAt: '2026-05-01T08:00:00.000Z',
    updatedAt: '2026-05-01T08:00:00.000Z',
    ...change,
  };
}

/** A bicycle under a rider of 80 kg, by posture. */
export const sampleBicycle = (change: Partial<RigRow> = {}): RigRow =>
  sampleRig({
    family: 'mountainBike',
    name: 'Dotterel',
    axles: (['front', 'rear'] as const).map((position) =>
      sampleAxle(position, {
        behindMm: position === 'front' ? 0 : 1210,
        wheels: 1,
        trackMm: null,
        tireMarking: '29x2.40',
        casing: 'medium',
        roadKpa: null,
      }),
    ),
    loadCases: [
      sampleCase({
        method: 'posture',
        weighed: [],
        posture: { posture: 'mountain', frontShare: null, riderKg: 80, bikeKg: 14 },
      }),
    ],
    ...change,
  });

const twoAxles = (front: number, rear: number): LoadCaseBody =>
  sampleCase({
    weighed: [
      { position: 'front', part: 'axle', loadKg: front },
      { position: 'rear', part: 'axle', loadKg: rear },
    ],
  });

/** A rig of every kind, each with all that a plan wants to know. */
export const SAMPLE_RIGS: Readonly<Record<'car' | 'quad' | 'motorcycle' | 'bicycle' | 'farm', RigRow>> = {
  car: sampleRig(),
  quad: sampleRig({
    family: 'quad',
    axles: (['front', 'rear'] as const).map((position) =>
      sampleAxle(position, {
        behindMm: position === 'front' ? 0 : 1280,
        trackMm: 900,
        tireMarking: 'AT25x8-12 6PR',
        roadKpa: psi(20),
        maxKpa: psi(22),
        lines: [{ pressureKpa: psi(22), loadKg: 250 }],
      }),
    ),
    loadCases: [twoAxles(190, 260)],
  }),
  motorcycle: sampleRig({
    family: 'trailSingle',
    axles: (['front', 'rear'] as const).map((position) =>
      sampleAxle(position, {
        behindMm: position === 'front' ? 0 : 1480,
        wheels: 1,
        trackMm: null,
        tireMarking: position === 'front' ? '90/90-21 54S' : '4.60-18 63P',
        tube: true,
        beadHold: position === 'front' ? 'none' : 'rimLock',
        roadKpa: psi(30),
      }),
    ),
    loadCases: [twoAxles(105, 150)],
  }),
  bicycle: sampleBicycle(),
  farm: sampleRig({
    family: 'tractor',
    axles: [
      sampleAxle('front', { tireMarking: '420/70R28 133D', roadKpa: 160 }),
      sampleAxle('rear', { tireMarking: '480/80R50 159A8/B', roadKpa: 160, wheels: 4 }),
    ],
    loadCases: [twoAxles(2600, 9000)],
  }),
};

const fullTire = (marking: string): Partial<RigAxle> => ({
  tireMarking: marking,
  loadRange: 'E',
  tube: true,
  beadHold: 'beadLock',
  insert: true,
  casing: 'downhill',
  valve: 'largeBore',
  rimInnerMm: 203.2,
  measuredWidthMm: 281.7,
  fittedAt: '2026-03-04T05:06:07.008Z',
  treadWidthMm: 219.4,
  minKpa: 103.3,
  maxKpa: 551.7,
  lines: [
    { pressureKpa: 344.9, loadKg: 1000.3 },
    { pressureKpa: 551.7, loadKg: 1380.1 },
  ],
  rows: [{ pressureKpa: 160.7, speedKmh: 40, loadKg: 2123.4 }],
  rowsOf: 'standardTire',
  ratingKg: 1503.7,
  roadKpa: 350.25,
  present: { rawKpa: 101.3, gaugeId: '0192f000-0000-7000-8000-000000000401', offsetKpa: 3.7 },
});

/** A rig with every optional field filled, no number of it round in any unit; its trailer's two axles have unlike tires. */
export function fullRig(change: Partial<RigRow> = {}): RigRow {
  const [front, rear] = [fullTire('LT285/70R17 121/118Q E'), fullTire('LT285/70R17 121/118Q E')];
  return sampleRig({
    hitchMm: 3701.3,
    topSpeedKmh: 111.5,
    school: 'equalDeflection',
    beadFloorKpa: 96.7,
    softOnPurposeAt: '2026-11-19T17:00:00.000Z',
    keeperId: '0192f000-0000-7000-8000-00000000a001',
    demo: true,
    axles: [
      sampleAxle('front', { ...front, trackMm: 1571.3 }),
      sampleAxle('rear', { ...rear, behindMm: 2791.7, fittedAt: '2025-01-02T03:04:05.006Z', roadKpa: 361.9 }),
      sampleAxle('trailer', { ...fullTire('185R14C 102/100R'), behindMm: 3001.9, driven: false }),
      sampleAxle('trailer2', { ...fullTire('195R14C 106/104Q'), behindMm: 3802.1, driven: false, tube: false }),
    ],
    loadCases: [
      sampleCase({
        wholeKg: 2521.3,
        unladen: [
          { position: 'front', loadKg: 1090.3 },
          { position: 'rear', loadKg: 961.7 },
          { position: 'coupling', loadKg: 61.1 },
        ],
        items: [
          { kind: 'thing', name: 'Roof tent', body: 'vehicle', behindMm: 1680.3, rightMm: -101.7, massKg: 62.3 },
          {
            kind: 'tank',
            name: 'Water',
            body: 'trailer',
            behindMm: 2450.9,
            rightMm: 12.1,
            liters: 61.3,
            densityKgPerL: 1.03,
            level: 0.37,
          },
        ],
        posture: { posture: 'mountain', frontShare: 0.4137, riderKg: 81.3, bikeKg: 14.7 },
        split: { laden: 'loaded', like: 'bigWagon' },
        level: 0.6183,
      }),
    ],
    ...change,
  });
}
