import { airPressureCalculator } from './airPressure';
import type { Calculator } from './calculator';
import { contactCalculator } from './contact';
import { gaugeFitnessCalculator } from './gaugeFitness';
import { gaugeNowCalculator } from './gaugeNow';
import { groundPlanCalculator } from './groundPlan';
import { rigFindingsCalculator } from './rigFindings';
import { rigLoadsCalculator } from './rigLoads';
import { tapeCalculator } from './tape';
import { tireCapacityCalculator } from './tireCapacity';
import { tireMarkingCalculator } from './tireMarking';

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
  tapeCalculator,
] as readonly Calculator[];
