import type { DecisionCode, OutingRow, OutingState } from '@dunlinmoss/contract';
import { familyOf, type AxlePosition, type FamilyCode } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS } from './axles';
import { pressure } from './format';

export const DECISION_WORDS: Record<DecisionCode, string> = {
  keep: 'Keep this pressure',
  lower: 'Go lower next time',
  higher: 'Stay higher next time',
  turnedBack: 'Turned back',
};

const STATE_WORDS: Record<OutingState, string> = {
  planned: 'Planned',
  lowered: 'Air is out',
  closed: 'Back at road pressure',
};
const ON_A_BICYCLE: Record<OutingState, string> = { planned: 'Planned', lowered: 'Set', closed: 'Ridden' };

/** Where an outing stands; stuck pressure before all else. */
export function stateText({ state, stuckRung }: Pick<OutingRow, 'state' | 'stuckRung'>, family?: FamilyCode): string {
  if (stuckRung > 0 && state === 'lowered') return 'At stuck pressure';
  return (family && familyOf(family).kind === 'bicycle' ? ON_A_BICYCLE : STATE_WORDS)[state];
}

/** `front 15 psi, rear 20 psi` */
export const pressuresText = (
  pressures: readonly { readonly position: AxlePosition; readonly pressureKpa: number }[],
  units: Units,
): string =>
  pressures
    .map(({ position, pressureKpa }) => `${AXLE_WORDS[position].toLowerCase()} ${pressure(pressureKpa, units)}`)
    .join(', ');
