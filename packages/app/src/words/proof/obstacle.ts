import { next, type RoutineWords } from './routineWords';

export const obstacleWords: RoutineWords = {
  name: 'Obstacle roll',
  tells: 'How the tire wraps round a rock, and what is left before rim and sidewall are hurt.',
  need: 'One rock of the size you will meet, someone to watch the sidewall.',
  where: 'Creep, in the lowest gear, over the same rock.',
  steps: [
    'Roll one wheel onto the rock and stop on top.',
    'Look at the wrap, the bulge of the sidewall, the rim, and the clearance; say whether you felt it in the seat.',
    'Roll off slowly.',
  ],
  read: 'It should wrap without the rim coming near and without the bulge scraping.',
  mind: 'Nobody in front of or beside the wheel while it moves.',
  fields: {
    pressureKpa: 'Gauge',
    wrap: 'Tread',
    bulge: 'Sidewall',
    rim: 'Rim',
    felt: 'From the seat',
    clearanceMm: 'Clearance left',
  },
  options: {
    wrap: { none: 'Rides on top', some: 'Wraps', folds: 'Folds' },
    bulge: { clear: 'Clear', near: 'Near the rock', scrapes: 'Scrapes' },
    rim: { clear: 'Clear', touches: 'Touches' },
    felt: { felt: 'Felt it', notFelt: 'Felt nothing' },
  },
  verdicts: {
    noRuns: 'Not rolled yet',
    rimTouches: 'The rim touches',
    sidewallScrapes: 'The sidewall scrapes',
    folds: 'It folds',
    bulgeNear: 'The bulge comes near the rock',
    hardly: 'It hardly wraps',
    wrapsAndFelt: 'It wraps, and you felt it',
    right: 'It wraps',
  },
  advice: (judgement, units) => {
    switch (judgement.verdict) {
      case 'noRuns':
        return 'Roll over the rock once.';
      case 'rimTouches':
        return `The rim is next to be bent.${next(judgement, units)}`;
      case 'sidewallScrapes':
        return `The bulge is where a cut begins.${next(judgement, units)} Or choose the line so that the tread takes the rock.`;
      case 'folds':
        return `The tread folds in.${next(judgement, units)}`;
      case 'bulgeNear':
        return `It wraps, and the bulge is near the rock: no softer, and keep the tread, not the sidewall, on the stone.${next(judgement, units)}`;
      case 'hardly':
        return `It rides on top, you feel every edge, and it will slip off.${next(judgement, units)}`;
      case 'wrapsAndFelt':
        return `It wraps, rim and sidewall stay clear, and it comes through to the seat. That is right for a loaded rig; a step softer is gentler, at a crawl alone.${next(judgement, units)}`;
      default:
        return `It wraps, and rim and sidewall stay clear.${next(judgement, units)}`;
    }
  },
  runs: {
    rimTouches: 'rim touches',
    sidewallScrapes: 'sidewall scrapes',
    folds: 'folds',
    bulgeNear: 'bulge near the rock',
    hardly: 'hardly wraps',
    wrapsAndFelt: 'wraps, felt',
    right: 'wraps',
  },
};
