export { airingAfter, pressuresAfter, startsWith, toReadWith, type AiringStep } from './air/airingSteps';
export {
  coreRun,
  coreRuns,
  dropsOf,
  mergeAirings,
  outRate,
  pumpOf,
  pumpRate,
  wheelsAtOnceOf,
  runProblems,
  type PumpRate,
  type ToolUsed,
} from './air/airings';
export { centralLegs, type CentralLegs, type CentralRound } from './air/centralLegs';
export { softMs, softSpells, type SoftSpell } from './air/softTime';
export { nextLookMs, standingAxles, usualTube, type StandingAxle } from './air/standing';
export { courseOf, historiesOf, inTire, lastSetKpa, type AirHistory, type InTire, type Knowledge } from './air/inTire';
export { allSettled, nextWheel, predictionOf, progressOf, type Prediction, type WheelProgress } from './air/predict';
export { deflatorsToday, suitsKind, valveMisfits, type DeflatorsToday, type ValveMisfit } from './air/kit';
export { planAiring, type AiringPlan } from './air/planAiring';
export { type RigNow } from './air/rigNow';
export { roadGaps, type RoadGap, type RoadGaps } from './air/roadGaps';
export { likelyDriven } from './air/likelyDriven';
export { readingsOf, watchRig, type WatchedRig, type WatchedWheel } from './air/watching';
export { inOrder, rigWheels, volumeOf, walksOf, type RigWheel } from './air/wheels';
export { axleOnGauge, gaugeStepKpa, onGauge, type GaugeUnits } from './gauge/onGauge';
export { allMachines, axlesNow, type Board, type BoardEntry, boardOf, type Machine } from './board/board';
export { ANY_OUTING, findOutings, isAnyOuting, type BookQuery } from './book/findOutings';
export { seasonOf, type Mishap, type Season, type SeasonInput, type WorkedOn } from './book/season';
export {
  measuredPoints,
  PRINT_MEASURES,
  printChange,
  printCurve,
  type MeasuredPoint,
  type PrintMeasure,
} from './compare/printCurve';
export {
  isAsItStands,
  plainSetup,
  setupOutcome,
  withSetup,
  type NoOutcome,
  type SetupOutcome,
} from './compare/setupOutcome';
export {
  axleOnField,
  axlesInTrack,
  depthsOf,
  FIELD_DEPTHS,
  leastFor,
  ownCone,
  ownRut,
  ownStrength,
  soilOfField,
  USUAL_FIELD,
  type FieldDepth,
  type FieldWords,
  type OwnStrength,
} from './depth/onField';
export { isToCome, nextStep, openOutings, outingOf, pathOf } from './outing/nextStep';
export { shownPlan } from './plan/shownPlan';
export { DRAWS, gaugeErrorKpa, LOAD_SHARE, marginInputs, TEMP_C, UNKNOWN_GAUGE_KPA } from './plan/howSure';
export {
  askedOf,
  firstNumbersOf,
  planAxles,
  planInput,
  startsOf,
  type FirstRig,
  type NoPlan,
  type PlanRequest,
} from './plan/planInput';
export { isOfTire, judgementOf, ownTireOf, routineTestOf, type OwnOfAxle, type WrittenDown } from './evidence/evidence';
export { changesBetween, type FieldChange } from './merge/changesBetween';
export { alike, mergeRows, type Clash, type Merged } from './merge/mergeRows';
export { tankLevel, withTankLevel } from './plan/tankLevel';
export { tankTable, type TankRow, type TankState } from './plan/tankTable';
export {
  countsUntilMs,
  proofDoubt,
  provedOn,
  withProof,
  type ProofDoubt,
  type ProofHistory,
  type ProofOfAxle,
  type ProvedAxle,
} from './proof/proved';
export { measuredTests, type MeasuredTest } from './proof/trialRuns';
export { limitsOfTest } from './proof/testLimits';
export { heaviest, testedWheels, type TestedTire, type TestedWheel } from './proof/testedWheels';
export { limpInput } from './rehearsal/limpInput';
export { rehearsalInput, type NoRehearsal } from './rehearsal/rehearsalInput';
export {
  drivenOn,
  foundOn,
  newStretch,
  onceMore,
  routeInput,
  settingNow,
  startKnown,
  stretchesAhead,
  USUAL_DAY,
  USUAL_PULL_OVER_MIN,
  withStretch,
  type NoRoute,
  type RouteContext,
  type RouteTrouble,
  type StartKnown,
} from './route/dayRoute';
export { LEAST_STRETCH_M, marksOf, trackStretches, type TrackMark } from './route/trackStretches';
