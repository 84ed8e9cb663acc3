export { runProblem, wheelState, type AiringRun, type RunProblem, type WheelState } from './air/airing';
export { fillPlan, type FilledWheel, type FillInput, type FillPlan, type FillWheel } from './air/airUp';
export {
  centralCost,
  centralTimes,
  type UpProblem,
  type CentralAxle,
  type CentralCost,
  type CentralDay,
  type CentralInput,
  type CentralTimes,
} from './air/central';
export type { Budget, FlowPoint, Pump } from './tools/pump';
export {
  budgetLiters,
  CARBON_DIOXIDE_M3_PER_KG,
  fillSeconds,
  flowAtLPerMin,
  litersToFill,
  pressureAfterSeconds,
} from './air/compressor';
export { creepsBackKpa, drainTau, pressureAfterTau, READ_AGAIN_S } from './air/deflate';
export { leakTest, timeToFloor, type LeakTest, type TimeToFloor, type WatchedReading } from './air/leakTest';
export {
  drainPlan,
  openSeconds,
  pressureWhileOpenKpa,
  type DrainedWheel,
  type DrainPlan,
  type DrainWheel,
} from './air/letOut';
export { hoseJoin, levelling, type HoseJoin, type Levelling, type ReadWheel } from './air/level';
export { joinedKpa, moveAir, type Air, type Donor, type Moved, type Transfer } from './air/mixing';
export { limpSpeedKmh, onPavement, roadNeedKpa } from './air/roadNeed';
export { bestUse, type BestUse, type SoftWheel } from './air/shortOfAir';
export { KEEPING, measuredLossADay, storageLoss, TUBE_KINDS, type StorageLoss, type TubeKind } from './air/storage';
export { thin, type Stretch } from './air/thin';
export { dropProblem, rateFrom, rateOf, type DropProblem, type Rate, type TimedDrop } from './air/timedDrop';
export { innerVolumeL } from './air/volume';
export {
  alarmLevels,
  riseVerdict,
  RISE_LIMIT_KPA,
  TOO_HOT_C,
  watchWheel,
  type Advice,
  type AlarmLevels,
  type RiseVerdict,
  type Watched,
  type WatchedTarget,
  type WatchInput,
  type WatchReason,
} from './air/watch';
export { walkingOrder, walkSeconds } from './air/walk';
export { sameWheel, wheelKey, type WheelRef } from './air/wheel';
export { airPressureKpaAbs } from './atmosphere/airPressure';
export { coldKpa, gaugeNowKpa, type TireConditions } from './atmosphere/gaugeNow';
export { coldOfWarmKpa, JUST_DRIVEN_C, WARM_FOR_MIN, warmAdvice, type WarmAdvice } from './atmosphere/warmReading';
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
export { speedFactor, topSpeedKmh } from './capacity/speedFactor';
export type { Evidence, Observation } from './calibrate/observation';
export { ownTire, PRIOR, type OwnEstimate } from './calibrate/ownTire';
export { fitLine, type LineFit, type Point } from './numerics/fitLine';
export { CAUTION_CODES, cautionSeverity, type CautionCode } from './cautions/registry';
export { chordMm } from './contact/chord';
export {
  contactPatch,
  DEFAULT_CONTACT_CONSTANT,
  SQUARES_UP_KPA,
  TREAD_WIDTH_SHARE,
  type ContactPatch,
} from './contact/contactPatch';
export { dropShare, pressureForDropKpa } from './contact/bicycleDrop';
export {
  deflectionMm,
  deflectionShare,
  isBicycleTire,
  pressureForShareKpa,
  standingDiameterMm,
  widthOnRimMm,
  standingHeightMm,
} from './contact/deflection';
export { FAMILIAR, type FamiliarCode } from './contact/familiar';
export type { OwnFactor, OwnTire } from './contact/ownTire';
export { pressureForStiffnessKpa, stiffnessKgPerMm, type TireBuild } from './contact/stiffness';
export {
  KINDS,
  type RigFormField,
  type AxleTemplate,
  type BeadFloors,
  type Family,
  type Kind,
  type LikelyValues,
} from './families/family';
export { loadPositionOf, LOAD_POSITIONS, type LoadPositionCode } from './families/loadPositions';
export { pressureDoubt, type OtherReading, type PressureDoubt } from './families/pressureSlip';
export { questionOf, type Likely, type PlausibilityCheck, type Slip } from './families/question';
export { familiesWearing } from './families/familiesWearing';
export { FAMILIES, FAMILY_CODES, familyOf, type FamilyCode } from './families/registry';
export { trailerAxle } from './families/shared';
export type { Finding, FindingCode, FindingSeverity } from './findings/finding';
export { FINDING_CODES, findingSeverity, findingsOf } from './findings/registry';
export { heaviestKg, isDual, type AxleFacts, type RigFacts } from './findings/rigFacts';
export { rimBandMm } from './findings/rimWidth';
export { correctedKpa, gaugeOffset, type Comparison, type Gauge, type GaugeOffset } from './gauges/gauge';
export { GAUGE_GRADES, gaugeFitness, type GaugeFitness, type GaugeFlaw } from './gauges/gaugeFitness';
export { isLike, type Ground, type Trait } from './grounds/ground';
export {
  GROUND_CODES,
  type GroundCode,
  groundOf,
  groundOr,
  GROUNDS,
  groundsFor,
  PAVEMENT,
  STUCK,
} from './grounds/registry';
export { defaultFloorKpa, lastFloorKpa, NAMED_FLOORS, type NamedFloor } from './limits/bead';
export type { BindingCeiling, CeilingCode, CeilingValue } from './limits/ceilings';
export { bindingFloor, type BindingFloor, type FloorCode, type FloorValue } from './limits/floors';
export { pressureForSpeedKpa, speedForPressureKmh } from './limits/speedAtPressure';
export { BELOW_ROAD_KMH, HANDLING, SPEED_PAIRS, WALKING_KMH } from './limits/speedPairs';
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
export {
  splitLoads,
  USUAL_RIG_CODES,
  USUAL_RIGS,
  usualRigOf,
  type Laden,
  type UsualRig,
  type UsualRigCode,
} from './families/usualRigs';
export { ticketSum } from './loads/ticketSum';
export type { Figure } from './grounds/figure';
export { MODIFIER_CODES, modifierOf, modifiersFor, toggled, type ModifierCode } from './modifiers/registry';
export { bareAxle, sidewallMostKpa, type PlanAxle, type RimTry, type UnweighedAxle } from './axle/planAxle';
export type { AxlePlan, GroundPlan, ClampCode, PlanInput, PlanProblem, Remark, SchoolPlan } from './plan/plan';
export type { AxleContext } from './axle/axleContext';
export {
  margin,
  marginRun,
  MODEL_SPREADS,
  type Band,
  type Margin,
  type MarginInput,
  type Spreads,
} from './plan/margin';
export { curveHolds } from './limits/loadAtSpeed';
export { hooksMatter } from './limits/hooklessRim';
export { contextsOf, planGround } from './plan/planGround';
export {
  firstNumbers,
  type FirstAxle,
  type FirstInput,
  type FirstNumbers,
  wheelLoadsKg,
  withLoads,
} from './plan/firstNumbers';
export { speedLadder, type SpeedRung } from './plan/speedLadder';
export { stuckLadder, type Rung, type StuckLadder } from './plan/stuckLadder';
export { axleAt, leastAllowedKmh, type AxleAt } from './plan/axleAt';
export { whatIf, type WhatIf } from './plan/whatIf';
export type { ValueName, WorkingCode, WorkingStep } from './working/working';
export {
  bracket,
  CRITERIA,
  pressureAt,
  scoreOf,
  trialAdvice,
  type BracketRun,
  type BracketSetup,
} from './proof/bracket';
export { chalk, readChalk, type ChalkWord } from './proof/chalk';
export { climb, disagreement, predictedClimbs, type ClimbPrediction, type Disagreement } from './proof/climb';
export { coach, REACH, type TrialAdvice, type TrialRun } from './proof/coach';
export { INCH_OF_WATER_ML, infiltrationMmPerH, KIT_RING_MM, waterDepthMm } from './proof/infiltration';
export { compareLevels, levelsOf, spreadOf, type Level } from './proof/levels';
export { nextTime, PROOF_COUNTS, type NextTime, type Proved } from './proof/nextTime';
export { compareTapes, type TapedWheel } from './proof/compareTapes';
export { coneProfile, ROOT_LIMIT_KPA, TRACKS, type ConeProfile, type ConeReading } from './proof/penetrometer';
export { print, printFigures, type PrintFigures } from './proof/print';
export {
  judgeRoutine,
  ROUTINE_CODES,
  routineEvidence,
  routineRim,
  routineOf,
  ROUTINES,
  routinesFor,
  type RoutineCode,
  type RoutineTest,
} from './proof/registry';
export type {
  Field,
  Fields,
  FieldUnit,
  Judgement,
  Move,
  OutlineMm,
  Routine,
  RoutineValue,
  RoutineValues,
  TestedOn,
} from './proof/routine';
export { isAskedOf, optionsFor, readsGauge } from './proof/routine';
export { readingDoubt, testLimitsOf, type ReadingDoubt } from './proof/testLimits';
export type { TestLimits } from './proof/routine';
export { tukeyCdf } from './proof/tukey';
export {
  judgeTape,
  tapeLengthMm,
  type TapeMethod,
  type TapeReading,
  type TapeResult,
  type TapeSurface,
  type TapeTest,
  type TapeVerdict,
  type TapeContact,
} from './proof/tape';
export { axleKpa, otherAxleOf, type WheelsAtAttempt } from './proof/firmest';
export { failure, success, type Result } from './result/result';
export {
  atStart,
  driveOn,
  FRAME_S,
  PACES,
  type DriveEnd,
  type DriveOrder,
  type DriveRun,
  type DriveState,
  type Frame,
  type Pace,
} from './rehearsal/drive';
export {
  bellyOf,
  canRehearse,
  drivenRig,
  REHEARSED_KINDS,
  type DrivenAxle,
  type DrivenRig,
  type RehearsedKind,
} from './rehearsal/drivenRig';
export { lessonOf, LESSONS, lessonsFor, type LessonCode } from './rehearsal/lessons/registry';
export type { Lesson } from './rehearsal/lessons/lesson';
export { wayOf, type Lie, type Way } from './rehearsal/lie';
export {
  isOver,
  rehearse,
  type Choice,
  type ChoiceCode,
  type Expected,
  type Moment,
  type Rehearsal,
  type RehearsalInput,
  type Scene,
} from './rehearsal/scene';
export {
  FIT_WARMTH_C,
  LIMP_KM,
  LOOK_MIN,
  limpHome,
  limpIsOver,
  riseKpa,
  type Limp,
  type LimpChoice,
  type LimpCode,
  type LimpFrame,
  type LimpInput,
  type LimpMoment,
  type LimpScene,
} from './rehearsal/limpHome';
export {
  softnessSeen,
  USUAL_SOFTNESS,
  type ExpectedSoftness,
  type GroundAttempt,
  type OwnSoftness,
} from './rehearsal/ownSoftness';
export { mechanismOf, ofPlaces, twinOf, verdictOn, type Mechanism, type Verdict } from './rehearsal/verdict';
export { canBog, SURENESS, type Sureness } from './grounds/bogging';
export {
  planRoute,
  ROUTE_PLANS,
  USUAL_BOG_MIN,
  USUAL_PRICES,
  type Robustness,
  type RouteAnswer,
  type RouteInput,
  type RouteLeg,
  type RoutePlan,
  type RoutePlanCode,
  type RoutePrices,
  type RouteProblem,
} from './route/planRoute';
export type { RouteTools, Setting } from './route/routeStops';
export type { RouteStretch, Wear } from './route/stretch';
export { distanceM, type TrackPoint } from './track/distance';
export { climbM, smoothTrack, steepestDeg, trackProfile, type TrackProfile } from './track/profile';
export { thinTrack } from './track/thin';
export { equalDeflectionKpa, referenceShare } from './reference/equalShare';
export { REFERENCE_RIG, REFERENCE_ROAD_KPA } from './reference/referenceRig';
export { bicycleStartKpa, tradePointKpa } from './reference/bicyclePoints';
export { defaultFigureKpa } from './reference/defaultFigure';
export { SCHOOL_CODES, schoolOf, SCHOOLS, schoolsFor, type SchoolCode } from './schools/registry';
export type { MissingInput } from './schools/school';
export { onSnowKpa } from './reference/quadFigure';
export type { Source, SourceMark } from './sources/source';
export { BEAD_HOLDS, CASINGS, type BeadHold, type Casing } from './tires/fitting';
export { loadIndexKg, MAX_LOAD_INDEX } from './tires/loadIndex';
export { carcassFactor, LOAD_RANGE_CODES, LOAD_RANGES, type LoadRange } from './tires/loadRange';
export type { MarkingProblem, SizeKnown, SizePart } from './markings/notation';
export { plyRatingOf } from './tires/plies';
export { readSidewallText, type SidewallText } from './markings/sidewallText';
export { NOTATIONS, readMarking, writeMarking } from './markings/readMarking';
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
export type { InTool, OutTool } from './tools/airTool';
export {
  AIR_TOOL_CODES,
  AIR_TOOLS,
  IN_TOOLS,
  inToolOf,
  OUT_TOOLS,
  outToolOf,
  type AirToolCode,
  type InToolCode,
  type OutToolCode,
} from './tools/registry';
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
  type Unit,
  type UnitOf,
} from './units/units';
export type { PrintMeasure, PrintProblem, PrintQuestion, PrintStage } from './print/measurePrint';
export { outlineFigures, simplified, type OutlineFigures, type Rolls } from './print/outline';
export type { Photo } from './print/flatten';
export { planeOf, type Plane, type PlaneProblem, type PointPx, type Reference } from './print/plane';
export { usualValve, VALVES, type ValveCode } from './valves/valve';
export { LEVERS, levers, type Lever, type LeverCode, type LeverInput, type NoLever } from './depth/levers';
export {
  concentrationAt,
  CONTACT_ON_SOIL_SOURCE,
  contactOnSoil,
  firmAreaM2,
  softAreaM2,
  type FieldTire,
  type SoilContact,
} from './depth/onSoil';
export {
  CHANCE_SOURCE,
  chanceOf,
  PF_SPREAD,
  pressing,
  pressingOnly,
  shareDrivenOn,
  strengthAt,
  SUBSOIL_RULE,
  wetnessUnder,
  type AtDepth,
  type DepthOnly,
  type FarmSoil,
  type FarmAxle,
  type Pressing,
} from './depth/pressing';
export { RUT_SOURCE, rutDepthM } from './depth/rutDepth';
export {
  SHALLOWEST_M,
  STRESS_SOURCE,
  stressBelow,
  stressBelowAll,
  stressSheet,
  stressUnderCircle,
  type PlacedContact,
  type StressAt,
  type StressSheet,
} from './depth/stress';
export {
  DRYING_SOURCE,
  STRENGTH_SOURCE,
  TEXTURE_CODES,
  textureOf,
  TEXTURES,
  WATER_SOURCE,
  type Texture,
  type TextureCode,
} from './depth/textures';
export { compareNames, compareTexts, sortedByName } from './order/order';
export { FIELD_PF, suctionAfter, suctionOf, waterAt, wetnessAt } from './depth/water';
export { SOIL_CODES, soilOf, SOILS, type Soil, type SoilCode } from './soil/soils';
export {
  compactionResistanceKn,
  groundAnswerKpa,
  sinkageM,
  thrustKn,
  rigidSinkageM,
  wheelOnSoil,
  type SoilProblem,
  type WheelOnSoil,
} from './soil/wheelOnSoil';
