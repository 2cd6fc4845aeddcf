import type { Check, Symptom } from '../../catalogue';
import { check, symptom, worse } from '../write';

interface LampDraft {
  readonly id: string;
  readonly title: string;
  readonly partName: string;
  readonly zone: string;
  readonly each: string;
  readonly criterion: string;
  readonly source: string;
  readonly why: string;
  readonly out: Symptom;
  readonly helper?: Check['helper'];
  readonly pedal?: true;
  readonly seconds?: number;
}

/** A lamp that is out by day and in the dark; several of one sort weigh more. */
export function lampOut(
  words: string,
  options: {
    by: 'marker' | 'signal' | 'stop' | 'head' | 'plate';
  },
): Symptom {
  if (options.by === 'plate') return symptom('lamp-out', words, 'lamps', 'repair');
  if (options.by === 'marker')
    return symptom('lamp-out', words, 'lamps', 'repair', {
      condition: 'Daylight only until it is lit again.',
      bars: 'dark',
      many: {
        from: 3,
        harm: 'stop',
        because: 'the outline cannot be made out',
      },
    });
  if (options.by === 'head')
    return symptom('lamp-out', words, 'lamps', 'repair', {
      condition: 'Daylight and clear weather only.',
      bars: 'dark',
      worse: [
        worse('dark', 'stop', 'the road cannot be seen with one headlamp'),
        worse('wet', 'stop', 'headlamps are needed in rain and snow'),
      ],
      many: { from: 2, harm: 'stop', because: 'no headlamp is left' },
    });
  return symptom('lamp-out', words, 'lamps', options.by === 'stop' ? 'repair' : 'stop', {
    condition: 'To the nearest repair.',
    bars: 'job',
    worse: [worse('dark', 'stop', 'followers cannot see it in the dark')],
    many: { from: 2, harm: 'stop', because: 'nothing warns the one behind' },
  });
}

/** A lamp, its lens and its mounting, one instance a lamp. */
export function lampCheck(prefix: string, draft: LampDraft): Check {
  return check({
    id: `${prefix}.lamp.${draft.id}`,
    title: draft.title,
    partName: draft.partName,
    zone: draft.zone,
    each: draft.each,
    method: 'look',
    // Whoever looks at a stop lamp is not the one at the pedal.
    needs: ['lamps-on', ...(draft.pedal ? (['pedal-held-by-helper'] as const) : [])],
    helper: draft.helper ?? 'may-help',
    seconds: draft.seconds ?? 5,
    criterion: draft.criterion,
    source: draft.source,
    symptoms: [
      draft.out,
      symptom('lens-broken', 'Lens broken or wrong colour, lamp lit', 'lamps', 'repair'),
      symptom('lens-dirty', 'Too dirty to be seen', 'lamps', 'repair', {
        condition: 'Wipe it before leaving.',
        bars: 'before-leaving',
        worse: [worse('dark', 'stop', 'a dirty lamp is no lamp in the dark')],
      }),
    ],
    fixes: { 'lamp-out': ['Swap the bulb'], 'lens-dirty': ['Wipe the lens'] },
    why: draft.why,
  });
}

export function reflectorCheck(prefix: string, zone: string, each: string): Check {
  return check({
    id: `${prefix}.lamp.reflectors`,
    title: 'Look at reflectors and reflective tape',
    partName: 'Reflectors and tape',
    zone,
    each,
    method: 'look',
    needs: ['lamp'],
    seconds: 5,
    criterion: 'Clean, all there, shine back in the beam of the hand lamp.',
    source: '49 CFR 393.11, 393.13',
    symptoms: [
      symptom('reflector-missing', 'Missing or does not shine back', 'lamps', 'repair', {
        worse: [worse('dark', 'stop', 'nothing shows the side in the dark')],
        many: {
          from: 3,
          harm: 'stop',
          because: 'the outline cannot be made out',
        },
      }),
      symptom('reflector-dirty', 'Covered in dirt or salt', 'lamps', 'watch', {
        condition: 'Wipe it before leaving.',
        bars: 'before-leaving',
      }),
    ],
    fixes: { 'reflector-dirty': ['Wipe it'] },
    why: 'It still shows when every lamp has failed.',
  });
}
