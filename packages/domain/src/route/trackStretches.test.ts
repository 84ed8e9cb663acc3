import { trackProfile, type TrackPoint } from '@dunlinmoss/core';

import { newStretch } from './dayRoute';
import { marksOf, trackStretches } from './trackStretches';

/** 4 km north, up a slope of 1 in 10 over its third kilometer. */
const POINTS = Array.from({ length: 201 }, (_, index): TrackPoint => {
  const alongM = index * 20;
  return { lonDeg: 8, latDeg: 54 + alongM / 111_195, elevationM: Math.max(0, Math.min(100, (alongM - 2000) / 10)) };
});
const profile = trackProfile(POINTS);
const END_M = profile.alongM.at(-1)!;
const marks = [
  { id: 'a', fromM: 0, groundCode: 'pavement' as const },
  { id: 'b', fromM: 2_000, groundCode: 'softSand' as const },
  { id: 'c', fromM: 3_100, groundCode: 'gravel' as const },
];

describe('trackStretches', () => {
  it('cuts the way at its marks, each stretch with its length and steepest climb', () => {
    const cut = trackStretches(profile, marks);
    expect(cut.map(({ lengthM }) => Math.round(lengthM / 10))).toEqual([200, 110, Math.round((END_M - 3100) / 10)]);
    expect(cut.reduce((sum, { lengthM }) => sum + lengthM, 0)).toBeCloseTo(END_M, 6);
    expect(cut[1]!.climbDeg).toBeCloseTo((Math.atan(0.1) * 180) / Math.PI, 1);
    expect(cut[2]!.climbDeg).toBeLessThan(3);
  });

  it('keeps what was said of a stretch while its mark is dragged', () => {
    const before = trackStretches(profile, marks).map((each) =>
      each.id === 'b' ? { ...each, noStopping: true, found: 'softer' as const } : each,
    );
    const moved = trackStretches(profile, marks.with(1, { ...marks[1]!, fromM: 1_500 }), before);
    expect(moved[1]).toMatchObject({ id: 'b', noStopping: true, found: 'softer' });
    expect(moved[1]!.lengthM).toBeCloseTo(1_600, 6);
  });

  it('finds its marks again from lengths', () => {
    expect(marksOf(trackStretches(profile, marks), END_M).map(({ fromM }) => Math.round(fromM))).toEqual([
      0, 2000, 3100,
    ]);
    // Lengths that were tapped are drawn to the track's own.
    const tapped = ['x', 'y'].map((id) => newStretch(id, 'gravel', 9_000));
    expect(marksOf(tapped, END_M).map(({ fromM }) => fromM / END_M)).toEqual([0, 0.5]);
  });

  it('drops a stretch that is squeezed to nothing', () => {
    expect(trackStretches(profile, marks.with(1, { ...marks[1]!, fromM: 3_095 })).map(({ id }) => id)).toEqual([
      'a',
      'c',
    ]);
  });
});
