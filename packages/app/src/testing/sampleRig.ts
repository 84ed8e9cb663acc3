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
