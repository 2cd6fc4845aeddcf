import {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisZones,
  fluidBrakeChecks,
  fluidBrakeSpecification,
  ofFluidBraked,
} from '../chassis';
import type { Check, Module, Procedure } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf, module, moved, rect } from '../write';

const P = 'tilt-truck';
const { repairs } = faultsOf('brakes', ['road']);
const cabs = faultsOf('driver-place', ['road']);
const falls = caution('DANGER', 'Never under a cab that is tilted and not locked by its prop.');

// Beneath a tilted cab nothing is read with the engine running.
const shared = ofFluidBraked(P, ['week.transmission']);

const own: Check[] = [
  ...fluidBrakeChecks(P),
  check({
    id: `${P}.cab.loose`,
    title: 'Clear the cab before it is tilted',
    partName: 'Loose things in the cab',
    zone: 'cab',
    method: 'look',
    phases: ['weekly', 'monthly'],
    seconds: 20,
    criterion: 'Nothing loose in it, doors shut, nobody in front.',
    symptoms: [repairs('things-loose', 'Loose things in it')],
    fixes: { 'things-loose': ['Take them out'] },
    cautions: [falls],
    why: 'They go through the windscreen.',
  }),
  check({
    id: `${P}.cab.tilt-cylinder`,
    title: 'Look at tilt pump, cylinder and line',
    partName: 'Cab tilt pump and cylinder',
    zone: 'driver-front-wheel',
    method: 'look',
    phases: ['weekly', 'monthly'],
    seconds: 9,
    criterion: 'Dry, valve turns.',
    symptoms: [
      cabs.repairs('tilt-leak', 'Oil at pump or cylinder'),
      cabs.stops('tilt-line', 'Line chafed through'),
    ],
    why: 'It holds a tonne over your back.',
  }),
  check({
    id: `${P}.cab.prop`,
    title: 'Tilt the cab and lock its prop',
    partName: 'Tilt cab and prop',
    zone: 'front',
    method: 'operate',
    moves: moved('cab', 'hand', ['road'], { held: 'brake-and-chocks' }),
    phases: ['weekly', 'monthly'],
    needs: ['engine-off', 'key-in-pocket', 'parking-brake-set', 'chocked', 'area-clear'],
    seconds: 90,
    criterion: 'Goes past its middle by itself, prop falls in and is locked.',
    symptoms: [
      cabs.stops('prop-fails', 'Prop does not lock'),
      cabs.repairs('tilt-stiff', 'Stiff or uneven'),
    ],
    cautions: [falls],
    why: 'Engine checks are made beneath it.',
  }),
  check({
    id: `${P}.cab.latches`,
    title: 'Cab down: both latches',
    partName: 'Cab latches',
    zone: 'front-corner',
    method: 'shake',
    precedes: ['movement'],
    phases: ['pre-trip', 'weekly', 'monthly'],
    seconds: 8,
    criterion: 'Both latched, lamp out.',
    symptoms: [
      cabs.stops('latch-open', 'A latch is open or its lamp stays on', {
        fixLeaves: 'repair',
      }),
    ],
    fixes: { 'latch-open': ['Latch it'] },
    why: 'It tips forward at the first brake.',
  }),
  check({
    id: `${P}.exhaust.regeneration`,
    title: 'Read the after-treatment lamp',
    partName: 'After-treatment lamp',
    zone: 'seat',
    method: 'look',
    needs: ['key-on'],
    seconds: 7,
    criterion: 'Out, or asks for a parked regeneration that is planned.',
    offers: ['clean-exhaust'],
    symptoms: [
      repairs('soot-full', 'Asks for regeneration now', {
        condition: 'Parked, nothing dry beneath, before leaving.',
        bars: 'before-leaving',
      }),
      faultsOf('exhaust').stops('derate', 'Power is cut'),
    ],
    cautions: [caution('WARNING', 'The pipe glows. Nothing that burns beneath or behind.')],
    why: 'Ignored it cuts the power on the hill.',
  }),
  check({
    id: `${P}.brake.engine`,
    title: 'Try the engine brake',
    partName: 'Engine brake',
    zone: 'seat',
    method: 'operate',
    moves: moved('engine-brake', 'engine', [], { clear: 'hand' }),
    needs: ['engine-idling', 'parking-brake-set'],
    seconds: 8,
    criterion: 'Engages and lets go.',
    symptoms: [
      repairs('engine-brake-dead', 'Dead', { condition: 'A lower gear on every descent.' }),
    ],
    why: 'It saves the brakes on the long hill.',
  }),

  check({
    id: `${P}.brake.pad-lamp`,
    title: 'Key on: read the pad-wear lamp',
    partName: 'Pad-wear lamp',
    zone: 'seat',
    method: 'look',
    needs: ['key-on'],
    seconds: 3,
    criterion: 'Lights at key on and goes out.',
    symptoms: [
      repairs('pad-lamp', 'Stays on', { condition: 'To the workshop, no load.', bars: 'job' }),
    ],
    why: 'It lights when a week of lining is left.',
  }),
  check({
    id: `${P}.brake.parking-buzzer`,
    title: 'Set the parking lever: its lamp, and its buzzer with the door open',
    partName: 'Parking lever, lamp and buzzer',
    zone: 'seat',
    method: 'operate',
    moves: BY_HAND,
    needs: ['key-on', 'parking-brake-set', 'chocked'],
    seconds: 8,
    criterion:
      'Lever holds in its notch; lamp on; buzzer when it is released and the door is open.',
    symptoms: [
      repairs('parking-buzzer', 'Lamp or buzzer dead'),
      faultsOf('brakes').stops('lever-jumps', 'Lever does not stay in its notch'),
    ],
    why: 'Trucks of this kind roll away because somebody believed that it was set.',
  }),
  check({
    id: `${P}.mirror.heat`,
    title: 'Switch on the heat of mirrors and seat',
    partName: 'Heat of mirrors and seat',
    zone: 'seat',
    method: 'operate',
    moves: BY_HAND,
    when: ['freezing'],
    needs: ['key-on'],
    seconds: 6,
    criterion: 'Glass clears within minutes.',
    symptoms: [faultsOf('mirrors').repairs('mirror-heat', 'Does not clear')],
    why: 'A mirror under ice shows nothing.',
  }),
  check({
    id: `${P}.electrical.block-heater`,
    title: 'Look at the block heater: cord, plug, cap',
    partName: 'Block heater',
    zone: 'front',
    method: 'look',
    when: ['freezing'],
    needs: ['engine-off'],
    seconds: 6,
    criterion: 'Unplugged, cap on, cord whole and tied up.',
    symptoms: [
      faultsOf('electrical').repairs('heater-cord', 'Cord or plug burnt'),
      faultsOf('electrical').watches('heater-plugged', 'Still plugged in'),
    ],
    fixes: { 'heater-plugged': ['Unplug it and stow the cord'] },
    why: 'It drives off with the wall.',
  }),
];

