import { LAW } from '../../catalogue';
import { pressureCheck, thumpCheck, treadCheck } from '../shared/tyres';
import type { Check } from '../../catalogue';
import { check, leak, symptom, worse } from '../write';

const BOTH = ['pre-trip', 'post-trip'] as const;

/** At the dual wheels of each side. */
export const rearWheelChecks: Check[] = [
  thumpCheck('truck', 'driver-rear-wheels', 'dual', 'coldPressureDrive'),
  treadCheck('truck', 'driver-rear-wheels', 'dual', LAW.treadOther, 'treadNewDrive', false),
  pressureCheck('truck', 'driver-rear-wheels', 'dual', 'coldPressureDrive', false),
  check({
    id: 'truck.tyre.between-duals',
    title: 'Look between the two tyres',
    zone: 'driver-rear-wheels',
    each: 'pair',
    method: 'look',
    phases: BOTH,
    needs: ['lamp'],
    seconds: 7,
    criterion: 'Daylight between them, nothing stuck, same height.',
    source: '49 CFR 393.75(a)(3)',
    symptoms: [
      symptom('duals-touch', 'They touch', 'tyres', 'stop'),
      symptom('duals-object', 'Stone or timber stuck', 'tyres', 'stop'),
      symptom('duals-uneven', 'One clearly lower', 'tyres', 'repair'),
    ],
    fixes: { 'duals-object': ['Take the stone out with the bar'] },
    why: 'A stone from between duals goes through a windscreen.',
  }),
  check({
    id: 'truck.body.mud-flap',
    title: 'Look at the mud flap',
    zone: 'driver-rear-wheels',
    each: 'pair',
    method: 'look',
    seconds: 4,
    criterion: 'There, whole, clear of the tyre.',
    source: 'state and provincial law',
    symptoms: [
      symptom('flap-gone', 'Missing or torn off', 'body', 'repair', {
        worse: [worse('wet', 'repair', 'spray blinds those behind')],
      }),
    ],
    why: 'It keeps stones and spray off those behind.',
  }),
  check({
    id: 'truck.driveline.axle-leak',
    title: 'Look at the axle housing and its breather',
    zone: 'driver-rear-wheels',
    method: 'look',
    needs: ['lamp', 'chocked'],
    seconds: 8,
    criterion: 'Dry at seams and pinion.',
    source: '49 CFR 396.5(b)',
    symptoms: [leak('axle-leak', 'Gear oil leaks', 'engine')],
    why: 'An axle that runs dry locks.',
  }),
];
