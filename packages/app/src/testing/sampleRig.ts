import type { LoadCaseBody, RigAxle, RigRow } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';

/* A sound rig for the tests: each changes what it looks at. */

export const sampleAxle = (position: RigAxle['position'], change: Partial<RigAxle> = {}): RigAxle => ({
  position,
  wheels: 2,
  driven: true,
  behindMm: position === 'front' ? 0 : 2790,
  trackMm: 1570,
  ratingKg: null,
  tireMarking: '265/65R17 112T',
  loadRange: 'standard',
  tube: false,
  beadHold: 'none',
  insert: false,
  casing: null,
  rimInnerMm: null,
  measuredWidthMm: null,
  treadWidthMm: null,
  minKpa: null,
  maxKpa: null,
  lines: [],
  rows: [],
  rowsOf: 'thisTire',
  roadKpa: psi(36),
  present: null,
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
    axles: [sampleAxle('front'), sampleAxle('rear')],
    loadCases,
    createdAt: '2026-05-01T08:00:00.000Z',
    updatedAt: '2026-05-01T08:00:00.000Z',
    ...change,
  };
}
