import { alongRows } from '../numerics/alongRows';
import type { TapeSurface } from './tape';

/** One wheel measured with a tape on one kind of ground. */
export interface TapedWheel {
  readonly wheel: string;
  readonly surface: TapeSurface;
  readonly readings: readonly { readonly pressureKpa: number; readonly lengthMm: number }[];
}

export interface TapedLine {
  readonly wheel: string;
  readonly surface: TapeSurface;
  /** Means by pressure, firmest first. */
  readonly points: readonly { readonly pressureKpa: number; readonly lengthMm: number; readonly times: number }[];
}

/** A wheel on soft ground against the same on firm, at a pressure that both were measured at or between. */
export interface SoftAgainstFirm {
  readonly wheel: string;
  readonly pressureKpa: number;
  /** How much longer the tape reads on soft ground, mm: it sinks in. */
  readonly longerMm: number;
}

export interface TapesCompared {
  readonly lines: readonly TapedLine[];
  readonly softAgainstFirm: readonly SoftAgainstFirm[];
}

/** Pressures nearer to each other than a gauge tells apart, kPa. Assumption. */
const ALIKE_KPA = 1.7;

/**
 * Tape readings of several wheels, pressures and grounds side by side: repeats put together, each wheel on each ground a
 * line of its own, and soft ground held against firm at the softest pressure that both lines reach (straight lines
 * between readings, nothing beyond them).
 */
export function compareTapes(taped: readonly TapedWheel[]): TapesCompared {
  const groups = new Map<
    string,
    { wheel: string; surface: TapeSurface; all: { pressureKpa: number; lengthMm: number }[] }
  >();
  for (const { wheel, surface, readings } of taped) {
    const group = groups.get(`${wheel} ${surface}`) ?? { wheel, surface, all: [] };
    groups.set(`${wheel} ${surface}`, group);
    group.all.push(...readings);
  }
  const lines = [...groups.values()].map(({ wheel, surface, all }): TapedLine => {
    const points: { pressureKpa: number; lengths: number[] }[] = [];
    for (const { pressureKpa, lengthMm } of [...all].sort((a, b) => b.pressureKpa - a.pressureKpa)) {
      const last = points.at(-1);
      if (last && last.pressureKpa - pressureKpa <= ALIKE_KPA) last.lengths.push(lengthMm);
      else points.push({ pressureKpa, lengths: [lengthMm] });
    }
    return {
      wheel,
      surface,
      points: points.map(({ pressureKpa, lengths }) => ({
        pressureKpa,
        lengthMm: lengths.reduce((sum, each) => sum + each, 0) / lengths.length,
        times: lengths.length,
      })),
    };
  });
  const softAgainstFirm = lines
    .filter(({ surface }) => surface === 'soft')
    .flatMap((soft): SoftAgainstFirm[] => {
      const firm = lines.find(({ wheel, surface }) => wheel === soft.wheel && surface === 'firm');
      if (!firm || soft.points.length === 0 || firm.points.length === 0) return [];
      const pressureKpa = Math.max(soft.points.at(-1)!.pressureKpa, firm.points.at(-1)!.pressureKpa);
      const [onSoft, onFirm] = [lengthAt(soft, pressureKpa), lengthAt(firm, pressureKpa)];
      return onSoft === null || onFirm === null ? [] : [{ wheel: soft.wheel, pressureKpa, longerMm: onSoft - onFirm }];
    });
  return { lines, softAgainstFirm };
}

/** The length on a line at a pressure within it. */
function lengthAt({ points }: TapedLine, kpa: number): number | null {
  const above = points.findLast(({ pressureKpa }) => pressureKpa >= kpa - ALIKE_KPA);
  const below = points.find(({ pressureKpa }) => pressureKpa <= kpa + ALIKE_KPA);
  if (!above || !below) return null;
  if (Math.abs(above.pressureKpa - below.pressureKpa) <= ALIKE_KPA) return (above.lengthMm + below.lengthMm) / 2;
  const rows = [below, above].map(({ pressureKpa, lengthMm }) => [pressureKpa, lengthMm] as const);
  return alongRows(rows, kpa);
}
