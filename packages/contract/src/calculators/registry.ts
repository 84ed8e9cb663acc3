import { airPressureCalculator } from './airPressure';
import type { Calculator } from './calculator';
import { centralInflationCalculator } from './centralInflation';
import { contactCalculator } from './contact';
import { dayRouteCalculator } from './dayRoute';
import { fieldPressingCalculator } from './fieldPressing';
import { firstNumbersCalculator } from './firstNumbers';
import { gaugeFitnessCalculator } from './gaugeFitness';
import { gaugeNowCalculator } from './gaugeNow';
import { groundPlanCalculator } from './groundPlan';
import { leakCalculator } from './leak';
import { letOutCalculator } from './letOut';
import { marginCalculator } from './margin';
import { moveAirCalculator } from './moveAir';
import { ownTireCalculator } from './ownTire';
import { putInCalculator } from './putIn';
import { rigFindingsCalculator } from './rigFindings';
import { rigLoadsCalculator } from './rigLoads';
import { roadCheckCalculator } from './roadCheck';
import { routineCalculators } from './routines';
import { storageCalculator } from './storage';
import { stuckLadderCalculator } from './stuckLadder';
import { tapeCalculator } from './tape';
import { tireCapacityCalculator } from './tireCapacity';
import { tireMarkingCalculator } from './tireMarking';
import { practiceDriveCalculator } from './practiceDrive';
import { wheelOnSoilCalculator } from './wheelOnSoil';
import { whatIfCalculator } from './whatIf';

export const CALCULATORS = [
  airPressureCalculator,
  gaugeNowCalculator,
  tireMarkingCalculator,
  tireCapacityCalculator,
  rigLoadsCalculator,
  rigFindingsCalculator,
  gaugeFitnessCalculator,
  contactCalculator,
  groundPlanCalculator,
  firstNumbersCalculator,
  whatIfCalculator,
  marginCalculator,
  dayRouteCalculator,
  stuckLadderCalculator,
  tapeCalculator,
  ...routineCalculators,
  ownTireCalculator,
  wheelOnSoilCalculator,
  practiceDriveCalculator,
  fieldPressingCalculator,
  letOutCalculator,
  putInCalculator,
  moveAirCalculator,
  centralInflationCalculator,
  leakCalculator,
  storageCalculator,
  roadCheckCalculator,
] as readonly Calculator[];
