export { buildOf, tireOf } from './calculators/shapes';
export { exchangeFile, importOutcome, type ExchangeFile, type ImportOutcome } from './exchange';
export { fieldProblems, problem, PROBLEM_CODES, type FieldProblem, type Problem, type ProblemCode } from './problem';
export {
  DECISIONS,
  outing,
  OUTING_STATES,
  type DecisionCode,
  type Outing,
  type OutingRow,
  type OutingState,
} from './resources/outing';
export {
  proofTest,
  tapeDetails,
  WHEELS,
  type ProofTest,
  type ProofTestRow,
  type TapeDetails,
  type Wheel,
} from './resources/proofTest';
export { RESOURCES, type BodyOf, type QueryOf, type ResourceName, type RowOf } from './resources/registry';
export { rig, rigAxle, type Rig, type RigAxle, type RigRow } from './resources/rig';
