import type { RoutineValues } from '@dunlinmoss/core';
import Papa from 'papaparse';

export type ConeTable =
  { readonly ok: true; readonly runs: readonly RoutineValues[] } | { readonly ok: false; readonly message: string };

const TRACKS: Readonly<Record<string, string>> = {
  untouched: 'untouched',
  a: 'trackA',
  tracka: 'trackA',
  b: 'trackB',
  trackb: 'trackB',
};
const MOST = 400;

/** Cone readings of a table with the columns track, depth_mm and cone_kpa; nothing is taken in where a line can't be read. */
export function readCone(text: string): ConeTable {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const missing = ['track', 'depth_mm', 'cone_kpa'].filter((name) => !meta.fields?.includes(name));
  if (missing.length > 0)
    return { ok: false, message: `Expected the columns track, depth_mm and cone_kpa: ${missing.join(', ')} missing.` };
  if (data.length === 0) return { ok: false, message: 'The table has no lines.' };
  if (data.length > MOST) return { ok: false, message: `Expected at most ${MOST} lines, got ${data.length}.` };
  const runs: RoutineValues[] = [];
  for (const [index, line] of data.entries()) {
    const track = TRACKS[(line.track ?? '').replaceAll(/\s/g, '').toLowerCase()];
    const [depthMm, coneKpa] = [numberOf(line.depth_mm), numberOf(line.cone_kpa)];
    if (track === undefined || depthMm === undefined || coneKpa === undefined) {
      return {
        ok: false,
        message: `Line ${index + 2}: expected untouched, A or B, then a depth and a cone reading. Nothing was taken in.`,
      };
    }
    runs.push({ track, depthMm, coneKpa });
  }
  return { ok: true, runs };
}

/** A number with a point or a comma. */
function numberOf(text: string | undefined): number | undefined {
  const value = Number((text ?? '').trim().replace(',', '.'));
  return text === undefined || text.trim() === '' || !Number.isFinite(value) || value < 0 ? undefined : value;
}
