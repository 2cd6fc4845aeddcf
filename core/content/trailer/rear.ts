import { lampCheck, lampOut } from '../shared/lamps';
import { plateCheck, underrideCheck } from '../shared/rear-end';
import type { Check } from '../../catalogue';
import { caution, check, symptom, worse } from '../write';

const BOTH = ['pre-trip', 'post-trip'] as const;

/** At the rear: lamps, ramps, guard. */
export const rearChecks: Check[] = [
  lampCheck('tag-trailer', {
    id: 'tail',
    title: 'Look at the tail lamp',
    partName: 'Tail lamp',
    zone: 'rear',
    each: 'rear-lamp',
    criterion: 'Lit, red, steady.',
    source: '49 CFR 393.11, 393.25',
    out: lampOut('Tail lamp out', { by: 'stop' }),
    why: 'The trailer hides those of the truck.',
  }),
  lampCheck('tag-trailer', {
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
    why: 'The trailer hides those of the truck.',
    seconds: 7,
  }),
  lampCheck('tag-trailer', {
    id: 'signal',
    title: 'Look at the turn signal',
    partName: 'Turn signal',
    zone: 'rear',
    each: 'rear-lamp',
    criterion: 'Flashes in step with the truck.',
    source: '49 CFR 393.19, 571.108',
    out: lampOut('Turn signal out', { by: 'signal' }),
    why: 'Nobody can guess where you turn.',
    seconds: 6,
  }),
  check({
    id: 'tag-trailer.lamp.identification',
    title: 'Count the three red lamps in the middle',
    partName: 'Three red identification lamps',
    zone: 'rear',
    method: 'count',
    needs: ['lamps-on'],
    seconds: 4,
    criterion: 'Three lit.',
    source: '49 CFR 393.11',
    symptoms: [
      symptom('id-lamp-out', 'One or more out', 'lamps', 'repair', {
        condition: 'Daylight only until lit again.',
        bars: 'dark',
      }),
    ],
    fixes: { 'id-lamp-out': ['Swap the bulb'] },
    why: 'Three in a row say: wide and slow.',
  }),
  plateCheck('tag-trailer', 'rear'),
  check({
    id: 'tag-trailer.ramp.hinge',
    title: 'Shake the ramp, look at hinge and pin',
    partName: 'Ramp, hinge and pin',
    zone: 'rear',
    each: 'ramp',
    method: 'shake',
    phases: BOTH,
    needs: ['gloves'],
    helper: 'may-help',
    seconds: 9,
    criterion: 'Upright, locked, pin and clip in, spring whole.',
    symptoms: [
      symptom('ramp-unlocked', 'Does not lock upright', 'load', 'stop'),
      symptom('ramp-hinge', 'Hinge cracked', 'load', 'stop'),
      symptom('ramp-spring', 'Assist spring weak', 'load', 'repair', {
        condition: 'Two people lift it.',
      }),
    ],
    cautions: [caution('WARNING', 'Never stand behind a ramp that is being let down.')],
    why: 'A ramp that falls open on the road kills.',
  }),
  underrideCheck('tag-trailer', 'rear'),
  check({
    id: 'tag-trailer.lamp.slow-sign',
    title: 'Look at marker boards and conspicuity tape at the rear',
    partName: 'Marker boards and tape',
    zone: 'rear',
    method: 'look',
    needs: ['lamp', 'rag'],
    seconds: 5,
    criterion: 'Clean, all there, shine back.',
    source: '49 CFR 393.13',
    symptoms: [
      symptom('tape-missing', 'Missing or dull', 'lamps', 'repair', {
        worse: [worse('dark', 'stop', 'nothing marks the rear edge')],
      }),
      symptom('tape-dirty', 'Dirty', 'lamps', 'repair', {
        condition: 'Wipe it before leaving.',
        bars: 'before-leaving',
        worse: [worse('dark', 'stop', 'nothing marks the rear edge')],
      }),
    ],
    fixes: { 'tape-dirty': ['Wipe it'] },
    why: 'The rear edge is all that a car sees of it.',
  }),
];
