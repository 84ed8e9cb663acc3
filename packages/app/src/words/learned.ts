import {
  DEFAULT_CONTACT_CONSTANT,
  TREAD_WIDTH_SHARE,
  type AxlePosition,
  type NextTime,
  type OwnFactor,
  type OwnTire,
} from '@dunlinmoss/core';

import type { ProofDoubt } from '@dunlinmoss/domain';

import type { Units } from '../settings/preferences';
import { day, pressure } from './format';

/** Why a proof does not count, though nobody left it out. */
export const PROOF_DOUBT_WORDS: Readonly<Record<ProofDoubt, string>> = {
  datedAhead: 'does not count: dated in the future; correct its date',
  aboveSidewall: 'does not count: above the sidewall maximum; correct the reading',
  farFromRule: 'does not count: outside half to double of the rule; correct the reading',
};

/** One constant of a tire: what is assumed, what was found, and between what with nine chances in ten. */
export interface LearnedLine {
  readonly name: string;
  readonly assumed: string;
  readonly found: string;
  readonly between: string;
  readonly readings: number;
}

/** A factor's line, as the constant it multiplies. */
function line(name: string, constant: number, { factor, low, high, readings }: OwnFactor): LearnedLine {
  const figure = (value: number): string => (constant * value).toFixed(2);
  return { name, assumed: figure(1), found: figure(factor), between: `${figure(low)} to ${figure(high)}`, readings };
}

/** The constants of a tire that its readings speak of. */
export const learnedLines = (own: OwnTire, carcass: number, bicycle: boolean): LearnedLine[] =>
  [
    line(
      bicycle ? 'Print length, times predicted' : 'Print length over chord',
      bicycle ? 1 : DEFAULT_CONTACT_CONSTANT,
      own.contact,
    ),
    line(
      bicycle ? 'Print width, times predicted' : 'Print width over section',
      bicycle ? 1 : TREAD_WIDTH_SHARE,
      own.width,
    ),
    bicycle ? line('Drop, times predicted', 1, own.drop) : line('Carcass', carcass, own.carcass),
  ].filter(({ readings }) => readings > 0);

/** What was proved, and how. */
export const PROOF_WORDS: Record<'keep' | 'lower' | 'higher' | 'trial' | 'climb' | 'away' | 'test', string> = {
  keep: 'Kept',
  lower: 'Driven, to go lower',
  higher: 'Driven, to go higher',
  trial: 'Best in a trial',
  climb: 'Climbed',
  away: 'Got away on the flat',
  test: 'As a test proposed',
};

/** Where on the rig something was found. */
const ON_AXLE: Record<AxlePosition, string> = {
  front: 'in front',
  rear: 'behind',
  rear2: 'on the second rear axle',
  trailer: 'on the trailer',
  trailer2: 'on the trailer’s second axle',
  trailer3: 'on the trailer’s third axle',
};

const FOUND_WORDS = {
  trial: 'Found by a trial',
  climb: 'Climbed at',
  away: 'Got away on the flat at',
  test: 'As a test proposed',
} as const;

/** `Kept 16 psi on 3 May 2026`: what next time's start goes by. */
export function fromText({ from }: NextTime, units: Units): string {
  const found = from.by === 'drive' ? (from.decided === 'keep' ? 'Kept' : 'Driven') : FOUND_WORDS[from.by];
  const then = from.decided === 'lower' ? ', to go lower' : from.decided === 'higher' ? ', to go higher' : '';
  if (from.carriedFrom) {
    const { position, pressureKpa } = from.carriedFrom;
    return `${found}: ${pressure(pressureKpa, units)} ${ON_AXLE[position]} on ${day(from.at)}, carried over to here.`;
  }
  return `${found}: ${pressure(from.pressureKpa, units)} on ${day(from.at)}${then}.`;
}

/** The same beside the number it decides: `kept at 18 psi, 3 Sept 2026`. */
export function provedText({ from, pressureKpa }: NextTime, units: Units): string {
  const how = from.by === 'drive' ? (from.decided === 'keep' ? 'kept' : 'driven') : PROVED_WORDS[from.by];
  const then = from.decided === 'lower' ? ', to go lower' : from.decided === 'higher' ? ', to go higher' : '';
  if (from.carriedFrom) {
    const { position, pressureKpa: thereKpa } = from.carriedFrom;
    return `${how} at ${pressure(thereKpa, units)} ${ON_AXLE[position]}, ${day(from.at)}: ${pressure(pressureKpa, units)} here, carried over`;
  }
  return `${how} at ${pressure(from.pressureKpa, units)}${then}, ${day(from.at)}`;
}
const PROVED_WORDS = {
  trial: 'best in a trial',
  climb: 'climbed',
  away: 'got away',
  test: 'as a test proposed,',
} as const;

/** What was added to it, and how it differs from the rule of thumb. */
export function nextTimeText(next: NextTime, units: Units): string {
  const parts = [
    Math.abs(next.byDecisionKpa) > 0.5 ? `${signed(next.byDecisionKpa, units)} for that` : undefined,
    Math.abs(next.byLoadKpa) > 0.5 ? `${signed(next.byLoadKpa, units)} for today’s load` : undefined,
  ].filter((part) => part !== undefined);
  const rule =
    Math.abs(next.againstRuleKpa) < 1.7
      ? 'The rule of thumb says the same.'
      : `The rule of thumb says ${pressure(Math.abs(next.againstRuleKpa), units)} ${next.againstRuleKpa > 0 ? 'less' : 'more'}.`;
  return [fromText(next, units), parts.length > 0 ? `${parts.join(', ')}.` : undefined, rule]
    .filter((part) => part !== undefined)
    .join(' ');
}

const signed = (kpa: number, units: Units): string => `${kpa > 0 ? '+' : '−'}${pressure(Math.abs(kpa), units)}`;
