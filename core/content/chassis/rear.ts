import { lampCheck, lampOut } from '../shared/lamps';
import { plateCheck, underrideCheck } from '../shared/rear-end';
import type { Check } from '../../catalogue';
import { check, symptom } from '../write';

/** At the rear: lamps, hitch, lines. */
export const rearChecks: Check[] = [
  lampCheck('truck', {
    id: 'tail',
    title: 'Look at the tail lamp',
    partName: 'Tail lamp',
    zone: 'rear',
    each: 'rear-lamp',
    criterion: 'Lit, red, steady.',
    source: '49 CFR 393.11, 393.25',
    out: lampOut('Tail lamp out', { by: 'stop' }),
    why: 'It is all that the one behind sees at night.',
  }),
  lampCheck('truck', {
    id: 'stop',
    title: 'Look at the stop lamp while the pedal is held',
    partName: 'Stop lamp',
    zone: 'rear',
    each: 'rear-lamp',
    pedal: true,
    helper: 'needed',
    criterion: 'Clearly brighter than the tail lamp, at once.',
    source: '49 CFR 393.25(f)',
    out: lampOut('Stop lamp out', { by: 'stop' }),
    why: 'The only warning of your braking.',
    seconds: 8,
  }),
  lampCheck('truck', {
    id: 'rear-signal',
    title: 'Look at the rear turn signal',
    partName: 'Rear turn signal',
    zone: 'rear',
    each: 'rear-lamp',
    criterion: 'Flashes 60 to 120 times a minute.',
    source: '49 CFR 393.19, 571.108',
    out: lampOut('Turn signal out', { by: 'signal' }),
    why: 'Nobody can guess where you turn.',
    seconds: 6,
  }),
  check({
    id: 'truck.lamp.reverse',
    title: 'Look at reversing lamp and listen to the alarm',
    partName: 'Reversing lamp and alarm',
    zone: 'rear',
    method: 'listen',
    needs: ['engine-off', 'key-on', 'in-gear', 'chocked', 'parking-brake-set'],
    helper: 'may-help',
    seconds: 8,
    criterion: 'Lamp lit, alarm loud.',
    symptoms: [
      symptom('alarm-dead', 'Alarm silent', 'electrical', 'repair', {
        condition: 'Reverse only with a spotter.',
      }),
      symptom('reverse-lamp-out', 'Lamp out', 'lamps', 'repair', {
        condition: 'Reverse only with a spotter.',
      }),
    ],
    why: 'It warns whoever stands where you cannot see.',
  }),
  plateCheck('truck', 'rear'),
  underrideCheck('truck', 'rear'),
  check({
    id: 'truck.coupling.pintle',
    title: 'Shake the pintle hook and try its latch',
    partName: 'Pintle hook and latch',
    zone: 'rear',
    method: 'shake',
    when: ['towing'],
    needs: ['gloves', 'lamp', 'chocked'],
    helper: 'driver-only',
    seconds: 16,
    criterion: 'Bolts tight, no crack, latch closed and pinned, wear within the mark.',
    source: '49 CFR 393.70(c)',
    symptoms: [
      symptom('pintle-crack', 'Crack or loose bolts', 'coupling', 'stop', {
        takes: ['tow'],
      }),
      symptom('latch-open', 'Latch does not lock', 'coupling', 'stop', {
        takes: ['tow'],
      }),
      symptom('pintle-worn', 'Worn, within the mark', 'coupling', 'repair', {
        takes: ['tow'],
      }),
    ],
    why: 'It alone holds the trailer.',
  }),
  check({
    id: 'truck.coupling.gladhands',
    title: 'Listen at the air couplings, look at the seals',
    partName: 'Air couplings and seals',
    zone: 'rear',
    method: 'listen',
    when: ['towing'],
    needs: ['air-charged', 'chocked'],
    seconds: 12,
    criterion: 'Supply and control not crossed, seals whole, no hiss, lines hang free.',
    source: '49 CFR 393.45, 393.43',
    symptoms: [
      symptom('gladhand-hiss', 'It hisses', 'brakes', 'stop', { takes: ['tow'] }),
      symptom('seal-worn', 'Seal cracked, no hiss', 'brakes', 'repair', {
        takes: ['tow'],
      }),
      symptom('lines-crossed', 'Lines crossed', 'brakes', 'stop', {
        takes: ['tow'],
      }),
    ],
    fixes: {
      'gladhand-hiss': ['Swap the seal'],
      'seal-worn': ['Swap the seal'],
      'lines-crossed': ['Uncross the lines'],
    },
    why: 'Crossed or leaking lines leave the trailer without brakes.',
  }),
  check({
    id: 'truck.coupling.socket',
    title: 'Pull at the trailer cable and its plug',
    partName: 'Trailer cable and plug',
    zone: 'rear',
    method: 'feel',
    when: ['towing'],
    needs: ['gloves'],
    seconds: 8,
    criterion: 'Plug latched, pins straight, cable whole and off the ground.',
    source: '49 CFR 393.28',
    symptoms: [
      symptom('cable-bare', 'Cable bare or pin bent', 'electrical', 'repair', {
        takes: ['tow'],
      }),
      symptom('plug-loose', 'Plug does not hold', 'electrical', 'stop', {
        takes: ['tow'],
      }),
    ],

    why: 'Every lamp of the trailer hangs on it.',
  }),
];
