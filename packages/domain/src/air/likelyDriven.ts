import type { AiringRow, OutingRow } from '@dunlinmoss/contract';

/** So long after the last valve was closed nobody has driven far, minutes. Assumption. */
const STANDS_MIN = 10;

/**
 * Whether a machine was likely driven within the last three quarters of an hour, as the answer to begin with where a
 * reading is written down. Nothing tells that it moves: one on an outing with its air out is taken to, from ten minutes
 * after the last valve. Assumption.
 */
export function likelyDriven(
  outing: Pick<OutingRow, 'state'> | undefined,
  airings: readonly Pick<AiringRow, 'runs'>[],
  nowMs: number,
): boolean {
  if (outing?.state !== 'lowered') return false;
  const last = airings
    .flatMap(({ runs }) => runs.map(({ endedAt, startedAt }) => Date.parse(endedAt ?? startedAt)))
    .reduce((a, b) => Math.max(a, b), Number.NEGATIVE_INFINITY);
  return nowMs - last > STANDS_MIN * 60_000;
}
