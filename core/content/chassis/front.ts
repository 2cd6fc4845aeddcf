import { lampCheck, lampOut } from '../shared/lamps';
import type { Check } from '../../catalogue';
import { check, leak, symptom, worse } from '../write';

/** At the front: lamps, glass, grille. */
export const frontChecks: Check[] = [
  lampCheck('truck', {
    id: 'head',
    title: 'Look at the headlamp, low and high beam',
    zone: 'front',
    each: 'headlamp',
    criterion: 'Both beams lit, aimed alike, lens clear.',
    source: '49 CFR 393.24',
    out: lampOut('Headlamp out', { by: 'head' }),
    why: 'You see with it and are seen by it.',
    seconds: 7,
  }),
  lampCheck('truck', {
    id: 'front-signal',
    title: 'Look at the front turn signal and hazard lamp',
    zone: 'front',
    each: 'front-signal',
    criterion: 'Flashes 60 to 120 times a minute.',
    source: '49 CFR 393.19, 571.108',
    out: lampOut('Turn signal out', { by: 'signal' }),
    why: 'The one who comes towards you waits for it.',
    seconds: 6,
  }),
  check({
    id: 'truck.lamp.roof',
    title: 'Count the lamps on the cab roof',
    zone: 'front',
    method: 'count',
    needs: ['lamps-on'],
    seconds: 6,
    criterion: 'Five amber lamps lit.',
    source: '49 CFR 393.11',
    symptoms: [
      symptom('roof-lamp-out', 'Lamp out', 'lamps', 'repair', {
        scale: {
          question: 'How many are out?',
          steps: [
            { id: 'one', words: 'One', harm: 'watch' },
            { id: 'some', words: 'Two or three', harm: 'repair' },
            { id: 'most', words: 'Four or all', harm: 'repair' },
          ],
        },
        worse: [worse('dark', 'repair', 'height and breadth cannot be made out')],
      }),
    ],
    why: 'They tell how high and how wide you are.',
  }),
  check({
    id: 'truck.glass.windscreen',
    title: 'Look through the windscreen from outside',
    zone: 'front',
    method: 'look',
    needs: ['rag'],
    seconds: 8,
    criterion: 'Clean; no crack in the swept field; no chip over 19 mm.',
    source: '49 CFR 393.60(c)',
    symptoms: [
      symptom('screen-crack-swept', 'Cracks that cross in front of the driver', 'glass', 'stop'),
      symptom('screen-chip', 'Chip or short crack at the edge', 'glass', 'watch'),
      symptom('screen-dirty', 'Dirty or iced', 'glass', 'repair', {
        condition: 'Clean all of it before leaving.',
        bars: 'before-leaving',
      }),
    ],
    fixes: { 'screen-dirty': ['Clean it'] },
    why: 'Low sun on a cracked screen hides the road.',
  }),
  check({
    id: 'truck.glass.wiper-blades',
    title: 'Lift the wiper arms and feel the blades',
    zone: 'front',
    method: 'feel',
    seconds: 9,
    criterion: 'Spring back, rubber whole, not frozen to the glass.',
    source: '49 CFR 393.78',
    symptoms: [
      symptom('blade-torn', 'Rubber torn', 'wipers', 'repair', {
        worse: [worse('wet', 'stop', 'nothing clears the driver’s view')],
        condition: 'Dry weather only.',
        bars: 'wet',
      }),
      symptom('arm-loose', 'Arm loose or missing', 'wipers', 'repair', {
        worse: [worse('wet', 'stop', 'nothing clears the driver’s view')],
        condition: 'Dry weather only.',
        bars: 'wet',
      }),
    ],
    fixes: { 'blade-torn': ['Swap the blade'] },
    why: 'Rain does not wait for the workshop.',
  }),
  check({
    id: 'truck.body.grille',
    title: 'Look into grille and radiator',
    zone: 'front',
    method: 'look',
    seconds: 6,
    criterion: 'Free of snow, leaves and plastic; fins whole.',
    symptoms: [
      symptom('grille-blocked', 'Blocked', 'engine', 'repair', {
        condition: 'Clear it before leaving.',
        bars: 'before-leaving',
      }),
      leak('radiator-leak', 'Radiator leaks', 'engine'),
    ],
    fixes: { 'grille-blocked': ['Clear it by hand, engine off'] },
    why: 'An engine without air boils on the first hill.',
  }),
  check({
    id: 'truck.body.bumper',
    title: 'Shake bumper and tow eyes',
    zone: 'front',
    method: 'shake',
    seconds: 6,
    criterion: 'Firm, no sharp edge, tow eyes pinned.',
    source: '49 CFR 393.203(e)',
    symptoms: [
      symptom('bumper-loose', 'Loose', 'body', 'repair'),
      symptom('bumper-hanging', 'Hanging or cutting into the tyre', 'body', 'stop'),
    ],
    why: 'It must hold when you are pulled out of a ditch.',
  }),
  check({
    id: 'truck.records.decals',
    title: 'Read the unit number, weights and permits',
    zone: 'front',
    method: 'look',
    seconds: 5,
    criterion: 'Legible, permit in date.',
    source: '49 CFR 390.21',
    symptoms: [
      symptom('decal-unreadable', 'Cannot be read', 'records', 'watch'),
      symptom('permit-expired', 'Permit out of date', 'records', 'repair'),
    ],
    why: 'The report must name the right unit.',
  }),
];
