export { checkPlan } from './check.ts';
