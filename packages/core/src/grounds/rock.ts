import { assumption, commonPractice } from '../sources/source';
import type { Ground } from './ground';

/** Rock: firm enough to keep the rim off it; on a bicycle 2 psi more when it is ridden fast, half of them here and half in
 * the way it is ridden. The motorcycle's share is our assumption. */
export const rock = {
  code: 'rock',
  kinds: ['motorcycle', 'bicycle'],
  notFor: ['roadBike', 'cityBike'],
  traits: ['sharp', 'edges', 'slick', 'slickTrail', 'hills'],
  ofClass: { start: 0.9, low: 0.8, high: 1, source: assumption },
  makerSteps: 1,
  bicycle: { start: 1, low: 0, high: 2, source: commonPractice },
  speedGuideKmh: { low: 30, high: 30 },
} as const satisfies Ground;
