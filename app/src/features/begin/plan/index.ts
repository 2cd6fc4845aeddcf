export { PlanSheet } from './plan-sheet';
