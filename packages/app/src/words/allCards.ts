import type { Paper } from '@dunlinmoss/contract';

import { countText } from './format';
import { fileSizeText } from './imports';

/** What the card of each machine tells. */
export type CardCode = 'pressures' | 'rig';

export const CARD_WORDS: Record<CardCode, { readonly name: string; readonly note: string; readonly file: string }> = {
  pressures: { name: 'Pressures by ground', note: 'as on the pressure card', file: 'pressure cards' },
  rig: { name: 'Tires and loads', note: 'as on the rig card', file: 'rig cards' },
};

export const CARD_PAPERS: readonly { readonly code: Paper; readonly name: string; readonly note: string }[] = [
  { code: 'A6', name: 'A6', note: 'as large as a hand' },
  { code: 'A5', name: 'A5', note: 'half a page' },
];

const cards = (many: number): string => (many === 1 ? '1 card' : `${countText(many)} cards`);

export const makeCardsText = (many: number): string => (many === 1 ? 'Make the card' : `Make ${cards(many)}`);
export const CARDS_BUSY = 'Making them …';
export const CARDS_NOTE =
  'A page for each machine shown above. The store lays them out; where it can’t, this device does.';
export const tooManyCards = (most: number): string =>
  `${countText(most)} cards at a time: put a word into “Find” above.`;

/** How far it is. */
export const CARDS_STEPS = { working: 'Machines worked out', layingOut: 'Cards laid out' } as const;
export const CARDS_HERE = 'The store does not lay them out just now: this device does.';
export const CARDS_FAILED = 'The cards could not be made just now. Try again; the page of each machine has its own.';

/** They lie at the store, or were handed over already. */
export const cardsReadyText = (many: number, bytes: number, atStore: boolean): string =>
  `${cards(many)}, ${fileSizeText(bytes)}: ${
    atStore
      ? 'your browser fetches the PDF. Fetch it once more within the hour if that breaks off.'
      : 'the PDF is saved.'
  }`;
