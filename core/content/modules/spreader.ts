import { SLIDE_IN, STORE } from '../sequences/spreader';
import { spreaderChecks } from './spreader-checks';
import type { Module, Procedure } from '../../catalogue';
import { caution, module, place, rect } from '../write';

const conveyor = caution(
  'DANGER',
  'Never reach into a hopper or onto a conveyor that can start. Power take-off out, key with you.',
);
const thrown = caution('WARNING', 'Stones fly from the spinner. Nobody behind or beside it.');

const cycle: Procedure = {
  id: 'spreader.cycle.procedure',
  title: 'Conveyor and spinner, empty',
  check: 'spreader.cycle',
  stand: 'At the controls in the cab; the helper ten steps behind, to the curb side',
  clear: { x: 0, y: -4, length: 9, width: 8 },
  cautions: [conveyor, thrown],
  steps: [
    {
      id: 'clear',
      say: 'Helper: look into the hopper, then walk clear and raise a hand.',
      who: 'helper',
      gate: {
        ask: 'Hopper empty of people and tools, zone clear?',
        otherwise: 'The conveyor pulls in what lies on it.',
      },
      fails: [],
    },
    {
      id: 'spinner',
      say: 'Spinner on at the lowest setting.',
      see: 'Runs true, no knock.',
      withinSeconds: 5,
      fails: ['no-start', 'runs-uneven'],
    },
    {
      id: 'conveyor',
      say: 'Conveyor on at the lowest setting.',
      see: 'Chain flat, no jump.',
      withinSeconds: 5,
      fails: ['no-start', 'runs-uneven'],
    },
    {
      id: 'faster',
      say: 'Two settings up, for some seconds.',
      see: 'Both follow at once.',
      holdSeconds: 15,
      fails: ['runs-uneven'],
    },
    {
      id: 'stop',
      say: 'Stop both.',
      see: 'Both stand within a breath.',
      withinSeconds: 3,
      fails: ['no-stop'],
    },
    { id: 'lamp', say: 'Work lamp and beacon on, helper looks.', who: 'helper', fails: [] },
    { id: 'out', say: 'Power take-off out.', see: 'Lamp out.', who: 'driver', fails: ['no-stop'] },
  ],
};

/** Hopper spreader that is slid into a body for the season. */
export const spreader: Module = module({
  id: 'slide-in-spreader',
  title: 'Slide-in hopper spreader',
  build: 'attachment',
  apart: [
    'lamps',
    'beacon',
    'work-lamp',
    'card',
    'wash',
    'load.level',
    'electrical',
    'inhibitor',
    'control',
    'ladder',
    'mirror',
    'empty-off',
    'brakes-hosed',
  ],
  vehicleClass: 'goods',
  length: 4.1,
  width: 2.2,
  height: 3.2,
  capabilities: ['spread'],
  mountsOn: { sort: 'in-body', x: 0 },
  mounts: [{ sort: 'superstructure', x: 0.2 }],
  requires: ['hydraulics'],
  gives: ['hydraulics'],
  specification: [
    { id: 'hopperVolume', title: 'Volume of the hopper', kind: 'volume' },
    { id: 'massEmpty', title: 'Mass, empty', kind: 'mass' },
    { id: 'massGross', title: 'Mass, loaded', kind: 'mass' },
  ],
  zones: [
    { id: 'driver-side', title: 'Spreader, driver side', round: 'outside', x: 1, y: -2.05 },
    { id: 'rear', title: 'Spreader, rear', round: 'outside', x: 4.9, y: -0.6, cautions: [thrown] },
    { id: 'seat', title: 'Spreader, in the cab', round: 'cab', x: -2.2, y: -0.45 },
    {
      id: 'spreader-controls',
      title: 'Spreader controls',
      round: 'equipment',
      x: -2.2,
      y: -0.4,
      cautions: [conveyor],
    },
  ],
  places: [
    place('tie-front-left', 'front left', ['tie-down'], 'driver-side', 0.2, -1.05),
    place('tie-front-right', 'front right', ['tie-down'], 'driver-side', 0.2, 1.05),
    place('tie-rear-left', 'rear left', ['tie-down'], 'rear', 3.7, -1.05),
    place('tie-rear-right', 'rear right', ['tie-down'], 'rear', 3.7, 1.05),
    place('spreader-lamp-left', 'left', ['spreader-lamp'], 'rear', 4, -0.95),
    place('spreader-lamp-right', 'right', ['spreader-lamp'], 'rear', 4, 0.95),
  ],
  shapes: [
    rect('hopper', 0, -1.1, 3.6, 2.2, 0.06),
    rect('frame', 0.1, -0.3, 3.4, 0.6),
    rect('platform', 3.6, -0.5, 0.5, 1, 0.4),
  ],
  checks: spreaderChecks,
  procedures: [cycle, SLIDE_IN, STORE],
  contents: [
    {
      id: 'spreader-card',
      check: 'spreader.card',
      title: 'Setting card of this spreader',
      count: 1,
    },
    { id: 'hopper-bar', check: 'spreader.card', title: 'Bar for build-up', count: 1 },
  ],
  services: [
    {
      id: 'spreader.calibration',
      title: 'Calibrate the spreader',
      every: { season: { month: 11, day: 1 } },
    },
    { id: 'spreader.gear-oil', title: 'Gearbox oil', every: { days: 365 } },
  ],
});
