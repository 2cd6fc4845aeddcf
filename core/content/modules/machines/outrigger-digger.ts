import { tiedCheck, tracksCheck } from './aboard';
import { greasePoints } from '../../shared/grease';
import { setLegs, unloadLed } from '../../sequences/digger';
import { hydraulicChecks } from '../../shared/hydraulics';
import type { Check, Module } from '../../../catalogue';
import { BY_HAND, caution, check, faultsOf, module, moved, place, rect } from '../../write';

const P = 'led-digger';
const { stops, repairs, watches } = faultsOf('boom', ['dig']);
const legs = faultsOf('outriggers', ['dig']);
const control = faultsOf('electrical', ['dig']);
const aboard = faultsOf('load', ['road']);
const swing = caution('WARNING', 'Nobody in the swing of boom, legs and counterweight.');
const injection = caution(
  'DANGER',
  'Oil under pressure goes through skin. Never feel for a leak: to a doctor at once, even where it does not hurt.',
);

const points = greasePoints('greasePoints', 'boom', ['dig']);

const checks: Check[] = [
  ...hydraulicChecks({ prefix: P, zone: 'machine', takes: ['dig'], of: 'of the machine' }),
  tiedCheck(P, 'It stands on four feet and slides on all of them.'),
  check({
    id: `${P}.legs-in`,
    title: 'Look at each leg: in, pinned, pad on',
    partName: 'Machine legs',
    zone: 'machine',
    each: 'leg',
    method: 'look',
    phases: ['pre-trip', 'under-way', 'before-use'],
    seconds: 6,
    criterion: 'In, pin through, pad there and not torn.',
    symptoms: [
      aboard.stops('leg-out', 'Not in or not pinned', { fixLeaves: 'watch' }),
      legs.repairs('pad-torn', 'Pad torn or missing'),
      legs.stops('leg-crack', 'Crack or bend'),
    ],
    fixes: { 'leg-out': ['Pinned it'] },
    why: 'It swings out over the next lane.',
  }),
  tracksCheck(P),
  check({
    id: `${P}.width-pins`,
    title: 'Look at the pins of the track width',
    partName: 'Track width pins',
    zone: 'machine',
    method: 'look',
    phases: ['before-use'],
    seconds: 8,
    criterion: 'Both in, at the width that the slope is read for.',
    symptoms: [legs.stops('width-pin', 'A pin is out or will not go in')],
    why: 'Narrow it tips at half of the slope.',
  }),
  check({
    id: `${P}.slope.wide`,
    // Where the way is too steep it is not taken off at all.
    partOf: ['travel', 'legs'],
    inUse: 'survey',
    title: 'Measure the slope of the way, tracks wide',
    partName: 'Slope, tracks wide',
    zone: 'machine',
    method: 'measure',
    phases: ['before-use'],
    needs: ['secured'],
    seconds: 30,
    criterion: 'Not more than the card allows across and along, tracks extended.',
    reading: {
      kind: 'angle',
      ask: 'Steepest place of the way',
      typedIn: { metric: '°', customary: '°' },
      required: true,
      plausible: [0, 60, '°'],
      uncertainty: [0.5, '°'],
      bands: [
        {
          side: 'above',
          limit: { from: 'specification', field: 'slopeMostWide' },
          symptom: 'slope-wide',
        },
      ],
    },
    symptoms: [legs.stops('slope-wide', 'Steeper than it may go with its tracks wide')],
    why: 'It tips before anybody feels it.',
  }),
  check({
    id: `${P}.slope.narrow`,
    // Where the way is too steep it is not taken off at all.
    partOf: ['travel', 'legs'],
    inUse: 'survey',
    title: 'Measure the slope where it must go narrow',
    partName: 'Slope, tracks narrow',
    zone: 'machine',
    method: 'measure',
    phases: ['before-use'],
    needs: ['secured'],
    seconds: 30,
    criterion:
      'Not more than the card allows with narrow tracks; 0 where it stays wide all the way.',
    reading: {
      kind: 'angle',
      ask: 'Steepest place that it passes narrow, else 0',
      typedIn: { metric: '°', customary: '°' },
      required: true,
      plausible: [0, 60, '°'],
      uncertainty: [0.5, '°'],
      bands: [
        {
          side: 'above',
          limit: { from: 'specification', field: 'slopeMostNarrow' },
          symptom: 'slope-narrow',
        },
      ],
    },
    symptoms: [legs.stops('slope-narrow', 'Steeper than it may go with its tracks narrow')],
    why: 'A gate is narrow, and the path behind it slopes.',
  }),
  check({
    id: `${P}.boom`,
    title: 'Look over boom, stick, pins and attachment',
    partName: 'Boom, stick, pins and attachment',
    zone: 'machine',
    method: 'look',
    phases: ['pre-trip', 'before-use'],
    seconds: 14,
    criterion: 'No crack, pins and keepers in, coupler locked.',
    symptoms: [
      stops('boom-crack', 'Crack'),
      stops('pin-out', 'Pin or keeper missing'),
      watches('pin-worn', 'Worn'),
    ],
    why: 'It hangs over a foundation, and over people.',
  }),
  check({
    id: `${P}.fluids`,
    title: 'Read oil, coolant, fuel and hydraulic oil',
    partName: 'Fluids of the machine',
    zone: 'machine',
    method: 'look',
    phases: ['before-use'],
    needs: ['own-engine-off', 'level-ground'],
    seconds: 25,
    criterion: 'All between their marks, fuel enough for the shift.',
    symptoms: [
      repairs('fluid-low', 'One is low'),
      stops('oil-none', 'Oil not on the stick, or milky'),
    ],
    fixes: { 'fluid-low': ['Topped up with what the label says'] },
    cautions: [injection],
    why: 'Small tanks empty quickly.',
  }),
  check({
    id: `${P}.pendant`,
    title: 'Look at radio, pendant, cable and spare battery',
    partName: 'Radio, pendant, cable and battery',
    zone: 'machine',
    method: 'look',
    phases: ['pre-trip', 'before-use'],
    seconds: 10,
    criterion: 'Whole, labelled, battery full, a second one there.',
    symptoms: [
      control.stops('pendant-broken', 'Broken, wet inside, or labels gone'),
      control.repairs('pendant-battery', 'No full battery'),
    ],
    why: 'When it dies, the boom stays where it is.',
  }),
  check({
    id: `${P}.own-engine`,
    title: 'Start its own engine and warm it up',
    partName: 'Machine engine start',
    zone: 'machine-controls',
    method: 'operate',
    moves: BY_HAND,
    does: ['own-engine-start'],
    phases: ['before-use'],
    needs: ['parking-brake-set', 'chocked', 'own-engine-off'],
    seconds: 60,
    criterion: 'Starts, lamps go out, runs evenly at its lowest speed.',
    symptoms: [
      repairs('engine-smokes', 'Smokes or runs unevenly'),
      stops('engine-lamp', 'A red lamp stays on'),
    ],
    why: 'Cold oil makes it jump.',
  }),
  check({
    id: `${P}.stop`,
    title: 'Press the emergency stop of radio and machine',
    partName: 'Emergency stop of radio and machine',
    zone: 'machine-controls',
    method: 'operate',
    moves: moved('travel', 'own-engine', ['dig'], {
      held: 'brake-and-chocks',
      takesAway: 'each emergency stop in turn',
    }),
    phases: ['before-use'],
    needs: ['own-engine-running', 'parking-brake-set', 'chocked', 'area-clear'],
    seconds: 20,
    criterion: 'Everything stops at once, and stays until it is reset.',
    symptoms: [stops('stop-dead', 'One does not stop it')],
    cautions: [swing],
    why: 'It is the only brake of whoever walks beside it.',
  }),
  check({
    id: `${P}.selector`,
    title: 'Selector in each place: nothing moves but what it names',
    partName: 'Function selector',
    zone: 'machine-controls',
    method: 'operate',
    moves: moved('legs', 'own-engine', ['dig'], {
      held: 'brake-and-chocks',
      takesAway: 'the selection',
    }),
    phases: ['before-use'],
    needs: ['own-engine-running', 'parking-brake-set', 'chocked', 'area-clear'],
    seconds: 25,
    criterion: 'Travel, legs and boom each alone.',
    symptoms: [stops('selector-mixed', 'Something else moves too')],
    cautions: [swing],
    why: 'A leg that answers to the travel lever breaks an ankle.',
  }),
  check({
    id: `${P}.tilt-alarm`,
    title: 'Try the tilt alarm as its manual says, unloaded',
    partName: 'Tilt alarm, unloaded',
    zone: 'machine-controls',
    method: 'operate',
    moves: moved('legs', 'own-engine', ['dig'], { held: 'brake-and-chocks' }),
    phases: ['before-use', 'weekly'],
    needs: ['own-engine-running', 'parking-brake-set', 'chocked', 'area-clear'],
    seconds: 20,
    criterion: 'Sounds at once, on machine and radio.',
    symptoms: [stops('tilt-silent', 'Silent on one of them')],
    why: 'Nobody beside it feels ten degrees.',
  }),
  check({
    id: `${P}.grease`,
    title: 'Grease pins, legs and slew ring by the list',
    partName: 'Grease of pins, legs and slew ring',
    zone: 'machine',
    method: 'grease',
    phases: ['weekly', 'post-trip'],
    needs: ['secured', 'grease-gun'],
    seconds: 240,
    criterion: 'As many points as its card counts; fresh grease shows at each.',
    reading: points.reading,
    symptoms: [repairs('fitting-blocked', 'A fitting takes no grease'), points.missed],
    why: 'A leg that sticks comes down with a bang.',
  }),
];

