import { axleKpa, firmestThatWent, judgeFirmest, OTHER_WHEELS, otherAxleOf } from './firmest';
import { defineRoutine, GAUGE } from './routine';

/** Drive off on the flat: it gets away or it digs in. For soft ground without a slope. */
export const pullAway = defineRoutine({
  code: 'pullAway',
  kinds: ['car', 'quad', 'motorcycle', 'farm'],
  minutes: 6,
  oneWheel: false,
  setup: {},
  run: {
    pressureKpa: GAUGE,
    result: { type: 'choice', options: ['away', 'labors', 'digsIn'] },
    ...OTHER_WHEELS,
  },
  // How many got away, 0 to 1.
  levelUnit: 'times',
  proves: { by: 'away', rolls: true, pressureKpa: firmestThatWent, otherKpa: otherAxleOf },
  judge: (runs, _, { family }) =>
    judgeFirmest(
      runs.map(({ result, ...wheels }) => ({
        pressureKpa: axleKpa(wheels),
        went: result === 'away',
        nearly: result === 'labors',
        dugIn: result === 'digsIn',
        word: result,
      })),
      family.trialStepKpa,
    ),
});
