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
