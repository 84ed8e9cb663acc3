import type { RoutineOnScreen } from './onScreen';

export const standingHeightOnScreen: RoutineOnScreen = { strip: { unit: 'mm' } };
