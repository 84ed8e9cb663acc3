import type { DecisionCode, OutingState } from '@dunlinmoss/contract';
import type { AxlePosition } from '@dunlinmoss/core';

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

/** `front 15 psi, rear 20 psi` */
export const pressuresText = (
  pressures: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[],
  units: Units,
): string =>
  pressures
    .map(({ position, pressureKpa }) => `${AXLE_WORDS[position].toLowerCase()} ${pressure(pressureKpa, units)}`)
    .join(', ');
