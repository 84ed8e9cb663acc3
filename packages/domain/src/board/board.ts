import type { AiringRow, BoardStep, OutingRow, ProofTestRow, ReadingRoundRow, RigRow } from '@dunlinmoss/contract';
import { compareNames, compareTexts, familyOf, sortedByName, wheelKey } from '@dunlinmoss/core';

import { historiesOf, inTire, type AirHistory, type InTire } from '../air/inTire';
import { rigWheels, type RigWheel } from '../air/wheels';
import { isToCome, nextStep, outingOf } from '../outing/nextStep';

/** One machine that matters now. */
export interface BoardEntry {
  readonly rig: RigRow;
  readonly outing: OutingRow | undefined;
  /** The airing under way. */
  readonly airing: AiringRow | undefined;
  /** Every wheel in walking order, with what is in it. */
  readonly wheels: readonly { readonly wheel: RigWheel; readonly now: InTire | undefined }[];
  readonly step: BoardStep;
  /** Who did something with it last, and when; undefined where nobody signs in. */
  readonly lastBy: { readonly personId: string; readonly at: string } | undefined;
}

export interface Board {
  /** The most pressing first. */
  readonly now: readonly BoardEntry[];
  /** Outings for a day to come, the next one first. */
  readonly toCome: readonly OutingRow[];
}

export interface BoardInput {
  readonly rigs: readonly RigRow[];
  /** Newest first. */
  readonly outings: readonly OutingRow[];
  readonly airings: readonly AiringRow[];
  readonly rounds: readonly ReadingRoundRow[];
  readonly tests: readonly Pick<ProofTestRow, 'outingId'>[];
  readonly nowMs: number;
}

/** What can hurt first: a valve that is open, a tire below its floor, soft tires that nobody is at. */
const PRESSING: readonly BoardStep[] = [
  'goOn',
  'backUp',
  'standsLow',
  'airUp',
  'endOuting',
  'decide',
  'test',
  'setPressures',
  'start',
];

/** It was said to stand soft on purpose, and nothing was let out of it since. */
function isSoftOnPurpose({ softOnPurposeAt }: RigRow, wheels: BoardEntry['wheels']): boolean {
  return (
    softOnPurposeAt !== null && wheels.every(({ now }) => now?.at == null || !now.low || now.at <= softOnPurposeAt)
  );
}

/** Who saved the newest of some rows. */
function lastOf(
  rows: readonly { readonly updatedAt: string; readonly savedBy?: string | undefined }[],
): BoardEntry['lastBy'] {
  const newest = rows.reduce<(typeof rows)[number] | undefined>(
    (last, row) => (last && last.updatedAt >= row.updatedAt ? last : row),
    undefined,
  );
  return newest?.savedBy === undefined ? undefined : { personId: newest.savedBy, at: newest.updatedAt };
}

/** Every wheel was read at its road pressure since it was let down for this outing. */
const isBack = ({ wheels, outing }: Pick<BoardEntry, 'wheels' | 'outing'>): boolean =>
  wheels.every(
    ({ now }) =>
      now?.known === 'read' && !now.low && now.at !== null && now.at > (outing?.pressuresAt ?? outing?.startedAt ?? ''),
  );

/** A machine as it stands, whether it matters now or not. */
export type Machine = Omit<BoardEntry, 'step'>;

/** What is in the wheels of a machine, what is under way with it, and who was at it last. */
function machineOf(history: AirHistory, nowMs: number): Machine {
  const { rig } = history;
  const outing = outingOf(history.outings, rig.id, nowMs);
  return {
    rig,
    outing,
    airing: history.airings.find(({ endedAt }) => endedAt === null),
    wheels: rigWheels(rig).map((wheel) => ({ wheel, now: inTire(history, wheel) })),
    lastBy: lastOf([...history.airings, ...history.rounds, ...(outing ? [outing] : [])]),
  };
}

