import type { UsualRigCode } from '@dunlinmoss/core';

/** Rigs as most of them are built, each by what people call it. */
export const USUAL_RIG_WORDS: Record<UsualRigCode, string> = {
  wagon: 'Wagon',
  smallFourWheel: 'Small 4x4',
  bigWagon: 'Big wagon',
  midPickup: 'Mid-size pickup',
  heavyPickup: 'Heavy pickup',
  van: 'Van',
  sideBySide: 'Side-by-side',
  quad: 'Quad',
  adventureTwin: 'Adventure twin',
  trailSingle: 'Trail single',
  lightSingle: 'Light single',
  gravelBike: 'Gravel bike',
  mountainBike: 'Mountain bike',
  fatBike: 'Fat bike',
  electricBike: 'E-bike',
  roadBike: 'Road bike',
  cityBike: 'City bike',
};

/** How it is loaded, in the words of its kind. */
export const LADEN_WORDS = {
  load: { label: 'Loaded how', empty: 'Lightly', loaded: 'Loaded behind' },
  riders: { label: 'On it', empty: 'One', loaded: 'Two' },
} as const;
