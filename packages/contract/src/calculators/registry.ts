import { airPressureCalculator } from './airPressure';
import type { Calculator } from './calculator';
import { contactCalculator } from './contact';
import { groundPlanCalculator } from './groundPlan';
import { tapeCalculator } from './tape';
import { tireMarkingCalculator } from './tireMarking';

export const CALCULATORS = [
  airPressureCalculator,
  tireMarkingCalculator,
  contactCalculator,
  groundPlanCalculator,
  tapeCalculator,
] as readonly Calculator[];