const tilt: Procedure = {
  id: `${P}.cab.prop.procedure`,
  title: 'Cab up, propped, and down',
  check: `${P}.cab.prop`,
  stand: 'At the pump on the curb side, out of the cab’s way',
  clear: { x: -2.5, y: -1.5, length: 3, width: 3 },
  cautions: [falls],
  steps: [
    {
      id: 'loose',
      say: 'Nothing loose in the cab; doors shut; hood or grille open if the manual says so.',
      gate: { ask: 'Cab empty and doors shut?', otherwise: 'Loose things break the windscreen.' },
      fails: [],
    },
    {
      id: 'front',
      say: 'Look in front and above.',
      gate: { ask: 'Room in front?', otherwise: 'Move the truck back first.' },
      fails: [],
    },
    {
      id: 'up',
      say: 'Valve to up, unlatch, pump.',
      see: 'Both sides come together.',
      fails: ['tilt-stiff'],
    },
    {
      id: 'prop',
      say: 'Past the middle; lock the prop.',
      see: 'Prop locked, cab rests on it.',
      gate: { ask: 'Prop locked?', otherwise: 'Nobody goes beneath. Lower it.' },
      fails: ['prop-fails'],
    },
    {
      id: 'down',
      say: 'Unlock the prop, valve to down, pump.',
      see: 'Down on its mounts.',
      fails: ['tilt-stiff'],
    },
    { id: 'latch', say: 'Latch both sides, valve back.', see: 'Lamp out.', fails: [] },
  ],
};

const measures = {
  length: 7.2,
  width: 2.4,
  frontAxle: 1.2,
  rearAxles: [5.2],
  dual: true,
  cab: { from: 0.05, to: 1.9, bonnet: false },
  tanks: 2.6,
};

/** Straight truck with a tilt cab and fluid brakes. */
export const hydraulicTruck: Module = module({
  id: 'straight-truck-hydraulic',
  title: 'Straight truck, hydraulic brakes, tilt cab',
  build: 'chassis',
  machine: { cab: ['cab', 'rolling'] },
  vehicleClass: 'goods',
  powered: true,
  opens: 'cab',
  length: 7.2,
  width: 2.4,
  height: 2.9,
  capabilities: ['road', 'tow'],
  joints: { rear: { sort: 'ball', x: 7.2 } },
  mounts: [
    { sort: 'body', x: 2.2 },
    { sort: 'behind-cab', x: 2.05 },
    { sort: 'transmission', x: 1.8 },
    { sort: 'rear-gate', x: 7.2 },
    { sort: 'front-hitch', x: 0 },
  ],
  gives: ['electrical-socket', 'charging-lead', 'warning-lamps'],
  specification: fluidBrakeSpecification,
  zones: chassisZones(measures),
  runningGear: chassisGear(measures),
  places: chassisPlaces(measures),
  shapes: [...chassisShapes(measures), rect('deck', 2.1, -1.2, 5.1, 2.4, 0.05)],
  // Pedal, booster and back-up pump are tried before the first roll.
  checks: [
    ...own.filter(({ zone }) => zone === 'brake-tests'),
    ...shared.checks,
    ...own.filter(({ zone }) => zone !== 'brake-tests'),
  ],
  procedures: [...shared.procedures, tilt],
  combinations: shared.combinations,
  services: shared.services,
});
