import type { OutingRow, RigRow } from '@dunlinmoss/contract';
import { compareTexts, familyOf, sortedByName, type AxlePosition, type GroundCode } from '@dunlinmoss/core';

import { courseOf, historiesOf, type AirHistory, type InTire } from '../air/inTire';
import { softMs, softSpells } from '../air/softTime';
import { rigWheels } from '../air/wheels';

/** What worked on one ground with one machine. */
export interface WorkedOn {
  readonly rig: RigRow;
  readonly groundCode: GroundCode;
  /** Outings there, and those after which the pressure was kept. */
  readonly outings: number;
  readonly kept: number;
  /** The pressures that were kept, an axle: the newest, and the lowest and highest of all. Empty where none was. */
  readonly axles: readonly {
    readonly position: AxlePosition;
    readonly newestKpa: number;
    readonly lowestKpa: number;
    readonly highestKpa: number;
  }[];
}

/** Something that went wrong, or nearly. */
export interface Mishap {
  readonly rig: RigRow;
  readonly at: string;
  readonly kind: 'turnedBack' | 'foundLow';
  /** Null for a wheel that was found low: no outing belongs to it. */
  readonly outing: OutingRow | null;
  readonly wheel: InTire | null;
}

export interface Season {
  readonly worked: readonly WorkedOn[];
  /** How long each machine was on soft tires, ms; those alone that were. Bicycles carry their air home. */
  readonly soft: readonly { readonly rig: RigRow; readonly ms: number; readonly lasts: boolean }[];
  /** The newest first. */
  readonly mishaps: readonly Mishap[];
}

export interface SeasonInput {
  readonly rigs: readonly RigRow[];
  readonly outings: readonly OutingRow[];
  readonly airings: AirHistory['airings'];
  readonly rounds: AirHistory['rounds'];
}

const counted = ({ decision }: OutingRow): boolean => decision?.code === 'keep' && decision.counts;

function workedOn(rig: RigRow, groundCode: GroundCode, outings: readonly OutingRow[]): WorkedOn {
  const kept = outings.filter(counted).sort((a, b) => compareTexts(b.startedAt, a.startedAt));
  const axles = rig.axles.flatMap(({ position }) => {
    const kpa = kept.flatMap(({ pressures }) =>
      pressures.flatMap((each) => (each.position === position ? [each.pressureKpa] : [])),
    );
    return kpa.length === 0
      ? []
      : [{ position, newestKpa: kpa[0]!, lowestKpa: Math.min(...kpa), highestKpa: Math.max(...kpa) }];
  });
  return { rig, groundCode, outings: outings.length, kept: kept.length, axles };
}

/** Wheels that a reading found low, though nobody had let them out. */
function foundLow(history: AirHistory): Mishap[] {
  return rigWheels(history.rig).flatMap((place) =>
    courseOf(history, place).flatMap((wheel, index, course) => {
      const isLoss =
        wheel.from === 'reading' && wheel.known === 'read' && wheel.low && course[index - 1]?.low === false;
      return isLoss && wheel.at !== null
        ? [{ rig: history.rig, at: wheel.at, kind: 'foundLow' as const, outing: null, wheel }]
        : [];
    }),
  );
}

/**
 * A season of a crew in one look: which pressures were kept on which ground, how long each machine was soft, and what went
 * wrong. By what was written down alone; machines by name, grounds in the order they were last driven.
 *
 * @param fromMs and @param toMs the season, epoch ms
 */
export function seasonOf({ rigs, outings, airings, rounds }: SeasonInput, fromMs: number, toMs: number): Season {
  const isIn = (at: string): boolean => Date.parse(at) >= fromMs && Date.parse(at) <= toMs;
  const named = sortedByName(rigs, ({ name }) => name);
  const worked = named.flatMap((rig) => {
    const own = outings.filter((each) => each.rigId === rig.id && each.state !== 'planned' && isIn(each.startedAt));
    const newest = [...own].sort((a, b) => compareTexts(b.startedAt, a.startedAt));
    return [...new Set(newest.map(({ groundCode }) => groundCode))].map((ground) =>
      workedOn(
        rig,
        ground,
        own.filter(({ groundCode }) => groundCode === ground),
      ),
    );
  });
  const soft: { rig: RigRow; ms: number; lasts: boolean }[] = [];
  const mishaps: Mishap[] = [];
  const historyOf = historiesOf({ airings, rounds, outings });
  for (const rig of named) {
    const history = historyOf(rig);
    for (const outing of history.outings.filter(({ startedAt }) => isIn(startedAt))) {
      if (outing.decision?.code === 'turnedBack')
        mishaps.push({ rig, at: outing.startedAt, kind: 'turnedBack', outing, wheel: null });
    }
    if (familyOf(rig.family).kind === 'bicycle') continue;
    mishaps.push(...foundLow(history).filter(({ at }) => isIn(at)));
    const spells = softSpells(history);
    const ms = softMs(spells, fromMs, toMs);
    if (ms > 0) soft.push({ rig, ms, lasts: spells.some(({ to }) => to === null) });
  }
  return { worked, soft, mishaps: mishaps.sort((a, b) => compareTexts(b.at, a.at)) };
}
