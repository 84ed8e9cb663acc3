import { drainPlan, fillPlan, gaugeNowKpa, inToolOf, outToolOf, type FillWheel, type Kind } from '@dunlinmoss/core';
import {
  onGauge,
  outRate,
  pumpOf,
  pumpRate,
  suitsKind,
  valveMisfits,
  walksOf,
  wheelsAtOnceOf,
  type ToolUsed,
} from '@dunlinmoss/domain';

import type { AirJob } from '../../hooks/useAirJob';
import { duration, NEAR_TARGET, wheelName } from '../../words/air';
import { air, pressure } from '../../words/format';
import { adapterText, TOOL_WORDS } from '../../words/tools';
import { targetOf } from './targetOf';
import { toolsFor } from '../../hooks/toolChoice';

/** One tool as it is compared with the others. */
export interface ComparedTool {
  readonly code: string;
  readonly name: string;
  /** Infinity where it never gets there. */
  readonly totalS: number;
  readonly time: string;
  readonly about: string;
  readonly mind: string | undefined;
  /** Why it is not enough; undefined where it is. */
  readonly short: string | undefined;
  readonly adapter: string | undefined;
}

export const pumpWays = (kind: Kind) =>
  [
    { code: 'out' as const, name: 'Letting out' },
    { code: 'in' as const, name: kind === 'bicycle' ? 'Pumping up' : 'Getting home' },
  ] as const;

/** From what to what each wheel goes, as a gauge shows it now; wheels with nothing to do are left out. */
function pathsOf(job: AirJob, way: 'out' | 'in'): FillWheel[] {
  const { rig, wheels, conditions, units, family } = job;
  const now = (kpa: number): number => onGauge(gaugeNowKpa(kpa, conditions), units);
  const walks = walksOf(rig, wheels);
  // A bicycle is pumped up from what was read in it; where nothing is missing, or nobody read it, from flat.
  const isShort = wheels.some((wheel) => knownBelow(job, wheel, targetOf(job, way, wheel)) !== undefined);
  return wheels.flatMap((wheel, index): FillWheel[] => {
    const planned = job.planned(wheel)?.startKpa;
    const target = targetOf(job, way, wheel);
    // Compared from road pressure down, and from the plan back up, whatever is in them just now; a bicycle from what is.
    const from =
      way === 'out'
        ? (wheel.axle.roadKpa ?? job.known(wheel)?.coldKpa)
        : family.kind === 'bicycle'
          ? (knownBelow(job, wheel, target) ?? (isShort ? target : 0))
          : planned;
    if (target === undefined || from === undefined) return [];
    const [fromKpa, toKpa] = [now(from), now(target)];
    if (way === 'out' ? fromKpa <= toKpa : fromKpa >= toKpa) return [];
    const { position, wheel: code, volumeL } = wheel;
    return [{ position, wheel: code, volumeL, fromKpa, toKpa, walkS: walks[index]! }];
  });
}

/** What was read in a wheel, where that is less than it is to have; undefined for one that was not read, or has it. */
function knownBelow(job: AirJob, wheel: AirJob['wheels'][number], target: number | undefined): number | undefined {
  const inIt = job.known(wheel);
  return inIt && inIt.known !== 'assumed' && target !== undefined && inIt.coldKpa < target ? inIt.coldKpa : undefined;
}

/** Every tool that such a rig is let down or pumped up with, the quickest first; those that are not enough last. */
export function comparedTools(
  job: AirJob,
  way: 'out' | 'in',
): { readonly tools: readonly ComparedTool[]; readonly from: readonly FillWheel[] } {
  const from = pathsOf(job, way);
  const tools = toolsFor(way, job.tools)
    // A pump of one's own may be tried on a bicycle whatever its kind; a bicycle's on nothing else.
    .filter(
      ({ used }) => suitsKind(used.kind, job.family.kind) || (used.tool !== undefined && job.family.kind === 'bicycle'),
    )
    .map(({ code, used }) => (way === 'out' ? drained(job, code, used, from) : filled(job, code, used, from)))
    .sort((a, b) => a.totalS - b.totalS);
  return { tools, from };
}

const nameOf = (used: ToolUsed): string => used.tool?.name ?? TOOL_WORDS[used.kind].name;
const timedText = (timed: number): string =>
  timed > 0 ? `timed by you on ${timed === 1 ? 'one wheel' : `${timed} wheels`}` : 'not timed yet, give or take half';

function drained(job: AirJob, code: string, used: ToolUsed, from: readonly FillWheel[]): ComparedTool {
  const tool = outToolOf(used.kind)!;
  const rate = outRate(used, job.airings);
  const atOnce = Math.min(wheelsAtOnceOf(used), Math.max(1, from.length));
  const plan = drainPlan(tool, rate, from, job.outsideKpaAbs, atOnce);
  const slowest = duration(Math.max(...plan.wheels.map(({ openS }) => openS), 0));
  return {
    code,
    name: nameOf(used),
    totalS: plan.totalS,
    time: duration(plan.totalS),
    about: `${slowest} for the slowest wheel, ${atOnce === 1 ? 'one at a time' : `${atOnce} at once`}; ${timedText(rate.timed)}.`,
    mind: NEAR_TARGET[used.kind],
    short: undefined,
    adapter: adapterText(nameOf(used), valveMisfits(used.tool, job.rig)),
  };
}

function filled(job: AirJob, code: string, used: ToolUsed, from: readonly FillWheel[]): ComparedTool {
  const { units } = job;
  const own = pumpRate(used, job.airings);
  const pump = pumpOf(used);
  const plan = fillPlan({
    wheels: from,
    pump,
    outsideKpaAbs: job.outsideKpaAbs,
    setUpS: inToolOf(used.kind)!.setUpS,
    rate: own.rate,
    wheelsAtOnce: wheelsAtOnceOf(used),
  });
  const hoses = Math.min(wheelsAtOnceOf(used), from.length);
  const last = plan.wheels.at(-1);
  const stuck = plan.wheels.find(({ enough }) => !enough);
  return {
    code,
    name: nameOf(used),
    totalS: stuck ? Number.POSITIVE_INFINITY : plan.totalS,
    time: stuck ? 'not enough' : duration(plan.totalS),
    about: [
      `${air(plan.liters, units)} of air`,
      ...(hoses > 1 ? [`${hoses} wheels at once`] : []),
      ...(plan.restS > 0 ? [`${duration(plan.restS)} of rest`] : []),
      ...(last && last.leftLiters !== null && !stuck ? [`${air(last.leftLiters, units)} left in it`] : []),
      used.tool && used.tool.flow.length === 0
        ? 'its label is not entered: taken as what such a pump does'
        : timedText(own.timed),
    ]
      .join('; ')
      .concat('.'),
    mind: used.kind === 'carbonDioxideBottle' ? 'CO2 freezes skin: gloves on.' : undefined,
    short: !stuck
      ? undefined
      : plan.shortBecause === 'stalls'
        ? `It stalls at ${pressure(stuck.reachedKpa, units)}, below ${pressure(stuck.toKpa, units)}.`
        : `It runs out at ${wheelName(stuck).toLowerCase()}: ${air(plan.missingLiters, units)} short.`,
    adapter: adapterText(nameOf(used), valveMisfits(used.tool, job.rig)),
  };
}
