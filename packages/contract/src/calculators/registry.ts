import { airPressureCalculator } from './airPressure';
import type { Calculator } from './calculator';
import { contactCalculator } from './contact';
import { gaugeFitnessCalculator } from './gaugeFitness';
import { gaugeNowCalculator } from './gaugeNow';
import { groundPlanCalculator } from './groundPlan';
import { marginCalculator } from './margin';
import { onePressureCalculator } from './onePressure';
import { rigFindingsCalculator } from './rigFindings';
import { rigLoadsCalculator } from './rigLoads';
import { stuckLadderCalculator } from './stuckLadder';
import { tapeCalculator } from './tape';
import { tireCapacityCalculator } from './tireCapacity';
import { tireMarkingCalculator } from './tireMarking';
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
  whatIfCalculator,
  marginCalculator,
  onePressureCalculator,
  stuckLadderCalculator,
  tapeCalculator,
] as readonly Calculator[];
