export { airPressureKpaAbs } from './atmosphere/airPressure';
export { gaugeNowKpa, type TireConditions } from './atmosphere/gaugeNow';
export {
  capacity,
  fullPressureKpa,
  loadCurve,
  pressureForLoadKpa,
  type Capacity,
  type CarryingConditions,
  type CurveProblem,
  type LoadCurve,
  type LoadEvidence,
  type LoadLine,
  type LoadRow,
} from './capacity/loadCurve';
export { dualFactor, FARM_DUAL_FACTOR } from './capacity/duals';
export { FARM_SPEED_TABLE, farmSpeedFactor } from './capacity/farmSpeed';
export { flexionLoadKg, flexionPressureKpa } from './capacity/flexion';
export { topSpeedKmh } from './capacity/speedFactor';
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
export type { Asked, AxleTemplate, Family, LikelyValues } from './families/family';
export { placeOf, PLACES, type PlaceCode } from './families/places';
export { questionOf, type Likely, type Question, type Slip } from './families/question';
export { FAMILIES, FAMILY_CODES, familyOf, type FamilyCode } from './families/registry';
export { trailerAxle } from './families/shared';
export type { Finding, FindingCode, FindingSeverity } from './findings/finding';
export { findingSeverity, findingsOf } from './findings/registry';
export { heaviestKg, isDual, type AxleFacts, type RigFacts } from './findings/rigFacts';
export { rimBandMm } from './findings/rimWidth';
export { correctedKpa, gaugeOffset, type Comparison, type Gauge, type GaugeOffset } from './gauges/gauge';
export { GAUGE_GRADES, gaugeFitness, type GaugeFitness, type GaugeFlaw } from './gauges/gaugeFitness';
export type { Ground } from './grounds/ground';
export { GROUND_CODES, groundOf, GROUNDS, type GroundCode } from './grounds/registry';
export { defaultFloorKpa, LAST_FLOOR_KPA, NAMED_FLOORS, type NamedFloor } from './limits/bead';
export { bindingFloor, type FloorCode } from './limits/floors';
export { FLEX_SHARE_LIMIT } from './limits/sidewallFlex';
export { balance, sides } from './loads/balance';
export {
  AXLE_POSITIONS,
  isTrailer,
  sideOf,
  WHEEL_CODES,
  WHEEL_COUNTS,
  wheelsOf,
  type AxlePlace,
  type AxlePosition,
  type RigGeometry,
  type Side,
  type WheelCode,
  type WheelCount,
} from './loads/geometry';
export {
  itemMassKg,
  LOAD_METHODS,
  type LoadCase,
  type LoadItem,
  type LoadMethod,
  type PostureLoad,
  type UnladenLoad,
  type WeighedPart,
  type Weighing,
} from './loads/loadCase';
export {
  loadsOf,
  type AxleLoad,
  type ItemShare,
  type LoadProblem,
  type RigLoads,
  type Standing,
} from './loads/loadsOf';
export { POSTURE_CODES, POSTURES, type Posture } from './loads/postures';
export { ticketSum } from './loads/ticketSum';
export type { AxlePlan, GroundPlan, SchoolPlan, PlanAxle, PlanInput, PlanProblem } from './plan/plan';
export { planGround } from './plan/planGround';
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
export { equalDeflectionKpa, referenceShare } from './schools/equalDeflection';
export { REFERENCE_RIG, REFERENCE_ROAD_KPA } from './schools/referenceRig';
export { DEFAULT_SCHOOL, SCHOOL_CODES, schoolOf, SCHOOLS, type SchoolCode } from './schools/registry';
export type { Source, SourceMark } from './source';
export { loadIndexKg, MAX_LOAD_INDEX } from './tires/loadIndex';
export { carcassFactor, LOAD_RANGE_CODES, LOAD_RANGES, type LoadRange } from './tires/loadRange';
export type { MarkingProblem } from './tires/notations/notation';
export { plyRatingOf } from './tires/plies';
export { NOTATIONS, readMarking, writeMarking } from './tires/readMarking';
export { sameSize } from './tires/sameSize';
export { SPEED_SYMBOLS, speedSymbolKmh, type SpeedSymbol } from './tires/speedSymbol';
export {
  outerDiameterMm,
  sectionHeightMm,
  TIRE_USES,
  type Construction,
  type Flexion,
  type ServiceDescription,
  type Tire,
  type TireUse,
} from './tires/tire';
export { AIR_TOOL_CODES, AIR_TOOLS, type AirToolCode } from './tools/registry';
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
