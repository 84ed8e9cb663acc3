import type { DecisionCode, OutingRow, OutingState } from '@dunlinmoss/contract';
import type { AxlePosition, Kind } from '@dunlinmoss/core';

import type { Units } from '../data/preferences';
import { AXLE_WORDS } from './axles';
import { pressure } from './format';

export const DECISION_WORDS: Record<DecisionCode, string> = {
  keep: 'Keep this pressure',
  lower: 'Go lower next time',
  higher: 'Stay higher next time',
  turnedBack: 'Turned back',
};

export const STATE_WORDS: Record<OutingState, string> = {
  planned: 'Planned',
  lowered: 'Air is out',
  closed: 'Back at road pressure',
};

const ON_A_BICYCLE: Record<OutingState, string> = { planned: 'planned', lowered: 'set', closed: 'ridden' };

/** Where an outing stands, in a word or two for the middle of a line. */
export function stateText({ state, stuckRung }: Pick<OutingRow, 'state' | 'stuckRung'>, kind: Kind): string {
  if (stuckRung > 0 && state === 'lowered') return 'below the floor';
  return kind === 'bicycle' ? ON_A_BICYCLE[state] : STATE_WORDS[state].toLowerCase();
}

/** `front 15 psi, rear 20 psi` */
export const pressuresText = (
  pressures: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[],
  units: Units,
): string =>
  pressures
    .map(({ position, pressureKpa }) => `${AXLE_WORDS[position].toLowerCase()} ${pressure(pressureKpa, units)}`)
    .join(', ');
