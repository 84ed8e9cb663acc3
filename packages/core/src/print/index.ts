export type { Photo } from './flatten';
export {
  inkWithin,
  measurePrint,
  type FoundInk,
  type PrintMeasure,
  type PrintProblem,
  type PrintQuestion,
  type PrintStage,
} from './measurePrint';
