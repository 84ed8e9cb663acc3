import type { TrackPoint } from './distance';
import { climbM, smoothTrack, steepestDeg, trackProfile } from './profile';
import { thinTrack } from './thin';

/** North along a meridian, a point each 5 m. */
const track = (count: number, elevation: (alongM: number) => number | null): TrackPoint[] =>
  Array.from({ length: count }, (_, index) => ({
    lonDeg: 8,
    latDeg: 54 + (index * 5) / 111_195,
    elevationM: elevation(index * 5),
  }));
/** The same every time: between -1 and 1. */
const jitter = (index: number): number => Math.sin(index * 12.9898) * Math.cos(index * 78.233);

describe('trackProfile', () => {
  it('finds the climb of a hill under the jitter of a receiver', () => {
    const hill = (alongM: number): number => 40 * Math.exp(-(((alongM - 2000) / 600) ** 2));
    const rough = trackProfile(track(801, (alongM) => hill(alongM) + 3 * jitter(alongM)));
    expect(climbM(rough, 0, 4000)).toBeGreaterThan(37);
    expect(climbM(rough, 0, 4000)).toBeLessThan(50);
    expect(climbM(rough, 2200, 4000)).toBeLessThan(8);
    // Exact: a bell of 600/√2 m under one of 60 m is a bell again, whose steepest is its height over (its width · √e).
    const width = Math.hypot(600 / Math.SQRT2, 60);
    const height = (40 * 600) / Math.SQRT2 / width;
    const steepest = (Math.atan(height / (width * Math.sqrt(Math.E))) * 180) / Math.PI;
    const smooth = trackProfile(track(801, hill));
    expect(steepestDeg(smooth, 0, 4000)).toBeCloseTo(steepest, 1);
    expect(steepestDeg(smooth, 2000, 4000)).toBeLessThan(0.2);
  });

  it('keeps a straight slope straight to its ends', () => {
    const { elevationM, slopeDeg } = trackProfile(track(201, (alongM) => 0.1 * alongM));
    expect(elevationM![0]).toBeCloseTo(0, 6);
    expect(elevationM![200]).toBeCloseTo(100, 6);
    for (const slope of slopeDeg!) expect(slope).toBeCloseTo((Math.atan(0.1) * 180) / Math.PI, 4);
  });

  it('knows the slope between points that lie far apart', () => {
    const far = [0, 400, 1200].map((alongM): TrackPoint => ({
      lonDeg: 8,
      latDeg: 54 + alongM / 111_195,
      elevationM: alongM * 0.05,
    }));
    const profile = trackProfile(far);
    expect(steepestDeg(profile, 0, 1200)).toBeCloseTo((Math.atan(0.05) * 180) / Math.PI, 3);
    expect(climbM(profile, 0, 1200)).toBeCloseTo(60, 1);
  });

  it('fills elevations that are missing in between, and does without any', () => {
    const gaps = trackProfile(track(41, (alongM) => (alongM % 100 === 0 ? alongM / 10 : null)));
    expect(gaps.elevationM!.every((value, index) => Math.abs(value - gaps.alongM[index]! / 10) < 0.2)).toBe(true);
    const none = trackProfile(track(41, () => null));
    expect(none).toMatchObject({ elevationM: null, slopeDeg: null });
    expect(climbM(none, 0, 200)).toBe(0);
    expect(steepestDeg(none, 0, 200)).toBe(0);
  });

  it('stands still where points lie upon one another', () => {
    const twice = track(20, (alongM) => alongM).flatMap((point) => [point, point]);
    const { alongM, elevationM, slopeDeg } = trackProfile(twice);
    expect(alongM.at(-1)).toBeCloseTo(95, 1);
    expect([...elevationM!, ...slopeDeg!].every(Number.isFinite)).toBe(true);
  });
});

describe('smoothTrack', () => {
  it('leaves places and hills, and takes the jitter', () => {
    const points = track(601, (alongM) => 20 * Math.sin(alongM / 500) + 3 * jitter(alongM));
    const smooth = smoothTrack(points);
    expect(smooth.map(({ latDeg }) => latDeg)).toEqual(points.map(({ latDeg }) => latDeg));
    smooth.forEach(({ elevationM }, index) => {
      if (index > 20 && index < 580) expect(elevationM! - 20 * Math.sin((index * 5) / 500)).toBeCloseTo(0, 0);
    });
    const flat = points.map((point) => ({ ...point, elevationM: null }));
    expect(smoothTrack(flat)).toEqual(flat);
  });
});

describe('thinTrack', () => {
  const winding = Array.from({ length: 5000 }, (_, index): TrackPoint => ({
    lonDeg: 8 + 0.01 * Math.sin(index / 300),
    latDeg: 54 + index / 1e5,
    elevationM: null,
  }));

  it('keeps both ends and the length with a fraction of the points', () => {
    const thin = thinTrack(winding, 300);
    expect(thin.length).toBeLessThanOrEqual(300);
    expect(thin[0]).toBe(winding[0]);
    expect(thin.at(-1)).toBe(winding.at(-1));
    const lengthOf = (points: readonly TrackPoint[]): number => trackProfile(points).alongM.at(-1)!;
    expect(lengthOf(thin) / lengthOf(winding)).toBeGreaterThan(0.99);
  });

  it('leaves a short track as it is', () => {
    expect(thinTrack(winding.slice(0, 10), 300)).toEqual(winding.slice(0, 10));
  });
});
