import { isTrailer, type AxlePosition, type Family, type WeighedPart } from '@dunlinmoss/core';

/** An axle in a word or two: for headings, and before a colon. */
export const AXLE_WORDS: Record<AxlePosition, string> = {
  front: 'Front',
  rear: 'Rear',
  rear2: 'Second rear',
  trailer: 'Trailer',
  trailer2: 'Second trailer',
  trailer3: 'Third trailer',
};

/** `Front axle`, or `Front wheel` where one wheel is the axle. */
export const axleName = (position: AxlePosition, kind: Family['kind']): string =>
  `${AXLE_WORDS[position]} ${(kind === 'bicycle' || kind === 'motorcycle') && !isTrailer(position) ? 'wheel' : 'axle'}`;

export const PART_WORDS: Record<WeighedPart, string> = {
  axle: 'Whole axle',
  single: 'Wheel',
  left: 'Left',
  right: 'Right',
  leftOuter: 'Left outer',
  leftInner: 'Left inner',
  rightInner: 'Right inner',
  rightOuter: 'Right outer',
};
