import { bladeChecks, bladeSpecification } from '../shared/blades';
import { WING_HOOK_UP, WING_STORAGE } from '../sequences/wing';
import { hydraulicChecks } from '../shared/hydraulics';
import type { Check, Module, Procedure } from '../../catalogue';
import { caution, check, faultsOf, module, moved, place, rect } from '../write';

const { stops, repairs, watches } = faultsOf('plow', ['plow']);
const road = faultsOf('plow', ['road', 'plow']);
const lamps = faultsOf('lamps', ['road', 'plow']);
const swing = caution('DANGER', 'Nobody in front of the blade or beside it while it moves.');

const wing: Check[] = [
  ...bladeChecks({
    prefix: 'wing',
    zone: 'wing',
    each: 'edge',
    of: 'of the wing',
    takes: ['plow'],
  }),
  ...hydraulicChecks({
    prefix: 'wing',
    zone: 'wing',
    takes: ['plow'],
    of: 'of the wing',
    lies: ['blade-down'],
  }),
  check({
    id: 'wing.mast',
    title: 'Look at mast, slides and cable',
    partName: 'Wing mast, slides and cable',
    zone: 'wing',
    method: 'look',
    needs: ['lamp'],
    seconds: 12,
    criterion: 'No crack, slides greased, cable without broken wires.',
    symptoms: [
      road.stops('mast-crack', 'Crack in mast or bracket'),
      road.stops('cable-broken', 'Broken wires in the cable'),
      repairs('slide-dry', 'Slide dry or bent'),
    ],
    cautions: [swing],
    why: 'The wing hangs outside the wheels of the truck.',
  }),
  check({
    id: 'wing.brace',
    title: 'Look at push braces and their shear bolts',
    partName: 'Push braces and shear bolts',
    zone: 'wing',
    method: 'look',
    seconds: 9,
    criterion: 'Straight, shear bolts whole, pins in.',
    symptoms: [
      stops('brace-bent', 'Brace bent or cracked'),
      repairs('wing-shear', 'Shear bolt bent', { condition: 'Change it before plowing.' }),
    ],
    fixes: { 'wing-shear': ['Change the shear bolt'] },
    why: 'They fold the wing back before it folds the truck.',
  }),
  check({
    id: 'wing.lamp',
    title: 'Look at wing lamp and warning lamp',
    partName: 'Wing lamp and warning lamp',
    zone: 'wing',
    method: 'look',
    needs: ['lamps-on'],
    seconds: 6,
    criterion: 'Shines on the end of the wing.',
    symptoms: [
      lamps.repairs('wing-lamp-out', 'Out', {
        takes: ['plow'],
        condition: 'Daylight only until it is lit again.',
        bars: 'dark',
        worse: [
          { in: 'dark', harm: 'stop', because: 'the end of the wing cannot be seen in the dark' },
        ],
      }),
      watches('wing-lamp-dirty', 'Dirty'),
    ],
    fixes: { 'wing-lamp-dirty': ['Wipe the lens'] },
    why: 'The end of the wing passes mailboxes and parked cars.',
  }),
  check({
    id: 'wing.spare-bolts',
    title: 'Count the spare shear bolts of the wing',
    partName: 'Spare shear bolts of the wing',
    zone: 'wing-cab',
    method: 'count',
    seconds: 6,
    criterion: 'At least two of each size.',
    symptoms: [
      repairs('no-spares', 'Fewer than two', {
        condition: 'Fetch some before leaving.',
        bars: 'before-leaving',
      }),
    ],
    fixes: { 'no-spares': ['Fetch them from the stores'] },
    why: 'They are not the same as the plow’s.',
  }),
  check({
    id: 'wing.cycle',
    title: 'Run the wing out, down, up and in',
    partName: 'Wing cycle',
    zone: 'wing-controls',
    method: 'operate',
    moves: moved('blade', 'engine', ['plow'], { ends: 'folded in and locked' }),
    does: ['blade-up'],
    needs: ['engine-idling', 'area-clear', 'parking-brake-set'],
    helper: 'needed',
    seconds: 45,
    criterion: 'Toe and heel even, folds tight against the truck.',
    symptoms: [
      road.stops('wing-not-in', 'Does not fold in or lock'),
      stops('wing-drifts', 'Sinks by itself'),
      repairs('wing-slow', 'Slow or jerky when warm'),
    ],
    cautions: [swing],
    why: 'A wing that opens on the road sweeps the sidewalk.',
  }),
];

const wingCycle: Procedure = {
  id: 'wing.cycle.procedure',
  title: 'Wing out, down, up, in',
  check: 'wing.cycle',
  stand: 'At the controls in the cab; the helper behind the truck on the curb side',
  clear: { x: -1, y: -0.5, length: 5, width: 4.5 },
  cautions: [swing],
  steps: [
    {
      id: 'clear',
      say: 'Helper: say that the curb side is clear.',
      who: 'helper',
      gate: { ask: 'Curb side clear?', otherwise: 'The wing opens like a door. Wait.' },
      fails: [],
    },
    {
      id: 'toe',
      say: 'Lower the toe a little, then the heel.',
      see: 'Even, no jerk.',
      withinSeconds: 15,
      fails: ['wing-slow'],
    },
    {
      id: 'down',
      say: 'Lower it until it just touches.',
      see: 'Edge lies along the ground.',
      fails: ['wing-slow'],
    },
    {
      id: 'up',
      say: 'Raise heel, then toe.',
      see: 'Stays up with the lever in neutral.',
      holdSeconds: 30,
      fails: ['wing-drifts'],
    },
    {
      id: 'in',
      say: 'Fold it in and lock it.',
      see: 'Tight against the truck, lock in.',
      fails: ['wing-not-in'],
    },
  ],
};

/** Wing plow at the curb side. */
export const wingPlow: Module = module({
  id: 'wing-plow',
  title: 'Wing plow',
  build: 'attachment',
  apart: ['lamp', 'markers', 'spare-bolts', 'wash', 'edge.depth'],
  vehicleClass: 'goods',
  length: 3,
  width: 0.9,
  height: 1.2,
  capabilities: ['plow'],
  mountsOn: { sort: 'side-wing', x: 1, y: -0.2 },
  requires: ['hydraulics'],
  specification: [...bladeSpecification, { id: 'massEmpty', title: 'Mass', kind: 'mass' }],
  zones: [
    { id: 'wing', title: 'Wing', round: 'outside', x: 1.2, y: 1.4, cautions: [swing] },
    { id: 'wing-cab', title: 'Spares of the wing', round: 'cab', x: -1.2, y: -1.7 },
    {
      id: 'wing-controls',
      title: 'Wing controls',
      round: 'equipment',
      x: -1.2,
      y: -1.7,
      cautions: [swing],
    },
  ],
  places: [
    place('edge-toe', 'toe', ['edge'], 'wing', 0.1, 0.3),
    place('edge-middle', 'middle', ['edge'], 'wing', 1.5, 0.35),
    place('edge-heel', 'heel', ['edge'], 'wing', 2.9, 0.4),
  ],
  shapes: [rect('blade', 0, 0, 3, 0.3, 0.08), rect('frame', 0.8, -0.3, 0.3, 0.4)],
  checks: [...wing, WING_HOOK_UP.check, WING_STORAGE.check],
  procedures: [wingCycle, WING_HOOK_UP.procedure, WING_STORAGE.procedure],
  contents: [
    {
      id: 'wing-shear-bolts',
      check: 'wing.spare-bolts',
      title: 'Shear bolts of the wing',
      count: 2,
    },
  ],
});
