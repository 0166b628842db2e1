export { checkPlan, crossProblems, rangeProblems, workProblems } from './check.ts';
