import type { RoutineCode } from '@dunlinmoss/core';

import { bracketWords } from './bracket';
import { chalkWords } from './chalk';
import { climbWords } from './climb';
import { feelWords } from './feel';
import { infiltrationWords } from './infiltration';
import { kerbWords } from './kerb';
import { obstacleWords } from './obstacle';
import { penetrometerWords } from './penetrometer';
import { printWords } from './print';
import { pullAwayWords } from './pullAway';
import { rollOutWords } from './rollOut';
import type { RoutineWords } from './routineWords';
import { rutWords } from './rut';
import { shakeWords } from './shake';
import { splitWords } from './split';
import { standingHeightWords } from './standingHeight';
import { steadyPowerWords } from './steadyPower';
import { tapeWords } from './tape';
import { turnAndHitWords } from './turnAndHit';

export const ROUTINE_WORDS: Record<RoutineCode, RoutineWords> = {
  tape: tapeWords,
  print: printWords,
  chalk: chalkWords,
  standingHeight: standingHeightWords,
  climb: climbWords,
  pullAway: pullAwayWords,
  split: splitWords,
  obstacle: obstacleWords,
  turnAndHit: turnAndHitWords,
  kerb: kerbWords,
  rollOut: rollOutWords,
  steadyPower: steadyPowerWords,
  shake: shakeWords,
  feel: feelWords,
  bracket: bracketWords,
  rut: rutWords,
  penetrometer: penetrometerWords,
  infiltration: infiltrationWords,
};
