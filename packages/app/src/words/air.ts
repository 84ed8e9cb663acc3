import type { Occasion } from '@dunlinmoss/contract';
import {
  isTrailer,
  type AirToolCode,
  type RunProblem,
  type UpProblem,
  type WheelRef,
  type WheelState,
} from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS, PART_WORDS } from './axles';
import { pressure } from './format';

/** `Front left`; `Front` where one wheel is the axle. */
export const wheelName = ({ position, wheel }: WheelRef): string =>
  wheel === 'single'
    ? `${AXLE_WORDS[position]}${isTrailer(position) ? ' wheel' : ''}`
    : `${AXLE_WORDS[position]} ${PART_WORDS[wheel].toLowerCase()}`;

/** The same of a wheel given as one word, as `wheelKey` writes it. */
export function wheelKeyName(key: string): string {
  const [position, wheel] = key.split(' ') as [WheelRef['position'], WheelRef['wheel']];
  return wheelName({ position, wheel });
}

/** A time to wait, as one would say it: `48 s`, `3 min 20 s`, `1 h 5 min`. */
export function duration(seconds: number): string {
  if (!Number.isFinite(seconds)) return 'never';
  const whole = Math.max(0, Math.round(seconds));
  if (whole < 60) return `${whole}\u00a0s`;
  const minutes = Math.floor(whole / 60);
  if (whole < 600) return whole % 60 === 0 ? `${minutes}\u00a0min` : `${minutes}\u00a0min ${whole % 60}\u00a0s`;
  const round = Math.round(whole / 60);
  if (round < 60) return `${round}\u00a0min`;
  const [hours, rest] = [Math.floor(round / 60), round % 60];
  return rest === 0 ? `${hours}\u00a0h` : `${hours}\u00a0h ${rest}\u00a0min`;
}

/** A length of time in hours, as one would say it of a leak. */
export const hoursText = (hours: number): string =>
  hours >= 48 ? `${Math.floor(hours / 24)}\u00a0days` : duration(hours * 3600);

/** How far a clock is off: `1 h ahead`, `2 days behind`. */
export const clockText = (aheadMs: number): string =>
  `${hoursText(Math.round(Math.abs(aheadMs) / 60_000) / 60)}\u00a0${aheadMs > 0 ? 'ahead' : 'behind'}`;

export const STATE_WORDS: Record<WheelState, string> = {
  waiting: 'Waits',
  running: 'Under way',
  toRead: 'To be read',
  overshot: 'Past it',
  more: 'Not there yet',
  done: 'Done',
  skipped: 'Left out',
};

/** Why a run tells nothing of a rate, and what to do. */
export function runProblemText(problem: RunProblem, units: Units): string {
  switch (problem.code) {
    case 'roseWhileLettingOut':
      return `It read ${pressure(problem.afterKpa, units)} after ${pressure(problem.beforeKpa, units)}: air was let out, so it can't have risen. Read it again. This time is not counted.`;
    case 'fellWhilePuttingIn':
      return `It read ${pressure(problem.afterKpa, units)} after ${pressure(problem.beforeKpa, units)}: air went in, so it can't have fallen. Read it again, and look for a leak at the valve. This time is not counted.`;
    case 'noTime':
      return 'No time went by between start and stop: it is kept, but says nothing of how fast the tool is.';
    case 'nothingLeft':
      return 'It is flat: nothing to time any more.';
    case 'readingAlone':
      return 'Read once more, nothing was opened.';
    case 'clockJumped':
      return 'The clock of this device was moved meanwhile: the readings are kept, the time is not counted.';
    case 'timedTwice':
      return 'Two phones timed this wheel at once: both are kept, the first one counts.';
  }
}

/** What each tool does near the target. Common practice. */
export const NEAR_TARGET: Partial<Record<AirToolCode, string>> = {
  stick: 'Stop a little above, read, press again. Nothing gets lost or stuck.',
  presetDeflators: 'Slow over the last 4 psi, then shuts by itself. As true as they were last set.',
  coreDeflator: 'Fast to the end: close it early, read, open again. Hold on to the core.',
  hoseManifold: 'All wheels come down together and end level. Close, read, open again.',
  quickReleaseValves: 'Past the number before one has read it. Shut early and top up the last bit by reading.',
};

/** How to set preset deflators to another pressure. Common practice, no source. */
export const SET_DEFLATORS = [
  'Let one tire, or the spare, down to the new target and check it with a good gauge.',
  'Ring down, then screw the body fully in.',
  'Screw it onto the valve of that tire. It should be still.',
  'Back the body out slowly until it just hisses.',
  'Turn it in again by a quarter, until it is still. Lock it with the ring.',
  'The same with the others. Try one on the next wheel and read what it stops at.',
] as const;

export const OCCASION_WORDS: Record<Occasion, string> = {
  watch: 'a round',
  coldStart: 'cold, before the road',
  afterAnHour: 'after an hour on the road',
  storage: 'in storage',
  roadCheck: 'before the road',
};

/** Safety, common practice. */
export const MIND_OUT = [
  'Before the soft ground, not in it. Never out of a hot road tire to reach a cold figure.',
  'From now on drive slower, turn wider, brake earlier. Sidewall, placard and local law overrule these numbers.',
];
export const MIND_IN = [
  'Never past the sidewall maximum, never a tire that ran flat, never from in front of it.',
  'Sidewall, placard, local law and a qualified tire fitter overrule these numbers.',
];

/** Why there is no time for the way up. */
export const UP_PROBLEM_WORDS: Record<UpProblem, string> = {
  overAnHour:
    'This supply never brings them back to road pressure within the hour: a stronger compressor, or fewer wheels at once.',
  tankTooSmall:
    'The tank is too small for its lines to work out a time. Check the liters of the tank and of the lines.',
};

/** How long until two tires on a hose are level. */
export const levelText = (seconds: number | null): string =>
  seconds === null ? 'Level only after hours.' : `Level after about ${duration(seconds)}.`;
