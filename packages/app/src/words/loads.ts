import type { Family, LoadMethod, LoadProblem, Standing } from '@dunlinmoss/core';

import type { Units } from '../settings/preferences';
import { AXLE_WORDS, axleName } from './axles';
import { mass } from './format';

/** How a load is known, in a few words: stands beside it everywhere. */
export const STANDING_WORDS: Record<Standing, string> = {
  weighed: 'weighed',
  shared: 'axle weighed, wheels shared alike',
  estimated: 'estimated',
};

/** The same in one word, where there is little room. */
export const STANDING_SHORT: Record<Standing, string> = {
  weighed: 'weighed',
  shared: 'axle weighed',
  estimated: 'estimate',
};

export const METHOD_WORDS: Record<LoadMethod, { readonly name: string; readonly note: string }> = {
  scales: { name: 'On scales', note: 'measured: best' },
  moments: { name: 'Worked out', note: 'empty, plus what is on it' },
  posture: { name: 'By posture', note: 'rider and bicycle' },
  split: { name: 'The whole alone', note: 'split by its kind: rough' },
  fullAndEmpty: { name: 'Full and empty', note: 'weighed twice; then by how full' },
};

/** How to weigh such a rig. */
export function weighingHint(kind: Family['kind']): string {
  switch (kind) {
    case 'bicycle':
      return 'A kitchen or bathroom scale under one wheel, a block of the same height under the other, rider on and still. Two scales under a plank: type both, like 21.4+19.8, and take the plank off again: −3.';
    case 'motorcycle':
    case 'quad':
      return 'A bathroom scale under each wheel, the others on blocks of the same height. Two scales under a plank: type both, like 64+71, and take the plank off again: −6.';
    case 'car':
    case 'farm':
      return 'Weighbridge: one ticket an axle, one for the whole. Better still a pad under each wheel.';
  }
}

/** Why the loads of a case are not known, and what would settle them. */
export function loadProblemText(problem: LoadProblem, kind: Family['kind'], units: Units): string {
  switch (problem.code) {
    case 'weightMissing':
      return `${axleName(problem.position, kind)}: no weight yet. Weigh it whole, or each wheel.`;
    case 'unladenMissing':
      return problem.position === 'coupling'
        ? 'What the empty drawbar presses on the coupling is missing.'
        : `${axleName(problem.position, kind)}: its empty load is missing.`;
    case 'riderMissing':
      return 'Rider and bicycle are missing.';
    case 'fullNotHeavier':
      return `Full it weighs ${mass(problem.fullKg, units)}, empty ${mass(problem.emptyKg, units)}: full must be more. Were they changed over, or is one in another unit?`;
    case 'wholeMissing':
      return 'The weight of the whole is missing.';
    case 'noSpacing':
      return problem.body === 'vehicle'
        ? 'Without the distance between the axles nothing can be worked out. Measure it from hub to hub.'
        : 'Without the distance from coupling to trailer axle nothing can be worked out. Measure it.';
    case 'noCoupling':
      return 'Where the trailer is coupled is not known. Measure from the front hub to the coupling.';
    case 'drawbarUp':
      return 'This load presses the drawbar upwards: it pulls at the coupling and takes load off the axle before it. Move it forward, ahead of the trailer’s axle.';
    case 'lifted':
      return `${AXLE_WORDS[problem.position]}: this load would lift a wheel off the ground. Check each weight and place.`;
  }
}
