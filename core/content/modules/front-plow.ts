import { PLOW_HOOK_UP, PLOW_STORAGE } from '../sequences/plow';
import { bladeChecks, bladeSpecification } from '../shared/blades';
import { hydraulicChecks, pinch } from '../shared/hydraulics';
import type { Check, Module, Procedure } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf, module, moved, place, rect } from '../write';

const { stops, repairs, watches } = faultsOf('plow', ['plow']);
const road = faultsOf('plow', ['road', 'plow']);
const lamps = faultsOf('lamps', ['road', 'plow']);
const swing = caution('DANGER', 'Nobody in front of the blade or beside it while it moves.');

const front: Check[] = [
  ...bladeChecks({
    prefix: 'plow',
    zone: 'front',
    each: 'edge',
    of: 'of the plow',
    takes: ['plow'],
  }),
  ...hydraulicChecks({
    prefix: 'plow',
    zone: 'front',
    takes: ['plow'],
    of: 'of the plow',
    lies: ['blade-down'],
  }),
  check({
    id: 'plow.hitch',
    title: 'Look at hitch, bumper plate and push frame',
    zone: 'front',
    method: 'look',
    needs: ['lamp'],
    seconds: 14,
    phases: ['pre-trip', 'hook-up', 'post-trip'],
    criterion: 'No crack, all bolts in, hitch closed and pinned.',
    symptoms: [
      road.stops('hitch-open', 'Hitch not closed or not pinned', {
        fixLeaves: 'watch',
      }),
      road.stops('frame-crack', 'Crack in hitch or push frame'),
      repairs('hitch-bolt', 'A bolt missing or loose'),
    ],
    fixes: { 'hitch-open': ['Close and pin it'] },
    cautions: [swing],
    why: 'All the push of the truck goes through it.',
  }),
  check({
    id: 'plow.lamps',
    title: 'Look at the upper headlamps and plow lamps',
    zone: 'front',
    method: 'look',
    needs: ['lamps-on'],
    helper: 'may-help',
    seconds: 10,
    criterion: 'Both upper headlamps and signals lit over the raised plow.',
    symptoms: [
      lamps.repairs('upper-lamp-out', 'An upper headlamp is out', {
        condition: 'Daylight only until it is lit again.',
        bars: 'dark',
        worse: [{ in: 'dark', harm: 'stop', because: 'the plow hides the lower ones' }],
        many: { from: 2, harm: 'stop', because: 'no lamp shines over the plow' },
      }),
      lamps.repairs('lamp-snowed', 'Covered in snow or salt', {
        worse: [{ in: 'dark', harm: 'stop', because: 'a covered lamp is no lamp in the dark' }],
      }),
    ],
    fixes: { 'lamp-snowed': ['Wipe the lens'] },
    why: 'With the plow up the truck’s own lamps shine on steel.',
  }),
  check({
    id: 'plow.angle',
    title: 'See that angle stops and angle pins hold',
    zone: 'front',
    method: 'look',
    seconds: 7,
    criterion: 'Stops whole, pin in one of its holes.',
    symptoms: [stops('angle-loose', 'Does not hold its angle'), repairs('angle-stop', 'Stop bent')],
    why: 'A blade that swings by itself throws the truck into the other lane.',
  }),
  check({
    id: 'plow.deflector',
    title: 'Look at deflector and snow curtain',
    zone: 'front',
    method: 'look',
    seconds: 5,
    criterion: 'Fixed, not torn, keeps snow off the glass.',
    symptoms: [
      repairs('curtain-torn', 'Torn or missing', {
        condition: 'Slower, so that snow stays off the glass.',
        mostKmh: 40,
      }),
    ],
    why: 'Snow over the blade blinds the driver.',
  }),
  check({
    id: 'plow.spare-bolts',
    title: 'Count the spare shear bolts and pins',
    zone: 'cab',
    method: 'count',
    phases: ['pre-trip', 'hook-up'],
    seconds: 10,
    criterion: 'At least two of each, and the wrench that fits.',
    symptoms: [
      repairs('no-spares', 'Fewer than two', {
        condition: 'Fetch some before leaving.',
        bars: 'before-leaving',
        worse: [{ needed: 'plow', harm: 'stop', because: 'one hidden curb ends the shift' }],
      }),
    ],
    fixes: { 'no-spares': ['Fetch them from the stores'] },
    why: 'Shear bolts break at three in the morning.',
  }),
  check({
    id: 'plow.shear-bolts',
    title: 'Look at the shear bolts that are in',
    zone: 'front',
    method: 'look',
    seconds: 7,
    criterion: 'The right grade, whole, not bent.',
    symptoms: [
      repairs('shear-bent', 'Bent or of the wrong grade', {
        condition: 'Change it before plowing.',
      }),
    ],
    fixes: { 'shear-bent': ['Change it'] },
    why: 'A bolt that is too strong breaks the frame instead.',
  }),
  check({
    id: 'plow.float',
    title: 'Try float: lower it and see it follow the ground',
    zone: 'plow-controls',
    method: 'operate',
    moves: moved('blade', 'engine', ['plow'], { ends: 'on the ground' }),
    does: ['blade-down'],
    needs: ['engine-idling', 'area-clear', 'parking-brake-set'],
    seconds: 15,
    criterion: 'Goes down by its own weight and lies flat.',
    symptoms: [
      repairs('no-float', 'Stays pressed down or up'),
      stops('down-pressure', 'Lifts the front axle'),
    ],
    cautions: [swing],
    why: 'Without float the front wheels lose the road.',
  }),
  check({
    id: 'plow.cycle',
    title: 'Run the plow up, down, left and right',
    zone: 'plow-controls',
    method: 'operate',
    moves: moved('blade', 'engine', ['plow'], { ends: 'raised and locked for the road' }),
    does: ['blade-up'],
    needs: ['engine-idling', 'area-clear', 'parking-brake-set'],
    helper: 'may-help',
    seconds: 45,
    criterion: 'Even, no drift; holds up for a minute.',
    symptoms: [
      stops('plow-drifts', 'Sinks by itself'),
      stops('plow-dead', 'A movement does not work'),
      repairs('plow-slow', 'Slow or jerky when warm'),
    ],
    cautions: [swing],
    why: 'It is tried in the yard, not on the hill.',
  }),
  check({
    id: 'plow.hook-up',
    title: 'Drive in, lower the hitch, pin it, connect',
    zone: 'plow-controls',
    method: 'operate',
    moves: moved('hook-up', 'rolling', ['plow'], {
      held: 'tested-brake',
      ends: 'brake set, pinned, hoses locked',
    }),
    phases: ['hook-up'],
    helper: 'needed',
    needs: ['rolls-to-hook-up', 'parking-brake-released', 'area-clear'],
    seconds: 240,
    criterion: 'Centred, pinned both sides, chain on, hoses wiped and locked, plug in.',
    symptoms: [
      stops('hook-misfit', 'Does not come together without force'),
      repairs('plug-corroded', 'Plug or socket corroded'),
    ],
    cautions: [swing, pinch],
    why: 'Half a pin holds as far as the gate.',
  }),
  check({
    id: 'plow.storage',
    title: 'Set it down on its stand, caps on, rods greased',
    zone: 'front',
    method: 'operate',
    needs: ['blade-down', 'secured'],
    moves: BY_HAND,
    phases: ['storage'],
    seconds: 180,
    criterion: 'Stands firm, hoses hung up, plugs covered.',
    symptoms: [watches('stand-weak', 'Stand bent or sinking')],
    cautions: [swing],
    why: 'It is needed again on the first white morning.',
  }),
];