/** Every machine there is, each with its step on the board; null for one that stands on none. By name. */
export function allMachines(input: BoardInput): readonly (Machine & { readonly step: BoardStep | null })[] {
  const steps = new Map(boardOf(input).now.map(({ rig, step }) => [rig.id, step]));
  const historyOf = historiesOf(input);
  return sortedByName(input.rigs, ({ name }) => name).map((rig) => ({
    ...machineOf(historyOf(rig), input.nowMs),
    step: steps.get(rig.id) ?? null,
  }));
}

/** Of most machines of a large farm nothing is kept but themselves: none is known to be low, or on its way. */
const isUntouched = ({ rig, airings, rounds, outings }: AirHistory): boolean =>
  [airings, rounds, outings].every(({ length }) => length === 0) && rig.axles.every(({ present }) => !present);

/**
 * Every machine that matters now: with an airing or an outing under way, or standing low. Nothing makes it go but readings
 * that show its air back, or that it stands soft on purpose. A bicycle carries its air home: it stands here while it is on an
 * outing.
 */
export function boardOf({ rigs, outings, airings, rounds, tests, nowMs }: BoardInput): Board {
  const historyOf = historiesOf({ outings, airings, rounds });
  const now = rigs.flatMap((rig): BoardEntry[] => {
    const history = historyOf(rig);
    if (isUntouched(history)) return [];
    const entry = machineOf(history, nowMs);
    const { outing, airing, wheels } = entry;
    const { kind } = familyOf(rig.family);
    const low = kind !== 'bicycle' && wheels.some((each) => each.now?.low);
    if (airing) return [{ ...entry, step: 'goOn' }];
    if (outing) {
      const count = tests.filter(({ outingId }) => outingId === outing.id).length;
      const step = nextStep(outing, count, kind);
      // Planned for pavement or not set yet, it stands as it stood before.
      if (step === 'setPressures')
        return [{ ...entry, step: low && !isSoftOnPurpose(rig, wheels) ? 'standsLow' : step }];
      return [{ ...entry, step: kind !== 'bicycle' && isBack(entry) ? 'endOuting' : step }];
    }
    return low && !isSoftOnPurpose(rig, wheels) ? [{ ...entry, step: 'standsLow' }] : [];
  });
  const rank = ({ step }: BoardEntry): number => PRESSING.indexOf(step);
  const since = ({ outing, wheels }: BoardEntry): string =>
    outing?.startedAt ?? wheels.map((each) => each.now?.at ?? '').reduce((a, b) => (a > b ? a : b), '');
  return {
    now: now.sort(
      (a, b) => rank(a) - rank(b) || compareTexts(since(b), since(a)) || compareNames(a.rig.name, b.rig.name),
    ),
    toCome: outings.filter((outing) => isToCome(outing, nowMs)).sort((a, b) => compareTexts(a.startedAt, b.startedAt)),
  };
}

/** What is in each axle of a machine, in one figure where its wheels agree to a mark of the gauge. */
export function axlesNow({ wheels }: Pick<BoardEntry, 'wheels'>, stepKpa: number) {
  const positions = [...new Set(wheels.map(({ wheel }) => wheel.position))];
  return positions.map((position) => {
    const own = wheels.flatMap(({ wheel, now }) => (wheel.position === position && now ? [now] : []));
    const kpa = own.map(({ coldKpa }) => coldKpa);
    const count = wheels.filter(({ wheel }) => wheel.position === position).length;
    const known = own.length < count ? undefined : WORST.find((each) => own.some((one) => one.known === each));
    return {
      position,
      lowestKpa: kpa.length === 0 ? null : Math.min(...kpa),
      alike: kpa.length === count && Math.max(...kpa) - Math.min(...kpa) < stepKpa,
      /** The least sure of its wheels; undefined where one is not known at all. */
      known,
      /** When the oldest of these was. */
      at: own
        .map(({ at }) => at)
        .reduce((a, b) => (a === null || b === null ? null : a < b ? a : b), own[0]?.at ?? null),
      keys: own.map((one) => wheelKey(one)),
    };
  });
}

/** The least sure first. */
const WORST = ['letOut', 'assumed', 'set', 'readWarm', 'read'] as const;
