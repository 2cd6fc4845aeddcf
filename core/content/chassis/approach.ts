import type { Check } from '../../catalogue';
import { BY_HAND, caution, check, leak, symptom } from '../write';

const BOTH = ['pre-trip', 'post-trip'] as const;

/** From a few steps away, before anything is touched. */
export const approachChecks: Check[] = [
  check({
    id: 'truck.approach.secured',
    title: 'Set the brake, chock the wheels, pocket the keys',
    partName: 'Brake, chocks and keys',
    zone: 'front-corner',
    method: 'operate',
    moves: BY_HAND,
    phases: BOTH,
    needs: ['level-ground', 'engine-off'],
    does: ['shut-down', 'set-brake', 'chocks-in', 'key-off'],
    helper: 'driver-only',
    seconds: 35,
    criterion: 'Level ground, parking brake set, a chock at both sides of one wheel, keys on you.',
    symptoms: [
      symptom('chocks-missing', 'No chocks to be had', 'emergency', 'stop'),
      symptom('slope', 'Ground slopes, nowhere level', 'brakes', 'watch', {
        condition: 'Do the brake tests on level ground before leaving.',
        bars: 'before-leaving',
      }),
    ],
    cautions: [caution('DANGER', 'A parking brake alone does not hold for work near or under it.')],
    why: 'You will be under it, and somebody may start it.',
  }),
  check({
    id: 'truck.approach.lean',
    title: 'Stand back and see if it leans',
    partName: 'Stance of the truck',
    zone: 'front-corner',
    method: 'look',
    phases: BOTH,
    seconds: 8,
    criterion: 'Stands level across and along.',
    symptoms: [
      symptom('lean-slight', 'Leans a little, load even', 'suspension', 'repair'),
      symptom('lean-clear', 'Leans or sags clearly', 'suspension', 'stop'),
    ],
    why: 'A broken spring or a flat inner tyre shows first as a lean.',
  }),
  check({
    id: 'truck.approach.ground',
    title: 'Look under the front for fresh drops',
    partName: 'Ground under the front',
    zone: 'front-corner',
    method: 'look',
    phases: BOTH,
    needs: ['lamp'],
    seconds: 12,
    criterion: 'Dry ground. A patch of clean water from the air conditioning is none.',
    source: '49 CFR 396.5(b)',
    symptoms: [
      leak('oil-drops', 'Oil under the engine', 'engine'),
      leak('coolant-drops', 'Coolant under the engine', 'engine'),
      leak('fuel-drops', 'Fuel under the engine', 'fuel', ['stop', 'stop', 'stop']),
      leak('hydraulic-drops', 'Hydraulic or steering oil under it', 'hydraulics'),
    ],
    why: 'The ground keeps a record of the night.',
  }),
  check({
    id: 'truck.approach.damage',
    title: 'Look for fresh damage and anything tampered with',
    partName: 'Fresh damage',
    zone: 'front-corner',
    method: 'look',
    phases: BOTH,
    seconds: 14,
    criterion: 'No new dent, no sharp edge, doors and caps closed as they were left.',
    symptoms: [
      symptom('dent', 'New dent or scrape', 'body', 'watch'),
      symptom('sharp-edge', 'Sharp or hanging part', 'body', 'repair', {
        condition: 'Tie it back or take it off before leaving.',
        bars: 'before-leaving',
      }),
      symptom('tampered', 'Opened, cut or stolen from', 'body', 'stop'),
    ],
    why: 'What happened since last evening is yours once you drive off.',
  }),
];
