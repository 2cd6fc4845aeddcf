import { LAW } from '../../catalogue';
import { pressureCheck, treadCheck } from '../shared/tyres';
import type { Check } from '../../catalogue';
import { check, leak, symptom } from '../write';

/** At the front wheel of each side. */
export const steerWheelChecks: Check[] = [
  treadCheck('truck', 'driver-front-wheel', 'steer', LAW.treadSteer, 'treadNewSteer', true),
  pressureCheck('truck', 'driver-front-wheel', 'steer', 'coldPressureSteer', true),
  check({
    id: 'truck.steering.tie-rod',
    title: 'Shake tie rod and drag link at the wheel',
    partName: 'Tie rod and drag link',
    zone: 'driver-front-wheel',
    each: 'steer',
    method: 'shake',
    needs: ['chocked', 'gloves', 'lamp'],
    seconds: 12,
    criterion: 'Ball joints without play, boots whole, castle nuts pinned.',
    source: '49 CFR 393.209(d), (e)',
    symptoms: [
      symptom('joint-play', 'Joint has play', 'steering', 'stop'),
      symptom('pin-missing', 'Pin or nut missing', 'steering', 'stop'),
      symptom('boot-torn', 'Boot torn, joint tight', 'steering', 'repair'),
    ],
    why: 'When a ball joint drops out nothing steers.',
  }),
  check({
    id: 'truck.suspension.shock',
    title: 'Look at the shock absorber',
    partName: 'Shock absorber',
    zone: 'driver-front-wheel',
    each: 'steer',
    method: 'look',
    needs: ['lamp'],
    seconds: 6,
    criterion: 'Mounted at both ends, dry, not bent.',
    source: '49 CFR 393.207',
    symptoms: [
      symptom('shock-loose', 'Loose or hanging', 'suspension', 'repair', {
        condition: 'Tie it up before leaving; no rough roads.',
        bars: 'before-leaving',
      }),
      leak('shock-leak', 'Oil runs from it', 'suspension', ['watch', 'repair', 'repair']),
    ],
    why: 'A wheel that hops does not brake.',
  }),
];
