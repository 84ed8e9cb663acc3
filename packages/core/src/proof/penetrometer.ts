import { psi } from '../units/units';
import { defineRoutine, DRIVEN_AT, judgement } from './routine';

/** Roots stop here: 300 psi, 2 MPa on a cone. Published: Taylor et al. 1966; cone by ASABE S313.3 (from memory). */
export const ROOT_LIMIT_KPA = psi(300);

export interface ConeReading {
  readonly depthMm: number;
  readonly coneKpa: number;
}

export interface ConeProfile {
  /** Where the profile first crosses the root limit, mm; null where it never does. */
  readonly limitAtMm: number | null;
  /** How much of its depth lies above the limit, mm. */
  readonly aboveMm: number;
  readonly deepestMm: number;
  readonly hardestKpa: number;
  readonly meanKpa: number;
}

/** What one profile by depth says, straight lines between its readings. Null with fewer than two depths. Exact. */
export function coneProfile(readings: readonly ConeReading[], limitKpa = ROOT_LIMIT_KPA): ConeProfile | null {
  const points = [...readings].sort((a, b) => a.depthMm - b.depthMm);
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || last.depthMm <= first.depthMm) return null;
  let limitAtMm = first.coneKpa >= limitKpa ? first.depthMm : null;
  let aboveMm = 0;
  let area = 0;
  for (let index = 1; index < points.length; index += 1) {
    const [a, b] = [points[index - 1]!, points[index]!];
    const thick = b.depthMm - a.depthMm;
    area += (thick * (a.coneKpa + b.coneKpa)) / 2;
    const crossing = a.coneKpa === b.coneKpa ? 0 : (limitKpa - a.coneKpa) / (b.coneKpa - a.coneKpa);
    const [aOver, bOver] = [a.coneKpa >= limitKpa, b.coneKpa >= limitKpa];
    if (aOver && bOver) aboveMm += thick;
    else if (aOver) aboveMm += thick * crossing;
    else if (bOver) aboveMm += thick * (1 - crossing);
    if (limitAtMm === null && bOver) limitAtMm = a.depthMm + thick * crossing;
  }
  return {
    limitAtMm,
    aboveMm,
    deepestMm: last.depthMm,
    hardestKpa: Math.max(...points.map(({ coneKpa }) => coneKpa)),
    meanKpa: area / (last.depthMm - first.depthMm),
  };
}

export const TRACKS = ['untouched', 'trackA', 'trackB'] as const;

/** A cone read by this much the same in both tracks is no difference, as a share. Assumption: what a hand pushes evenly. */
const CONE_ALIKE = 0.1;

/** Two tracks at two pressures against the soil beside them. */
export const penetrometer = defineRoutine({
  code: 'penetrometer',
  kinds: ['farm', 'car', 'quad'],
  minutes: 20,
  oneWheel: false,
  setup: { trackAKpa: DRIVEN_AT, trackBKpa: { ...DRIVEN_AT, optional: true } },
  run: {
    track: { type: 'choice', options: TRACKS },
    depthMm: { type: 'number', unit: 'mm', min: 0, max: 1000 },
    coneKpa: { type: 'number', unit: 'kpa', min: 0, max: 20_000 },
  },
  judge: (runs, { trackAKpa, trackBKpa }) => {
    const [untouched, a, b] = TRACKS.map((track) => coneProfile(runs.filter((run) => run.track === track)));
    const figures = Object.fromEntries(
      (
        [
          ['untouched', untouched],
          ['trackA', a],
          ['trackB', b],
        ] as const
      ).flatMap(([name, profile]) =>
        profile
          ? [
              [`${name} mean`, profile.meanKpa],
              [`${name} above`, profile.aboveMm],
              ...(profile.limitAtMm === null ? [] : [[`${name} limit`, profile.limitAtMm]]),
            ]
          : [],
      ),
    );
    if (!a || !b || trackBKpa === null) return judgement({ verdict: 'oneTrack', move: 'again', figures });
    const share = untouched
      ? (a.meanKpa - b.meanKpa) / untouched.meanKpa
      : (a.meanKpa - b.meanKpa) / Math.max(a.meanKpa, b.meanKpa);
    const all = { ...figures, share: Math.abs(share) };
    if (Math.abs(share) < CONE_ALIKE) return judgement({ verdict: 'noDifference', move: 'keep', figures: all });
    const win =
      share > 0
        ? { verdict: 'trackB', kpa: trackBKpa, other: trackAKpa }
        : { verdict: 'trackA', kpa: trackAKpa, other: trackBKpa };
    return judgement({
      verdict: win.verdict,
      move: win.kpa < win.other ? 'softer' : 'firmer',
      tryKpa: win.kpa,
      figures: all,
    });
  },
});