const unload = unloadLed(P);
const stand = setLegs(P);

/** Digger on tracks with four outriggers, led by a radio or a pendant. */
export const outriggerDigger: Module = module({
  id: 'outrigger-digger',
  title: 'Digger with outriggers, radio or pendant',
  build: 'attachment',
  apart: ['tied', 'legs-in', 'pendant', 'slope.wide', 'slope.narrow', 'fluids'],
  vehicleClass: 'machine',
  length: 3.2,
  width: 1.6,
  height: 2.1,
  capabilities: ['dig'],
  mountsOn: { sort: 'deck', x: 0 },
  specification: [
    { id: 'massEmpty', title: 'Mass', kind: 'mass' },
    { id: 'slopeMostWide', title: 'Slope, most, tracks wide', kind: 'angle', required: true },
    { id: 'slopeMostNarrow', title: 'Slope, most, tracks narrow', kind: 'angle', required: true },
    points.field,
  ],
  zones: [
    { id: 'machine', title: 'Machine aboard', round: 'outside', x: 1.6, y: 2.4, cautions: [swing] },
    {
      id: 'machine-controls',
      title: 'Beside the machine, with its radio',
      round: 'equipment',
      x: 1.6,
      y: -2.6,
      cautions: [swing],
    },
  ],
  places: [
    place('corner-1', 'front left', ['corner', 'leg'], 'machine', 0.2, -0.7),
    place('corner-2', 'front right', ['corner', 'leg'], 'machine', 0.2, 0.7),
    place('corner-3', 'rear left', ['corner', 'leg'], 'machine', 3, -0.7),
    place('corner-4', 'rear right', ['corner', 'leg'], 'machine', 3, 0.7),
    place('track-left', 'left', ['track'], 'machine', 1.6, -0.65),
    place('track-right', 'right', ['track'], 'machine', 1.6, 0.65),
  ],
  shapes: [
    rect('track', 0.5, -0.8, 2.2, 0.3, 0.15),
    rect('track', 0.5, 0.5, 2.2, 0.3, 0.15),
    rect('outrigger', 0.1, -0.75, 0.2, 1.5),
    rect('outrigger', 2.9, -0.75, 0.2, 1.5),
    rect('platform', 1, -0.5, 1.2, 1, 0.2),
    rect('boom', 0, -0.12, 1.4, 0.24),
  ],
  checks: [...checks, stand.check, unload.check],
  procedures: [stand.procedure, unload.procedure],
  services: [{ id: `${P}.service`, title: 'Engine oil and filters', every: { hours: 250 } }],
});
