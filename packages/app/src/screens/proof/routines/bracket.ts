import type { RoutineOnScreen } from './onScreen';

// The coach beside it says how sure it is.
export const bracketOnScreen: RoutineOnScreen = { strip: { sureElsewhere: true } };
