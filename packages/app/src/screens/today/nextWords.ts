import type { Outing } from '@dunlinmoss/contract';
import { familyOf, groundOf } from '@dunlinmoss/core';
import type { BoardEntry } from '@dunlinmoss/domain';

import { groundName } from '../../words/grounds';

export interface NextWords {
  readonly sentence: string;
  readonly numbers: Outing['pressures'];
  readonly button: string;
}

/** What is known of the machine's plan. */
export interface PlannedNext {
  /** The plan's numbers, as a gauge shows them; null where there is no plan. */
  readonly planned: Outing['pressures'] | null;
  /** Why there is none. */
  readonly waiting: string;
  readonly tested: boolean;
}

/** The one next step of a machine: one sentence, one button, and the numbers that belong to them. */
export function nextWords(
  { rig, outing, airing, step }: BoardEntry,
  { planned, waiting, tested }: PlannedNext,
): NextWords {
  const { kind } = familyOf(rig.family);
  const onBicycle = kind === 'bicycle';
  const the = kind === 'farm' ? 'the road' : 'pavement';
  const road = rig.axles.flatMap(({ position, roadKpa }) =>
    roadKpa === null ? [] : [{ position, pressureKpa: roadKpa }],
  );
  const set = outing?.pressures ?? [];
  switch (step) {
    case 'goOn':
      return airing!.way === 'out'
        ? { sentence: 'Air is being let out.', numbers: [], button: 'Go on letting out' }
        : { sentence: 'Air is being put back.', numbers: [], button: 'Go on putting in' };
    case 'standsLow':
      return {
        sentence: `It stands low. Put the air back before ${the}, or read every wheel.`,
        numbers: road,
        button: 'Put it back',
      };
    case 'backUp':
      return {
        // A bicycle or a tractor may be on its floor, and not below it.
        sentence: `You are at stuck pressure, for one attempt. Back up before you ${onBicycle ? 'ride' : 'drive'} on.`,
        numbers: planned ?? [],
        button: 'Every wheel is back up',
      };
    case 'setPressures': {
      if (!planned) return { sentence: waiting, numbers: [], button: 'See what would help' };
      const name = groundName(outing!.groundCode);
      if (groundOf(outing!.groundCode).paved) {
        return { sentence: `${name} ahead. Stay at road pressure.`, numbers: planned, button: 'See why' };
      }
      return onBicycle
        ? {
            sentence: `${name} ahead. Set the pressure before you ride.`,
            numbers: planned,
            button: 'Set it',
          }
        : {
            sentence: `${name} ahead. Let air out before you drive on it.`,
            numbers: planned,
            button: 'Let it out',
          };
    }
    case 'test':
      return {
        sentence: 'Air is out. Prove it with a tape: one wheel, two pressures.',
        numbers: set,
        button: 'Measure the contact length',
      };
    case 'decide':
      return {
        sentence: tested
          ? 'Measured. Say what you decided, so that next time starts there.'
          : 'Pressures are set. When you know how it went, say what you decided, so that next time starts there.',
        numbers: set,
        button: 'Write the decision',
      };
    case 'airUp':
      return onBicycle
        ? { sentence: 'Decided. End the ride, and it is in the Book.', numbers: set, button: 'End the ride' }
        : { sentence: `Before ${the} put the air back.`, numbers: road, button: 'Put it back' };
    case 'endOuting':
      return {
        sentence: 'Every wheel was read at its road pressure. The outing can end.',
        numbers: road,
        button: 'End the outing',
      };
    case 'start':
      return { sentence: '', numbers: [], button: '' };
  }
}
