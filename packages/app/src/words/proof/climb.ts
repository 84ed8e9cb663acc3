import type { ClimbPrediction, Disagreement } from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { pressure } from '../format';

import { next, sureText, type RoutineWords } from './routineWords';

export const climbWords: RoutineWords = {
  name: 'Climb',
  tells: 'The firmest pressure that still goes up: least work for tire and engine.',
  need: 'A slope that is just too steep at road pressure, a tape or paces, a way to turn round.',
  where: 'Always the same line, the same gear, at idle, with no run-up.',
  steps: [
    'Start at the foot from a standstill. Let it creep.',
    'Stop as soon as a wheel spins on the spot: spinning digs.',
    'Note how far it came, roll back straight, let air out a step and try the same line again.',
    'At the pressure that goes up, do it twice more.',
  ],
  read: 'The firmest pressure that goes up every time is the one. On sand most of the gain is less rolling resistance.',
  mind: 'Roll back straight and slowly. Nobody behind or below the vehicle. Stop before it digs in.',
  fields: {
    slopeDeg: 'Slope',
    soil: 'Soil, for a prediction',
    depthMm: 'How deep the snow is, for a prediction',
    pressureKpa: 'Gauge',
    result: 'How far',
    distanceM: 'Distance',
    mateKpa: 'The other wheel of that axle, where it differs',
    otherAxleKpa: 'Other axle, where it differs',
    otherMateKpa: 'The other wheel of the other axle, where it differs',
    brokeLoose: 'Where it broke loose',
    slipped: 'What slipped',
    rider: 'Rider',
  },
  options: {
    soil: {
      drySand: 'Dry sand',
      sandyLoam: 'Sandy loam',
      clayeySoil: 'Wet clayey soil',
      heavyClay: 'Heavy clay',
      leanClay: 'Lean clay',
      snow: 'Snow',
    },
    result: { reached: 'Went up', nearly: 'Nearly', stopped: 'Stopped' },
    slipped: { rear: 'Rear wheel', front: 'Front wheel', frontLifted: 'Front lifted' },
    rider: { seated: 'Seated', standing: 'Standing' },
    brokeLoose: { start: 'At the start', way: 'On the way', crest: 'At the crest', dugIn: 'Dug in' },
  },
  verdicts: {
    noRuns: 'No attempt yet',
    nonePasses: 'None goes up yet',
    dugIn: 'Dug in',
    contradicts: 'Attempts contradict each other',
    allPass: 'Every attempt goes up',
    between: 'Between two pressures',
    found: 'Found',
  },
  advice: (judgement, units) => {
    const { verdict, sure, contradictions } = judgement;
    const again = sure === null ? '' : ` The next attempt is likely to climb: ${sureText(sure)}.`;
    switch (verdict) {
      case 'noRuns':
        return 'Begin with the pressure the plan gives.';
      case 'nonePasses':
        return `Not soft enough yet.${next(judgement, units)} Not below the floor.`;
      case 'dugIn':
        return `It digs: dig the wheels free and lower it first, another attempt as it is only goes deeper.${next(judgement, units)}`;
      case 'contradicts':
        return `A softer attempt stopped where a firmer one went up (${contradictions.map(([a, b]) => `${a + 1} and ${b + 1}`).join(', ')}): the line or the ground was not the same. Do both once more.`;
      case 'allPass':
        return `It went up every time: you may be softer than you need.${again}${next(judgement, units)}`;
      case 'between':
        return `It lies between two pressures you tried.${next(judgement, units)}${again}`;
      default:
        return `The firmest that goes up, with the next step firmer failing.${next(judgement, units)}${again}`;
    }
  },
  counted: 'went up',
  run: 'Attempt',
  runs: {
    reached: 'went up',
    nearly: 'nearly there',
    stopped: 'stopped',
    start: 'spun at the start',
    way: 'broke loose on the way',
    crest: 'broke loose at the crest',
    dugIn: 'dug in',
    'slipped rear': 'the rear slipped',
    'slipped front': 'the front slipped',
    'slipped frontLifted': 'the front lifted',
  },
};

/** What the soil says of one pressure, against the slope that is climbed. */
export function predictionText(prediction: ClimbPrediction, slopeDeg: number | null): string {
  switch (prediction.code) {
    case 'sinksIn':
      return 'sinks in';
    case 'place':
      return prediction.place === 1 ? 'pulls best of these' : `number ${prediction.place} of these`;
    case 'climbs': {
      const { climbsDeg } = prediction;
      const climbs = climbsDeg < 0 ? 'can’t move on the level' : `climbs ${climbsDeg.toFixed(0)}°`;
      if (slopeDeg === null) return climbs;
      return `${climbs}, ${climbsDeg >= slopeDeg ? 'goes up' : 'does not go up'} these ${slopeDeg.toFixed(0)}°`;
    }
  }
}

/** That trial and prediction contradict each other, what is likely behind it, and what to say again. The trial counts. */
export function disagreementText({ code, pressureKpa }: Disagreement, hasSlope: boolean, units: Units): string {
  const at = pressure(pressureKpa, units);
  const slope = hasSlope ? ' and measure the slope' : '';
  return code === 'wentUp'
    ? `It went up at ${at} where this soil says it can’t: the ground is firmer than the one chosen, damp or shallow. Your trial counts. Choose the soil again${slope}.`
    : `It stopped at ${at} where this soil says it climbs: the ground is looser or deeper than the one chosen, or the line was not the same. Your trial counts. Choose the soil again${slope}.`;
}
