export { type Caution, type CautionStage, type Lifter, WEIGHTS, type Weight } from './caution.ts';
export type { Check } from './check.ts';
export {
  type Figure,
  type FigurePart,
  type Origin,
  type SubLine,
  type Told,
  UNPUBLISHED,
  type Unpublished,
  type Working,
  type WorkingInput,
  weakest,
} from './figure.ts';
export type { Problem, ProblemCode } from './problem.ts';
