import { trailerHandCheck } from './trailer-hand';
import {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisSpecification,
  chassisZones,
  ofChassis,
} from '../../chassis';
import type { Check, Module } from '../../../catalogue';
import { caution, check, faultsOf, module, moved, rect } from '../../write';
import { fifthWheelChecks } from './fifth-wheel';

const P = 'tractor';
const { stops, repairs } = faultsOf('body', ['road']);
const shared = ofChassis(P, [
  'coupling.pintle',
  'coupling.gladhands',
  'coupling.socket',
  'load.secured',
  'frame.underride',
  'body.tool-box',
  'body.mounts',
]);

const own: Check[] = [
  ...fifthWheelChecks(P, 'rear'),
  check({
    id: `${P}.catwalk`,
    title: 'Shake catwalk and steps behind the cab',
    partName: 'Catwalk and steps',
    zone: 'driver-side',
    method: 'shake',
    seconds: 7,
    criterion: 'Tight, rough, free of ice.',
    symptoms: [
      repairs('catwalk-loose', 'Loose'),
      repairs('catwalk-iced', 'Ice or oil on it', {
        worse: [{ in: 'freezing', harm: 'stop', because: 'an iced step throws people off' }],
      }),
    ],
    fixes: { 'catwalk-iced': ['Scrape it'] },
    why: 'One stands on it with both hands at the lines.',
  }),
  check({
    id: `${P}.cab-fairing`,
    title: 'Shake fairings and extenders',
    partName: 'Fairings and extenders',
    zone: 'curb-side',
    method: 'shake',
    seconds: 6,
    criterion: 'Tight, no crack at a bracket.',
    symptoms: [repairs('fairing-loose', 'Loose'), stops('fairing-hangs', 'Hangs')],
    why: 'The wind takes it.',
  }),
  check({
    id: `${P}.quarter-fenders`,
    title: 'Look at quarter fenders and flaps',
    partName: 'Quarter fenders and flaps',
    zone: 'driver-rear-wheels',
    method: 'look',
    seconds: 5,
    criterion: 'Fixed, clear of the tyres.',
    symptoms: [repairs('fender-loose', 'Loose or rubbing')],
    why: 'They fall into the duals.',
  }),
  check({
    id: `${P}.suspension.air-bags`,
    title: 'Look at air bags and ride height',
    partName: 'Air bags and ride height',
    zone: 'driver-rear-wheels',
    method: 'look',
    needs: ['lamp', 'air-charged'],
    seconds: 9,
    criterion: 'Round, no hiss, same height on both sides.',
    source: '49 CFR 393.207(f)',
    symptoms: [
      stops('bag-flat', 'Flat, cut or loose'),
      repairs('bag-hiss', 'Hisses, holds its height'),
      repairs('height-uneven', 'One side lower'),
    ],
    why: 'A flat bag lays the frame on the axle.',
  }),
  check({
    id: `${P}.suspension.dump-valve`,
    title: 'Dump and fill the air suspension',
    partName: 'Air suspension dump',
    zone: 'seat',
    method: 'operate',
    moves: moved('air-suspension', 'air', ['road']),
    phases: ['weekly', 'hook-up'],
    needs: ['air-charged', 'area-clear', 'parking-brake-set', 'key-on'],
    seconds: 30,
    criterion: 'Goes down and comes back.',
    symptoms: [repairs('dump-dead', 'Does not move')],
    why: 'It sets the height at coupling.',
  }),
  trailerHandCheck(P),
  check({
    id: `${P}.brake.protection`,
    title: 'Trailer supply out: protection valve',
    partName: 'Tractor protection valve',
    zone: 'brake-tests',
    method: 'operate',
    moves: moved('trailer-supply', 'air', ['tow'], { held: 'brake-and-chocks' }),
    needs: ['air-charged', 'chocked', 'engine-off', 'key-on', 'parking-brake-set', 'area-clear'],
    seconds: 20,
    criterion: 'Tractor keeps its air.',
    source: '49 CFR 393.43(b)',
    symptoms: [stops('protection-dead', 'Tractor loses its air')],
    why: 'A torn hose must not take the tractor’s brakes.',
  }),
  check({
    id: `${P}.exhaust.stack`,
    title: 'Look at stack, shield and after-treatment',
    partName: 'Stack, shield and after-treatment',
    zone: 'curb-side',
    method: 'look',
    seconds: 7,
    criterion: 'Tight, shield on.',
    symptoms: [
      repairs('stack-loose', 'Loose'),
      stops('shield-gone', 'Shield missing beside the lines'),
    ],
    cautions: [caution('CAUTION', 'It burns for half an hour.')],
    why: 'It melts what it touches.',
  }),
];

const measures = {
  length: 7,
  width: 2.5,
  frontAxle: 1.3,
  rearAxles: [5.1, 6.4],
  dual: true,
  cab: { from: 1.7, to: 4, bonnet: true },
  tanks: 3,
};

/** Road tractor, three axles. */
export const roadTractor: Module = module({
  id: 'road-tractor',
  title: 'Road tractor',
  build: 'chassis',
  vehicleClass: 'goods',
  powered: true,
  airBrakes: true,
  length: 7,
  width: 2.5,
  height: 3.9,
  capabilities: ['road', 'highway', 'tow'],
  joints: { rear: { sort: 'fifth-wheel', x: 5.6 } },
  mounts: [
    { sort: 'transmission', x: 3 },
    { sort: 'front-bumper', x: 0 },
  ],
  gives: ['air-lines', 'electrical-socket', 'charging-lead', 'warning-lamps'],
  specification: [
    ...chassisSpecification,
    { id: 'kingpinLoad', title: 'Rated load of the fifth wheel', kind: 'mass' },
  ],
  zones: chassisZones(measures),
  runningGear: chassisGear(measures),
  places: chassisPlaces(measures),
  shapes: [...chassisShapes(measures), rect('platform', 5.1, -0.5, 1, 1, 0.45)],
  checks: [...shared.checks, ...own],
  combinations: shared.combinations,
  procedures: shared.procedures,
  services: shared.services,
});