const cycle: Procedure = {
  id: 'plow.cycle.procedure',
  title: 'Plow up, down, left, right',
  check: 'plow.cycle',
  stand: "At the controls in the cab; the helper to the driver's side, five steps off",
  clear: { x: -3, y: -3, length: 4, width: 6 },
  cautions: [swing],
  steps: [
    {
      id: 'clear',
      say: 'Helper: say that nobody is in front or beside.',
      who: 'helper',
      gate: {
        ask: 'Zone clear?',
        otherwise: 'The blade swings wider than the truck. Send people away first.',
      },
      fails: [],
    },
    {
      id: 'raise',
      say: 'Raise to the top.',
      see: 'Even, both sides together.',
      withinSeconds: 12,
      fails: ['plow-dead', 'plow-slow'],
    },
    {
      id: 'hold',
      say: 'Hold it up, lever in neutral.',
      see: 'Stays where it is.',
      holdSeconds: 60,
      fails: ['plow-drifts'],
    },
    {
      id: 'left',
      say: 'Angle to the left, then back to the middle.',
      see: 'Reaches the stop, no jerk.',
      withinSeconds: 15,
      fails: ['plow-dead', 'plow-slow'],
    },
    {
      id: 'right',
      say: 'Angle to the right, then back to the middle.',
      see: 'Reaches the stop, no jerk.',
      withinSeconds: 15,
      fails: ['plow-dead', 'plow-slow'],
    },
    {
      id: 'lower',
      say: 'Lower to the ground, lever to float.',
      see: 'Lies flat, follows the ground.',
      withinSeconds: 12,
      fails: ['plow-dead'],
    },
    {
      id: 'travel',
      say: 'Raise it and lock it for the road.',
      see: 'Lock in, headlamps clear.',
      fails: ['plow-drifts'],
    },
  ],
};

const controls = {
  id: 'plow-controls',
  title: 'Plow controls',
  round: 'equipment',
  x: 3,
  y: -0.45,
  cautions: [swing],
} as const;

/** Front plow on a hitch of the truck. */
export const frontPlow: Module = module({
  id: 'front-plow',
  title: 'Front plow',
  build: 'attachment',
  apart: ['lamps', 'markers', 'spare-bolts', 'wash', 'deflector', 'edge.depth'],
  vehicleClass: 'goods',
  length: 1.4,
  width: 3.4,
  height: 1.3,
  capabilities: ['plow'],
  mountsOn: { sort: 'front-hitch', x: 1.4 },
  requires: ['hydraulics'],
  specification: [...bladeSpecification, { id: 'massEmpty', title: 'Mass', kind: 'mass' }],
  zones: [
    { id: 'front', title: 'Plow', round: 'outside', x: -0.8, y: -0.4, cautions: [swing] },
    { id: 'cab', title: 'Spares of the plow', round: 'cab', x: 3, y: -0.5 },
    controls,
  ],
  places: [
    place('edge-left', 'left end', ['edge'], 'front', 0.15, -1.5),
    place('edge-centre', 'centre', ['edge'], 'front', 0.1, 0),
    place('edge-right', 'right end', ['edge'], 'front', 0.15, 1.5),
  ],
  shapes: [rect('blade', 0, -1.7, 0.45, 3.4, 0.1), rect('frame', 0.45, -0.5, 0.95, 1)],
  checks: front,
  procedures: [cycle, PLOW_HOOK_UP, PLOW_STORAGE],
  contents: [
    { id: 'shear-bolts', check: 'plow.spare-bolts', title: 'Shear bolts', count: 2 },
    { id: 'hitch-pins', check: 'plow.spare-bolts', title: 'Hitch pins with keepers', count: 2 },
  ],
  services: [
    {
      id: 'plow.winter-ready',
      title: 'Plow ready for winter: edges, springs, hoses',
      every: { season: { month: 10, day: 15 } },
    },
  ],
});
