import { next, type RoutineWords } from './routineWords';

export const feelWords: RoutineWords = {
  name: 'Feel',
  tells: 'From what you feel to what to change.',
  need: 'Nothing.',
  where: 'Where it bothers you.',
  steps: ['Say what it does. Change one step, and say it again.'],
  read: 'Harsh, pinging, skipping: too high. Bottoming out, wallowing, folding, wandering, dragging: too low. On soft ground a front that pushes wide or wheels that spin want less.',
  fields: { end: 'Where you feel it', pressureKpa: 'Gauge', symptom: 'What it does' },
  options: {
    end: { front: 'Front', rear: 'Rear' },
    symptom: {
      well: 'Goes well',
      bottomsOut: 'Bottoms out',
      pings: 'Harsh, pings off',
      wallows: 'Bouncy, wallows: feels soft',
      bouncy: 'Bouncy, skips: feels hard',
      folds: 'Folds in turns',
      drags: 'Drags, slow',
      pushesWide: 'Front pushes wide',
      wanders: 'Wanders',
      spins: 'Spins on climbs',
    },
  },
  verdicts: {
    noRuns: 'Nothing said yet',
    bottomsOut: 'Bottoms out',
    wallows: 'Bouncy and soft',
    bouncy: 'Bouncy and hard',
    folds: 'Folds',
    wanders: 'Wanders',
    drags: 'Drags',
    pings: 'Harsh',
    pushesWide: 'Pushes wide',
    spins: 'Spins',
    well: 'Goes well',
  },
  advice: (judgement, units) => {
    const to = next(judgement, units);
    switch (judgement.verdict) {
      case 'noRuns':
        return 'Say what it does.';
      case 'well':
        return `Leave it.${to}`;
      case 'pushesWide':
        return `Lift off first. On snow and loose ground the front then wants less.${to}`;
      case 'bottomsOut':
        return `A step firmer, before the rim pays for it.${to}`;
      case 'pings':
      case 'bouncy':
      case 'spins':
        return `A step softer.${to}`;
      default:
        return `A step firmer.${to}`;
    }
  },
  runs: {
    bottomsOut: 'bottoms out',
    wallows: 'wallows',
    bouncy: 'skips',
    folds: 'folds',
    wanders: 'wanders',
    drags: 'drags',
    pings: 'harsh',
    pushesWide: 'pushes wide',
    spins: 'spins',
    well: 'goes well',
  },
};
