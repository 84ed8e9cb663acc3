import { trackProfile } from '@dunlinmoss/core';

import { readTrack, readTrackFile, type TrackRead } from './trackFile';

const point = (index: number, elevation: string | null = `${10 + (index % 50)}`): string =>
  `<trkpt lat="${54 + index / 20_000}" lon="${8 + Math.sin(index / 90) / 500}">${elevation === null ? '' : `<ele>${elevation}</ele>`}</trkpt>`;
const gpxOf = (points: readonly string[], name = 'Round the flat'): string =>
  `<?xml version="1.0"?><gpx version="1.1" creator="x" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>${name}</name><trkseg>${points.join('\n')}</trkseg></trk></gpx>`;
const many = (count: number): string[] => Array.from({ length: count }, (_, index) => point(index));
const opened = (read: TrackRead) => {
  if (!read.ok) throw new Error(read.code);
  return read;
};

describe('readTrack', () => {
  it('reads a GPX track with its name and elevations', () => {
    const { name, points, read } = opened(readTrack(gpxOf(many(40)), 1_000));
    expect({ name, read }).toEqual({ name: 'Round the flat', read: 40 });
    expect(points[0]).toMatchObject({ latDeg: 54, lonDeg: 8 });
    expect(points.every(({ elevationM }) => elevationM !== null)).toBe(true);
  });

  it('thins a hundred thousand points, and keeps the way', () => {
    const whole = many(100_000);
    const { points, read } = opened(readTrack(gpxOf(whole), 1_000));
    expect(read).toBe(100_000);
    expect(points.length).toBeLessThanOrEqual(1_000);
    const straight = trackProfile([points[0]!, points.at(-1)!]).alongM.at(-1)!;
    expect(trackProfile(points).alongM.at(-1)!).toBeGreaterThan(straight);
  });

  it('does not read a file of a hundred megabytes', async () => {
    const unread = { size: 100_000_000, text: () => Promise.reject(new Error('read')) } as unknown as Blob;
    expect(await readTrackFile(unread, 1_000)).toEqual({ ok: false, code: 'tooLong' });
    const small = { size: 100, text: () => Promise.resolve(gpxOf(many(40))) } as unknown as Blob;
    expect((await readTrackFile(small, 1_000)).ok).toBe(true);
  });

  it('reads lines of GeoJSON wherever they stand, with and without elevations', () => {
    const line = (coordinates: unknown) => ({ type: 'LineString', coordinates });
    const flat = line([
      [8, 54],
      [8.001, 54.001],
    ]);
    for (const json of [
      flat,
      { type: 'Feature', properties: { name: 'Lane' }, geometry: flat },
      { type: 'FeatureCollection', features: [{ type: 'Feature', properties: null, geometry: flat }] },
      { type: 'GeometryCollection', geometries: [flat] },
      { type: 'MultiLineString', coordinates: [flat.coordinates, [[8.002, 54.002, 5, 'x']]] },
    ]) {
      expect(opened(readTrack(JSON.stringify(json), 100)).points.length).toBeGreaterThanOrEqual(2);
    }
  });

  it('takes an elevation that no place has for none, and joins parts', () => {
    const parts = gpxOf([point(0, '-99999'), point(1, '12'), '</trkseg><trkseg>', point(2, null), point(3, '14')]);
    const { points } = opened(readTrack(parts, 100));
    expect(points).toHaveLength(4);
    expect(points.every(({ elevationM }) => elevationM === null || (elevationM > 10 && elevationM < 16))).toBe(true);
  });

  it.each([
    [
      'words of its own',
      '<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><gpx>&b;</gpx>',
      'entities',
    ],
    ['an entity alone', `<!ENTITY x SYSTEM "file:///etc/hostname">${gpxOf(many(3))}`, 'entities'],
    ['a file that breaks off', gpxOf(many(40)).slice(0, 900), 'unreadable'],
    ['something else', 'name;load\nCurlew;2200', 'unreadable'],
    ['broken JSON', '{"type":"Feature"', 'unreadable'],
    ['nothing', '', 'unreadable'],
    ['a track without points', gpxOf([]), 'noLine'],
    ['one point alone', gpxOf(many(1)), 'noLine'],
    ['JSON without a line', '{"type":"FeatureCollection","features":[{"type":"Feature","geometry":null}]}', 'noLine'],
    ['no numbers', '{"type":"LineString","coordinates":[["a","b"],[null,1],[{},[]]]}', 'noLine'],
    [
      'swapped or foreign axes',
      '{"type":"LineString","coordinates":[[3400000,5900000],[3400100,5900100]]}',
      'outOfRange',
    ],
  ])('refuses %s', (_, text, code) => {
    expect(readTrack(text, 1_000)).toEqual({ ok: false, code });
  });
});
