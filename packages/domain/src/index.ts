export { airingAfter, pressuresAfter, startsWith, toReadWith, type AiringStep } from './air/airingSteps';
export {
  coreRun,
  coreRuns,
  dropsOf,
  mergeAirings,
  outRate,
  pumpOf,
  pumpRate,
  runProblems,
  type PumpRate,
  type ToolUsed,
} from './air/airings';
export { centralLegs, type CentralLegs, type CentralRound } from './air/centralLegs';
export { inTire, type AirHistory, type InTire, type Knowledge } from './air/inTire';
export { allSettled, nextWheel, predictionOf, progressOf, type Prediction, type WheelProgress } from './air/predict';
export { deflatorsToday, suitsKind, valveMisfits, type DeflatorsToday, type ValveMisfit } from './air/kit';
export { planAiring, type AiringPlan } from './air/planAiring';
export { type RigNow } from './air/rigNow';
export { roadGaps, type RoadGap, type RoadGaps } from './air/roadGaps';
export { likelyDriven } from './air/likelyDriven';
export { readingsOf, watchRig, type WatchedRig, type WatchedWheel } from './air/watching';
export { inOrder, rigWheels, volumeOf, walksOf, type RigWheel } from './air/wheels';
export { axleOnGauge, firstOnGauge, gaugeStepKpa, onGauge, type GaugeUnits } from './gauge/onGauge';
export { axlesNow, boardOf, type Board, type BoardEntry, type BoardStep } from './board/board';
export {
  measuredPoints,
  PRINT_MEASURES,
  printChange,
  printCurve,
  type MeasuredPoint,
  type PrintMeasure,
} from './compare/printCurve';
export { plainSetup, setupOutcome, withSetup, type NoOutcome, type SetupOutcome } from './compare/setupOutcome';
export { isToCome, nextStep, openOutings, outingOf, pathOf } from './outing/nextStep';
export { MINUTES_A_STOP, USUAL_DAY, workOutDay, type DayLeg, type DayProblem } from './plan/dayLegs';
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
export { mergeChange } from './outing/mergeChange';
export { tankLevel, withTankLevel } from './plan/tankLevel';
export {
  countsUntilMs,
  nextTimeOf,
  provedOn,
  withProof,
  type ProofHistory,
  type ProofOfAxle,
  type ProvedAxle,
} from './proof/proved';
export { measuredTests, type MeasuredTest } from './proof/trialRuns';
export { limitsOfTest } from './proof/testLimits';
export { heaviest, testedWheels, type TestedTire, type TestedWheel } from './proof/testedWheels';
