import type { Source } from '../source';

/** Names of values in a working; the unit is the end of the name, as everywhere. */
export type ValueName =
  | 'aspectPercent'
  | 'carcassFactor'
  | 'chordMm'
  | 'contactConstant'
  | 'contactConstantError'
  | 'contactLengthMm'
  | 'deflectionMm'
  | 'deflectionShare'
  | 'groundPressureKpa'
  | 'leftLoadKg'
  | 'lowestKpa'
  | 'outerDiameterMm'
  | 'pressureKpa'
  | 'referencePressureKpa'
  | 'referenceRoadKpa'
  | 'rightLoadKg'
  | 'roadKpa'
  | 'beadFloorKpa'
  | 'flexFloorKpa'
  | 'sectionHeightMm'
  | 'sectionWidthMm'
  | 'startKpa'
  | 'stiffnessKgPerMm'
  | 'treadWidthMm'
  | 'wantedKpa'
  | 'windowHighKpa'
  | 'windowLowKpa'
  | 'wheelLoadKg';

export type WorkingCode =
  | 'wheelLoad'
  | 'tireSize'
  | 'referenceShare'
  | 'targetDeflection'
  | 'stiffnessNeeded'
  | 'wantedPressure'
  | 'tablePressure'
  | 'shareOfRoad'
  | 'placardRules'
  | 'floors'
  | 'start'
  | 'windowLow'
  | 'windowHigh'
  | 'stiffnessAtStart'
  | 'deflectionAtStart'
  | 'chord'
  | 'contactLength'
  | 'groundPressure';

/** One line of a working: what goes in, what comes out, and where the rule comes from. */
export interface WorkingStep {
  readonly code: WorkingCode;
  readonly inputs: Readonly<Partial<Record<ValueName, number>>>;
  readonly result: { readonly name: ValueName; readonly value: number };
  readonly source: Source;
}
