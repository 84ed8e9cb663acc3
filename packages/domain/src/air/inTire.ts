import type { AiringRow, OutingRow, ReadingRoundRow, RigRow } from '@dunlinmoss/contract';
import { readKpa } from '@dunlinmoss/contract';
import { coldKpa, correctedKpa, sameWheel, type WheelRef } from '@dunlinmoss/core';

/** What is known to be in a wheel, cold, and how it is known. */
export interface InTire extends WheelRef {
  readonly coldKpa: number;
  readonly from: 'airing' | 'reading' | 'outing' | 'present' | 'road';
  /** Null where nobody wrote down when. */
  readonly at: string | null;
}

interface Known {
  readonly rig: RigRow;
  readonly airings: readonly AiringRow[];
  readonly rounds: readonly ReadingRoundRow[];
  readonly outing: OutingRow | undefined;
  /** When an outing with this rig was closed last, all wheels back at road pressure; older readings tell no more. */
  readonly closedAt?: string | undefined;
}

/** At which cold pressures are meant where nobody measured the air, °C. Assumption. */
const MILD_C = 20;

/** The newest that is known of a wheel: read while airing, read on a round, set on the outing, or as the rig has it. */
export function inTire({ rig, airings, rounds, outing, closedAt }: Known, place: WheelRef): InTire | undefined {
  const axle = rig.axles.find(({ position }) => position === place.position);
  const found: InTire[] = [];
  for (const airing of airings) {
    const { coldTempC, tireTempC, altitudeM, gauge } = airing;
    for (const run of airing.runs) {
      if (!sameWheel(run, place)) continue;
      const shown = correctedKpa(run.afterKpa ?? run.beforeKpa, gauge?.offsetKpa ?? 0);
      found.push({
        ...place,
        coldKpa: coldKpa(shown, { coldTempC, tireTempC, altitudeM }),
        from: 'airing',
        at: run.afterKpa === null ? run.startedAt : (run.endedAt ?? run.startedAt),
      });
    }
  }
  for (const { wheels, gauge, airTempC, tireTempC, altitudeM, readAt } of rounds) {
    const read = wheels.find((wheel) => sameWheel(wheel, place));
    if (!read) continue;
    const coldTempC = airTempC ?? MILD_C;
    const shown = correctedKpa(read.shownKpa, gauge?.offsetKpa ?? 0);
    const cold = coldKpa(shown, { coldTempC, tireTempC: tireTempC ?? coldTempC, altitudeM });
    found.push({ ...place, coldKpa: cold, from: 'reading', at: readAt });
  }
  const set = outing?.pressures.find(({ position }) => position === place.position);
  if (set) found.push({ ...place, coldKpa: set.pressureKpa, from: 'outing', at: outing!.startedAt });
  const [newest] = found.sort((a, b) => b.at!.localeCompare(a.at!));
  if (newest && (closedAt === undefined || newest.at! > closedAt)) return newest;
  if (newest && axle?.roadKpa) return { ...place, coldKpa: axle.roadKpa, from: 'road', at: null };
  if (axle?.present) return { ...place, coldKpa: readKpa(axle.present), from: 'present', at: null };
  return axle?.roadKpa ? { ...place, coldKpa: axle.roadKpa, from: 'road', at: null } : undefined;
}
