import { lampOut, reflectorCheck } from '../shared/lamps';
import type { Check } from '../../catalogue';
import { check, rustScale, symptom, worse } from '../write';

/** Along both sides: frame, lamps, fenders, tank. */
export const sideChecks: Check[] = [
  check({
    id: 'tag-trailer.frame.rail',
    title: 'Look along frame and cross-members',
    zone: 'driver-wheels',
    each: 'side',
    method: 'look',
    needs: ['lamp', 'chocked'],
    seconds: 10,
    criterion: 'No crack, no bend, nothing hanging.',
    source: '49 CFR 393.201',
    symptoms: [
      symptom('frame-crack', 'Crack or bend', 'frame', 'stop'),
      symptom('frame-rust', 'Rust', 'frame', 'repair', { scale: rustScale }),
      symptom('hanging', 'Something hangs', 'body', 'repair', {
        condition: 'Tie it up before leaving.',
        bars: 'before-leaving',
      }),
    ],
    why: 'Trailers crack because nobody looks under them.',
  }),
  check({
    id: 'tag-trailer.lamp.side',
    title: 'Look at the side marker lamp',
    zone: 'driver-wheels',
    each: 'side',
    method: 'look',
    needs: ['lamps-on'],
    helper: 'may-help',
    seconds: 4,
    criterion: 'Lit, lens whole.',
    source: '49 CFR 393.11',
    symptoms: [lampOut('Side lamp out', { by: 'marker' })],
    fixes: { 'lamp-out': ['Swap the bulb'] },
    why: 'A dark trailer is driven into from the side.',
  }),
  reflectorCheck('tag-trailer', 'driver-wheels', 'side'),
  check({
    id: 'tag-trailer.body.fender',
    title: 'Shake the fender',
    zone: 'driver-wheels',
    each: 'fender',
    method: 'shake',
    needs: ['gloves'],
    seconds: 5,
    criterion: 'Tight, clear of the tyres.',
    symptoms: [
      symptom('fender-rubs', 'Touches a tyre', 'body', 'stop'),
      symptom('fender-loose', 'Loose', 'body', 'repair'),
    ],
    why: 'A fender that drops cuts the tyre.',
  }),
  check({
    id: 'tag-trailer.air.tank',
    title: 'Look at the trailer’s air tank, drain it',
    zone: 'curb-wheels',
    method: 'drain',
    phases: ['post-trip'],
    needs: ['glasses', 'chocked'],
    seconds: 20,
    criterion: 'Straps tight, little water, drain closes.',
    source: '49 CFR 393.50',
    symptoms: [
      symptom('tank-loose', 'Strap loose', 'brakes', 'stop'),
      symptom('drain-water', 'More than a cup of water', 'brakes', 'repair', {
        worse: [worse('freezing', 'stop', 'water freezes the relay valve')],
      }),
    ],
    why: 'Water in the last tank freezes first.',
  }),
  check({
    id: 'tag-trailer.suspension.equalizer',
    title: 'Look at the equalizer between the axles',
    zone: 'driver-wheels',
    each: 'side',
    method: 'look',
    needs: ['lamp', 'chocked'],
    seconds: 7,
    criterion: 'Swings freely, bushing and bolt in place.',
    source: '49 CFR 393.207',
    symptoms: [
      symptom('equalizer-crack', 'Cracked or bolt missing', 'suspension', 'stop'),
      symptom('equalizer-worn', 'Bushing worn', 'suspension', 'repair'),
    ],
    why: 'It shares the load between two axles.',
  }),
];
