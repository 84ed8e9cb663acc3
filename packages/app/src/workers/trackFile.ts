import { smoothTrack, thinTrack, type TrackPoint } from '@dunlinmoss/core';
import { gpx } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';

/** Longer files are not read, characters; more points are thinned before anything is done with them. */
const MOST_CHARACTERS = 30_000_000;
const MOST_READ = 25_000;
/** A larger file is not even taken into memory, bytes: letters of one byte as well as of two. */
const MOST_BYTES = 2 * MOST_CHARACTERS;

export type TrackProblem =
  | 'tooLong'
  /** A file that defines words of its own, as no track needs to. */
  | 'entities'
  | 'unreadable'
  /** Nothing in it is a line of two points or more. */
  | 'noLine'
  /** Beyond the poles, or around the earth. */
  | 'outOfRange';

export type TrackRead =
  | {
      readonly ok: true;
      readonly name: string | null;
      readonly points: readonly TrackPoint[];
      /** How many there were before it was thinned. */
      readonly read: number;
    }
  | { readonly ok: false; readonly code: TrackProblem };

interface Line {
  readonly name: string | null;
  readonly coordinates: readonly unknown[];
}

/**
 * The track of a GPX or GeoJSON file: all its lines, one after the other; elevations smoothed, and thinned to so many
 * points. Whatever is wrong with it is told as a code.
 */
export function readTrack(text: string, mostPoints: number): TrackRead {
  if (text.length > MOST_CHARACTERS) return { ok: false, code: 'tooLong' };
  let lines: Line[];
  try {
    lines = text.trimStart().startsWith('{') ? linesOf(JSON.parse(text)) : linesOf(fromGpx(text));
  } catch (error) {
    return { ok: false, code: error instanceof Entities ? 'entities' : 'unreadable' };
  }
  const raw = lines.flatMap(({ coordinates }) => coordinates.flatMap(pointOf));
  if (raw.length < 2) return { ok: false, code: 'noLine' };
  if (raw.some(({ lonDeg, latDeg }) => Math.abs(lonDeg) > 180 || Math.abs(latDeg) > 90)) {
    return { ok: false, code: 'outOfRange' };
  }
  const points = thinTrack(smoothTrack(thinTrack(raw, MOST_READ, 0.5)), mostPoints).map((point) => ({
    lonDeg: rounded(point.lonDeg, 6),
    latDeg: rounded(point.latDeg, 6),
    elevationM: point.elevationM === null ? null : rounded(point.elevationM, 1),
  }));
  return { ok: true, name: lines.find(({ name }) => name)?.name ?? null, points, read: raw.length };
}

/** The track of a file as a person chose it; one that is too large is not read at all. */
export const readTrackFile = async (file: Blob, mostPoints: number): Promise<TrackRead> =>
  file.size > MOST_BYTES ? { ok: false, code: 'tooLong' } : readTrack(await file.text(), mostPoints);

class Entities extends Error {}

function fromGpx(text: string): unknown {
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) throw new Entities();
  const stop = (message: string): never => {
    throw new SyntaxError(message);
  };
  const document = new DOMParser({
    errorHandler: (level, message) => (level === 'warning' ? undefined : stop(message)),
  });
  return gpx(document.parseFromString(text, 'text/xml') as unknown as Document);
}

type Json = Readonly<Record<string, unknown>>;
const isJson = (value: unknown): value is Json => typeof value === 'object' && value !== null;
const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Every line of a GeoJSON object. */
function linesOf(value: unknown, name: string | null = null): Line[] {
  if (!isJson(value)) return [];
  switch (value.type) {
    case 'FeatureCollection':
      return listOf(value.features).flatMap((feature) => linesOf(feature, name));
    case 'Feature': {
      const own = isJson(value.properties) ? value.properties.name : undefined;
      return linesOf(value.geometry, typeof own === 'string' ? own : name);
    }
    case 'GeometryCollection':
      return listOf(value.geometries).flatMap((each) => linesOf(each, name));
    case 'LineString':
      return [{ name, coordinates: listOf(value.coordinates) }];
    case 'MultiLineString':
      return listOf(value.coordinates).map((each) => ({ name, coordinates: listOf(each) }));
    default:
      return [];
  }
}

function pointOf(value: unknown): TrackPoint[] {
  const [lonDeg, latDeg, elevation] = listOf(value);
  if (typeof lonDeg !== 'number' || typeof latDeg !== 'number') return [];
  if (!Number.isFinite(lonDeg) || !Number.isFinite(latDeg)) return [];
  // What no place on earth has is a fault of the receiver.
  const known = typeof elevation === 'number' && elevation > -500 && elevation < 9_000;
  return [{ lonDeg, latDeg, elevationM: known ? elevation : null }];
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
