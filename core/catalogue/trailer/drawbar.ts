import type { Check } from '../types';
import { check, rustScale, symptom } from '../write';

const BOTH = ['pre-trip', 'post-trip'] as const;

/** At the drawbar: eye, chains, breakaway, lines, jack. */
export const drawbarChecks: Check[] = [
  check({
    id: 'tag-trailer.coupling.eye',
    title: 'Look at the eye in the hook',
    zone: 'drawbar',
    method: 'look',
    needs: ['lamp', 'chocked'],
    helper: 'driver-only',
    seconds: 14,
    criterion: 'Eye seated, latch closed and pinned, wear within the mark, no crack.',
    source: '49 CFR 393.70(c)',
    symptoms: [
      symptom('eye-crack', 'Crack in eye or drawbar', 'coupling', 'stop'),
      symptom('eye-unlocked', 'Latch open or pin missing', 'coupling', 'stop'),
      symptom('eye-worn', 'Worn, within the mark', 'coupling', 'repair'),
    ],
    why: 'The one joint that must not open.',
  }),
  check({
    id: 'tag-trailer.coupling.bolts',
    title: 'Shake the eye plate, feel its bolts',
    zone: 'drawbar',
    method: 'shake',
    needs: ['gloves', 'chocked'],
    seconds: 8,
    criterion: 'All bolts there and tight, height set with all of them.',
    source: '49 CFR 393.70(c)',
    symptoms: [
      symptom('plate-loose', 'Loose or a bolt missing', 'coupling', 'stop'),
      symptom('plate-rust-streak', 'Rust streak at a bolt, tight', 'coupling', 'repair'),
    ],
    why: 'Bolts that work loose saw through the plate.',
  }),
  check({
    id: 'tag-trailer.coupling.chain',
    title: 'Pull the safety chain and try its hook',
    zone: 'drawbar',
    each: 'chain',
    method: 'feel',
    needs: ['gloves'],
    seconds: 8,
    criterion:
      'Crossed under the drawbar, hooked with the latch shut, slack for turns, no worn link.',
    source: '49 CFR 393.70(d)',
    symptoms: [
      symptom('chain-missing', 'Missing, broken or unhooked', 'coupling', 'stop', {
        fixable: true,
      }),
      symptom('chain-worn', 'Link worn or stretched', 'coupling', 'stop'),
      symptom('hook-latch', 'Hook latch weak', 'coupling', 'repair', {
        many: { from: 2, harm: 'stop', because: 'both chains may jump out' },
      }),
      symptom('chain-drags', 'Drags on the ground', 'coupling', 'repair', {
        condition: 'Take it up before leaving.',
      }),
    ],
    fixes: ['Hook it crossed', 'Take up the slack'],
    why: 'Crossed chains catch the drawbar when the eye fails.',
  }),
  check({
    id: 'tag-trailer.coupling.breakaway',
    title: 'Follow the breakaway cable to its switch',
    zone: 'drawbar',
    method: 'look',
    seconds: 9,
    criterion: 'Hooked to the truck and not to the chains, whole, shorter than the chains, pin in.',
    source: '49 CFR 393.43(d)',
    symptoms: [
      symptom('breakaway-off', 'Not hooked, broken or pin out', 'brakes', 'stop', {
        fixable: true,
      }),
      symptom('breakaway-frayed', 'Frayed, still whole', 'brakes', 'repair'),
    ],
    fixes: ['Hook it to the truck'],
    why: 'It brakes a trailer that has torn away.',
  }),
  check({
    id: 'tag-trailer.coupling.breakaway-battery',
    title: 'Measure the breakaway battery',
    zone: 'drawbar',
    method: 'measure',
    seconds: 12,
    criterion: 'At least 12.4 V at rest, box shut, leads tight.',
    source: '49 CFR 393.43(d); unit specification',
    reading: {
      kind: 'voltage',
      ask: 'Voltage at the breakaway battery',
      required: true,
      plausible: [0, 17, 'V'],
      uncertainty: [0.05, 'V'],
      bands: [
        {
          side: 'below',
          limit: {
            from: 'specification',
            field: 'breakawayVoltageLow',
            share: 0.95,
          },
          symptom: 'breakaway-flat',
        },
        {
          side: 'below',
          limit: { from: 'specification', field: 'breakawayVoltageLow' },
          symptom: 'breakaway-weak',
        },
      ],
    },
    symptoms: [
      symptom('breakaway-flat', 'Flat', 'brakes', 'stop'),
      symptom('breakaway-weak', 'Weak', 'brakes', 'repair', {
        condition: 'Charge it before tomorrow.',
      }),
      symptom('breakaway-box', 'Box open or lead loose', 'electrical', 'repair'),
    ],
    why: 'Fifteen minutes of braking must come out of it.',
  }),
  check({
    id: 'tag-trailer.coupling.jack',
    title: 'Look that the jack is up and pinned',
    zone: 'drawbar',
    method: 'look',
    seconds: 5,
    criterion: 'Fully up, swung away, pin in, foot stowed.',
    symptoms: [
      symptom('jack-down', 'Does not stay up', 'coupling', 'stop', { fixable: true }),
      symptom('jack-bent', 'Bent, stays up', 'coupling', 'repair'),
    ],
    fixes: ['Wind it up and pin it'],
    why: 'A jack that drops digs in at speed.',
  }),
  check({
    id: 'tag-trailer.coupling.lines',
    title: 'Follow air lines and cable from truck to trailer',
    zone: 'drawbar',
    method: 'listen',
    needs: ['air-charged', 'chocked'],
    seconds: 10,
    criterion: 'No hiss, slack for turns, clear of ground and chains.',
    source: '49 CFR 393.45, 393.28',
    symptoms: [
      symptom('line-hiss', 'It hisses', 'brakes', 'stop'),
      symptom('line-drags', 'Drags or is stretched', 'brakes', 'repair', {
        condition: 'Tie it up before leaving.',
      }),
      symptom('cable-bare', 'Cable bare', 'electrical', 'repair'),
    ],
    fixes: ['Tie it up'],
    why: 'A line that drags is torn off at the first kerb.',
  }),
  check({
    id: 'tag-trailer.frame.drawbar',
    title: 'Follow the welds of the drawbar',
    zone: 'drawbar',
    method: 'look',
    needs: ['lamp', 'chocked'],
    seconds: 9,
    criterion: 'Straight, no crack at any weld.',
    source: '49 CFR 393.70, 393.201',
    symptoms: [
      symptom('drawbar-crack', 'Crack or bend', 'frame', 'stop'),
      symptom('drawbar-rust', 'Rust', 'frame', 'repair', { scale: rustScale }),
    ],
    why: 'A weld cracks from the bottom up, where nobody looks.',
  }),
  check({
    id: 'tag-trailer.approach.level',
    title: 'Stand back and see if truck and trailer stand level',
    zone: 'drawbar',
    method: 'look',
    phases: BOTH,
    seconds: 6,
    criterion: 'Drawbar level, bed not leaning.',
    symptoms: [
      symptom('nose-wrong', 'Nose high or low', 'coupling', 'repair', {
        condition: 'Set the eye to the height of the hook.',
      }),
      symptom('bed-leans', 'Bed leans', 'suspension', 'stop'),
    ],
    why: 'A nose that is too high takes weight off the truck’s axle.',
  }),
];
