export { PlanSheet } from './plan-sheet';
export { usePlanning, type Planning } from './use-planning';
