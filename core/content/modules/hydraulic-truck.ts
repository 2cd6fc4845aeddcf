import {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisSpecification,
  chassisZones,
  ofChassis,
} from '../chassis';
import { LAW } from '../../catalogue';
import { liningReading } from '../shared/foundation-brakes';
import type { Check, Module, Procedure } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf, leak, module, moved, rect } from '../write';

const P = 'tilt-truck';
const { stops, repairs } = faultsOf('brakes', ['road']);
const cabs = faultsOf('driver-place', ['road']);
const falls = caution('DANGER', 'Never under a cab that is tilted and not locked by its prop.');

/** Fluid brakes have no tanks and no compressor. */
const AIR = [
  'air.tanks',
  'air.drain',
  'air.dryer',
  'air.compressor',
  'air.full-charge',
  'air.leak-released',
  'air.leak-applied',
  'air.warning',
  'air.automatic',
  'air.build-up',
  'air.cut-in',
  'coupling.gladhands',
  'brake.chamber',
  'brake.slack',
  'brake.trailer',
  'month.stroke',
  'month.air-dryer',
];
const chassis = ofChassis(P, AIR);
/** What an air brake says of hoses and linings is not so with fluid: it does not hiss, and its lining may be thinner. */
const OF_FLUID: Readonly<
  Record<string, Partial<Check> & { readonly words: Readonly<Record<string, string>> }>
> = {
  [`${P}.brake.hose`]: {
    criterion: 'No chafe to the fabric, no bulge, dry, clear of wheel and exhaust.',
    words: { 'hose-leak': 'Hose or fitting wet with brake fluid' },
  },
  [`${P}.brake.lining`]: {
    criterion: 'Lining at least 1.6 mm (1/16 in), dry; drum or disc without cracks to its edge.',
    source: LAW.liningHydraulic.source,
    reading: liningReading([
      { side: 'below', limit: { from: 'law', ...LAW.liningHydraulic }, symptom: 'lining-thin' },
    ]),
    words: { 'lining-thin': 'Lining under 1.6 mm (1/16 in) or loose' },
  },
};
const shared = {
  ...chassis,
  checks: chassis.checks.map((each): Check => {
    const { words, ...own } = OF_FLUID[each.id] ?? {};
    return {
      ...each,
      ...own,
      symptoms: each.symptoms.map((of) => ({ ...of, words: words?.[of.id] ?? of.words })),
    };
  }),
};

const own: Check[] = [
  check({
    id: `${P}.brake.fluid`,
    title: 'Read the brake fluid',
    zone: 'engine-bay',
    method: 'look',
    needs: ['engine-off'],
    seconds: 7,
    criterion: 'Between the marks, clear.',
    source: '49 CFR 393.51(b)',
    symptoms: [stops('fluid-low', 'Below the lower mark'), repairs('fluid-dark', 'Dark or cloudy')],

    why: 'Fluid that is gone has leaked out somewhere.',
  }),
  check({
    id: `${P}.brake.booster-level`,
    title: 'Press the pedal off, then read the booster',
    zone: 'engine-bay',
    method: 'look',
    needs: ['engine-off'],
    seconds: 20,
    criterion: 'Pedal pressed until it goes hard, then at the mark.',
    symptoms: [
      repairs('booster-low', 'Low'),
      leak('booster-leak', 'Oil at the booster', 'brakes', ['repair', 'stop', 'stop']),
    ],
    why: 'Read under pressure it shows too little.',
  }),
  check({
    id: `${P}.brake.pedal-hold`,
    title: 'Hold the pedal down hard',
    zone: 'brake-tests',
    method: 'operate',
    moves: BY_HAND,
    precedes: ['rolling'],
    needs: ['engine-off', 'chocked', 'pedal-held-by-driver'],
    seconds: 15,
    criterion: 'Stays where it is for ten seconds.',
    symptoms: [stops('pedal-sinks', 'Sinks'), repairs('pedal-low', 'Lower than usual')],
    why: 'A pedal that sinks is a leak inside.',
  }),
  check({
    id: `${P}.brake.back-up`,
    title: 'Engine off, press once: back-up pump',
    zone: 'brake-tests',
    method: 'listen',
    precedes: ['rolling'],
    needs: ['engine-off', 'key-on', 'chocked'],
    seconds: 8,
    criterion: 'It hums and the lamp comes on.',
    symptoms: [stops('back-up-dead', 'Silent')],
    why: 'It is the brake when the engine dies.',
  }),
  check({
    id: `${P}.brake.booster-start`,
    title: 'Hold the pedal and start the engine',
    zone: 'brake-tests',
    method: 'operate',
    moves: moved('engine', 'electric', ['road'], {
      held: 'brake-and-chocks',
      clear: 'hand',
      ends: 'idling',
    }),
    does: ['start'],
    precedes: ['rolling'],
    needs: ['engine-off', 'key-on', 'chocked', 'parking-brake-set', 'pedal-held-by-driver'],
    seconds: 12,
    criterion: 'Drops a little as the booster comes.',
    symptoms: [stops('no-boost', 'Does not drop')],
    why: 'Without it one leg does not stop eight tonnes.',
  }),
  check({
    id: `${P}.cab.loose`,
    title: 'Clear the cab before it is tilted',
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
  specification: chassisSpecification.filter(
    ({ kind, id }) => kind !== 'pressure' || id.startsWith('cold'),
  ),
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
  procedures: [tilt],
  combinations: shared.combinations,
  services: shared.services,
});
