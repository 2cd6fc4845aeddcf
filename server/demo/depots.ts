import type { PolicyChoice } from '@nazar/core/grading';
import { demoId } from './demo-id';

export interface DemoDepot {
  readonly id: string;
  readonly name: string;
  readonly choice: PolicyChoice;
}

export const depots: readonly DemoDepot[] = [
  {
    id: demoId('North Yard'),
    name: 'North Yard',
    choice: { usual: 'two-step', byClass: {} },
  },
  {
    id: demoId('Quay Depot'),
    name: 'Quay Depot',
    choice: { usual: 'nil-defect', byClass: { trailer: 'two-step', machine: 'affects-safety' } },
  },
  {
    id: demoId('Station 2'),
    name: 'Station 2',
    choice: { usual: 'fire-service', byClass: { utility: 'readiness' } },
  },
  {
    id: demoId('Fernbank Garage'),
    name: 'Fernbank Garage',
    choice: { usual: 'affects-safety', byClass: { utility: 'readiness' } },
  },
];
export const [north, quay, station, garage] = depots;
