import type { RoutineCode } from '@dunlinmoss/core';

import { bracketOnScreen } from './bracket';
import { chalkOnScreen } from './chalk';
import { climbOnScreen } from './climb';
import { infiltrationOnScreen } from './infiltration';
import type { RoutineOnScreen } from './onScreen';
import { penetrometerOnScreen } from './penetrometer';
import { printOnScreen } from './print';
import { tapeOnScreen } from './tape';

/** Tests that have something of their own on the screen; the others are drawn from their fields alone. */
const OWN: Partial<Record<RoutineCode, RoutineOnScreen>> = {
  bracket: bracketOnScreen,
  chalk: chalkOnScreen,
  climb: climbOnScreen,
  infiltration: infiltrationOnScreen,
  penetrometer: penetrometerOnScreen,
  print: printOnScreen,
  tape: tapeOnScreen,
};

export const onScreen = (code: RoutineCode): RoutineOnScreen => OWN[code] ?? {};
