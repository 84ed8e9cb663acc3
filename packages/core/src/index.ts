export { airPressureKpaAbs } from './atmosphere/airPressure';
export { measuredContactFor, type DoneTapeTest } from './calibrate/measuredContact';
export { fitLine, type LineFit, type Point } from './calibrate/fitLine';
export { cautionSeverity, type CautionCode } from './cautions/cautions';
export { chordMm } from './contact/chord';
export {
  contactPatch,
  DEFAULT_CONTACT_CONSTANT,
  TREAD_WIDTH_SHARE,
  type ContactPatch,
  type MeasuredContact,
} from './contact/contactPatch';
export { deflectionMm, deflectionShare, pressureForShareKpa } from './contact/deflection';
export { pressureForStiffnessKpa, stiffnessKgPerMm, type TireBuild } from './contact/stiffness';
export type { Ground } from './grounds/ground';
export { GROUND_CODES, groundOf, GROUNDS, type GroundCode } from './grounds/registry';
export { bindingFloor, type FloorCode } from './limits/floors';
export { FLEX_SHARE_LIMIT } from './limits/sidewallFlex';
export { equalDeflectionKpa, referenceShare } from './plan/equalDeflection';
export type { AxlePlan, AxlePosition, GroundPlan, PlanAxle, PlanInput, PlanProblem } from './plan/plan';
export { planGround } from './plan/planGround';
export { REFERENCE_RIG } from './plan/referenceRig';
export type { ValueName, WorkingCode, WorkingStep } from './plan/working';
export {
  judgeTape,
  tapeLengthMm,
  type TapeMethod,
  type TapeReading,
  type TapeResult,
  type TapeSurface,
  type TapeTest,
  type TapeVerdict,
} from './proof/tape';
export { failure, success, type Result } from './result';
export type { Source, SourceMark } from './source';
export { loadIndexKg, MAX_LOAD_INDEX } from './tires/loadIndex';
export { carcassFactor, LOAD_RANGE_CODES, LOAD_RANGES, type LoadRange } from './tires/loadRange';
export type { MarkingProblem } from './tires/notations/notation';
export { NOTATIONS, readMarking, writeMarking } from './tires/readMarking';
export { SPEED_SYMBOLS, speedSymbolKmh, type SpeedSymbol } from './tires/speedSymbol';
export { outerDiameterMm, sectionHeightMm, type Construction, type ServiceDescription, type Tire } from './tires/tire';
export {
  fromCanonical,
  inch,
  psi,
  STANDARD_GRAVITY,
  toCanonical,
  UNITS,
  type LengthUnit,
  type MassUnit,
  type PressureUnit,
  type Quantity,
  type UnitOf,
} from './units/units';
