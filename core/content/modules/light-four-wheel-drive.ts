import {
  chassisGear,
  chassisPlaces,
  chassisShapes,
  chassisZones,
  fluidBrakeChecks,
  fluidBrakeSpecification,
  ofFluidBraked,
  offRoadDriveLine,
} from '../chassis';
import type { Check, Module } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf, module, rect } from '../write';

const P = 'light-drive';
const brakes = faultsOf('brakes', ['road']);
const drive = faultsOf('frame', ['road']);
const tow = faultsOf('coupling', ['tow']);
const body = faultsOf('body', ['road']);
const shared = ofFluidBraked(P, [
  'frame.underride',
  'body.tool-box',
  'body.mounts',
  'load.secured',
]);

const own: Check[] = [
  ...fluidBrakeChecks(P),
  check({
    id: `${P}.brake.master`,
    title: 'Look at master cylinder, lines and hoses to each wheel',
    partName: 'Master cylinder and brake lines',
    zone: 'engine-bay',
    method: 'look',
    needs: ['engine-off', 'lamp'],
    seconds: 15,
    criterion: 'Dry from the cylinder to the last hose.',
    source: '49 CFR 393.45',
    symptoms: [
      brakes.stops('master-leaks', 'Wet with brake fluid anywhere'),
      brakes.repairs('line-chafed', 'A line is chafed or rusty, dry'),
    ],
    cautions: [
      caution(
        'WARNING',
        'Wipe the reservoir before it is opened: one grain of sand blocks a valve. Never fill it above its mark.',
      ),
    ],
    why: 'It has no second kind of air to stop on.',
  }),
  check({
    id: `${P}.brake.lamp`,
    title: 'Set and release the parking brake: its lamp',
    partName: 'Parking brake lamp',
    zone: 'seat',
    method: 'operate',
    moves: BY_HAND,
    needs: ['key-on', 'chocked'],
    seconds: 8,
    criterion: 'Lights when set, goes out when released. Set it again.',
    symptoms: [
      brakes.stops('brake-lamp-stays', 'Stays on with the brake released'),
      brakes.repairs('brake-lamp-dead', 'Does not light'),
    ],
    why: 'The same lamp says that fluid is gone.',
  }),
  check({
    id: `${P}.drive.boots`,
    title: 'Look at the boots of drive shafts and steering joints',
    partName: 'Drive shaft and steering boots',
    zone: 'driver-front-wheel',
    method: 'look',
    needs: ['lamp', 'chocked'],
    seconds: 12,
    criterion: 'Whole, clamps on, no grease thrown on the rim.',
    symptoms: [
      drive.repairs('boot-torn', 'Torn, or a clamp is gone', {
        condition: 'No water and no mud until it is mended.',
      }),
      drive.stops('joint-loose', 'Joint has play'),
    ],
    why: 'Sand in a joint takes the wheel off within the week.',
  }),
  check({
    id: `${P}.drive.shields`,
    title: 'Look at splash shields and skid plates',
    partName: 'Splash shields and skid plates',
    zone: 'front',
    method: 'look',
    seconds: 8,
    criterion: 'All there, bolts tight, nothing packed behind.',
    symptoms: [
      body.repairs('shield-loose', 'Loose or missing'),
      body.repairs('shield-packed', 'Grass or mud packed behind'),
    ],
    fixes: { 'shield-packed': ['Cleared it'] },
    why: 'Dry grass on an exhaust burns the truck.',
  }),
  check({
    id: `${P}.drive.slip`,
    title: 'Listen for slip as it takes the load',
    partName: 'Transmission slip',
    zone: 'seat',
    method: 'listen',
    phases: ['under-way'],
    seconds: 10,
    criterion: 'Speed and engine rise together; no whine, no shudder.',
    symptoms: [
      drive.stops('slips-dead', 'Slips so that it does not pull'),
      drive.repairs('slips-some', 'Slips or shudders under load', {
        condition: 'No trailer and no hill until it was looked at.',
      }),
    ],
    why: 'It fails where it is steepest.',
  }),
  check({
    id: `${P}.spare`,
    title: 'Look at the spare: wall, tread, mounting',
    partName: 'Spare wheel',
    zone: 'rear',
    method: 'look',
    phases: ['pre-trip'],
    seconds: 12,
    criterion: 'Whole, filled, tight on its carrier.',
    symptoms: [
      body.stops('spare-loose', 'Loose on its carrier'),
      body.repairs('spare-flat', 'Flat, cut or worn'),
    ],
    why: 'The road ends long before the work does.',
  }),
  check({
    id: `${P}.pintle`,
    title: 'Open, close and pin the pintle',
    partName: 'Pintle hook',
    zone: 'rear',
    method: 'operate',
    moves: BY_HAND,
    seconds: 8,
    criterion: 'Locks by itself, pinned, turns freely, greased.',
    symptoms: [
      tow.stops('pintle-open', 'Does not lock or has no pin'),
      tow.stops('pintle-crack', 'Cracked or worn thin'),
      tow.repairs('pintle-dry', 'Stiff'),
    ],
    why: 'It twists more than any on the road.',
  }),
  check({
    id: `${P}.records`,
    title: 'Find the folder: registration, card, accident form',
    partName: 'Folder of papers',
    zone: 'cab',
    method: 'look',
    seconds: 10,
    criterion: 'All in it and in date.',
    symptoms: [
      faultsOf('records', ['road']).repairs('folder-short', 'Something is missing or out of date'),
    ],
    why: 'The next one who asks for it wears a uniform.',
  }),
];

const measures = {
  length: 4.9,
  width: 2.1,
  frontAxle: 0.9,
  rearAxles: [4.1],
  dual: false,
  cab: { from: 1.2, to: 3, bonnet: true },
  tanks: 3.1,
};

/** Light four-wheel drive with fluid brakes and a pintle. */
export const lightFourWheelDrive: Module = module({
  id: 'light-four-wheel-drive',
  title: 'Light four-wheel drive, hydraulic brakes',
  build: 'chassis',
  vehicleClass: 'utility',
  powered: true,
  length: measures.length,
  width: measures.width,
  height: 1.95,
  capabilities: ['road', 'tow'],
  joints: { rear: { sort: 'ball', x: measures.length } },
  mounts: [{ sort: 'front-bumper', x: 0 }],
  gives: ['electrical-socket', 'warning-lamps'],
  specification: fluidBrakeSpecification,
  zones: chassisZones(measures),
  runningGear: chassisGear(measures),
  places: chassisPlaces(measures),
  shapes: [...chassisShapes(measures), rect('body', 3, -0.95, 1.8, 1.9, 0.05)],
  checks: [
    ...own.filter(({ zone }) => zone === 'brake-tests'),
    ...shared.checks,
    ...own.filter(({ zone }) => zone !== 'brake-tests'),
    ...offRoadDriveLine(P).filter(({ id }) => id.includes('.transfer.')),
  ],
  combinations: shared.combinations,
  procedures: shared.procedures,
  services: shared.services,
});
