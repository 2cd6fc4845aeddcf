import { LAW } from '../../catalogue';
import { betweenDualsCheck, pressureCheck, thumpCheck, treadCheck } from '../shared/tyres';
import type { Check } from '../../catalogue';
import { check, leak, symptom, worse } from '../write';

/** At the dual wheels of each side. */
export const rearWheelChecks: Check[] = [
  thumpCheck('truck', 'driver-rear-wheels', 'dual', 'coldPressureDrive'),
  treadCheck('truck', 'driver-rear-wheels', 'dual', LAW.treadOther, 'treadNewDrive', false),
  pressureCheck('truck', 'driver-rear-wheels', 'dual', 'coldPressureDrive', false),
  betweenDualsCheck('truck', 'driver-rear-wheels'),
  check({
    id: 'truck.body.mud-flap',
    title: 'Look at the mud flap',
    partName: 'Mud flap',
    zone: 'driver-rear-wheels',
    each: 'rear-end',
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
    partName: 'Axle housing and breather',
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
