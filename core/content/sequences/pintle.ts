import type { Zone } from '../../catalogue';
import { BY_HAND, caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const { stops, repairs } = faultsOf('coupling', ['road']);
const brakes = faultsOf('brakes', ['road']);
const lamps = faultsOf('lamps', ['road']);
const between = caution('DANGER', 'Nobody between truck and trailer while anything moves.');
const rollsAway = caution('DANGER', 'A trailer without chocks rolls when its lines come off.');

interface PintleTrailer {
  readonly prefix: string;
  /** Its bed or undercarriage, moved by the hydraulics of the truck, sets the height of the eye. */
  readonly tiltsEye?: boolean;
}

/** Where the truck is driven from while it is backed up to a trailer: metres of the trailer's own frame. */
export const HOOK_UP_ZONE: Zone = {
  id: 'hook-up',
  title: 'Hook-up, from the seat',
  round: 'brakes',
  x: -6,
  y: -0.45,
  cautions: [between],
};

/** Zone behind the truck into which nobody goes: metres of the trailer's own frame. */
const CLEAR = { x: -4, y: -2.5, length: 9, width: 5 } as const;

/** Nobody is between truck and trailer with the engine running: it is stopped before each hand goes in. */
const stopped = (id: string) =>
  step(id, 'Brake set, engine off, key in your pocket, chocks in at the truck.', {
    who: 'driver',
    ask: [
      'Brake set, engine off, key with you, chocks in?',
      'Nobody goes between before it is so.',
    ],
  });
const lastBit = step(
  'under',
  'Chocks away, engine on. Back the last bit until hook and eye are in line.',
  {
    who: 'both',
    ask: [
      'Nobody between, helper in sight?',
      'Stop. Nobody stands between while the truck can move.',
    ],
  },
);

/** The eye is set by the jack of the drawbar, and let down by it. */
const eyeByJack = [
  stopped('stop-short'),
  step('eye', 'Wind the jack until the eye stands a hand above the jaw of the hook.', {
    who: 'driver',
    fails: ['hook-height'],
  }),
  lastBit,
  stopped('stop'),
  step('down', 'Wind the jack so that the eye goes down onto the hook.', {
    see: 'It lies in the jaw, all of it.',
    fails: ['hook-height'],
  }),
];

/** The eye is set by the bed, which the hydraulics of the truck move: they are connected before, and out of gear before anything rolls. */
const eyeByPower = [
  stopped('stop-short'),
  step('hydraulics', 'Wipe the couplings of pressure and return, push them home, pull at each.', {
    see: 'Locked; pressure and flow of the truck are those on the plate of the trailer.',
    ask: [
      'Pressure, flow and oil as the plate asks?',
      'Too much pressure bursts the lines, too little stops the bed half way. Use another truck or its own power pack.',
    ],
    who: 'driver',
  }),
  step('power', 'Everybody away from the drawbar. Engine on, power take-off in.', {
    who: 'both',
    see: 'Its lamp lights.',
  }),
  step('eye', 'From the deck controls tilt the bed until the eye stands a hand above the hook.', {
    see: 'Slow, level, nothing drags.',
    fails: ['hook-height'],
  }),
  step('power-out', 'Power take-off out, levers let go.', { see: 'Its lamp is out.' }),
  lastBit,
  step('power-again', 'Brake set, chocks in at the truck, power take-off in again.', {
    who: 'driver',
    ask: ['Brake set, chocks in, nobody between?', 'Nothing is moved by power before it is so.'],
  }),
  step('down', 'Tilt the bed so that the eye goes down onto the hook, the stands off the ground.', {
    see: 'It lies in the jaw, all of it. If the stands still carry, raise the bed further.',
    fails: ['hook-height'],
  }),
  step('power-off', 'Power take-off out.', { see: 'Its lamp is out.' }),
  stopped('stop'),
];

/** Hook-up and unhooking of what has an eye for a pintle. */
export function pintleSequences({ prefix, tiltsEye = false }: PintleTrailer): Sequence[] {
  return [
    sequence({
      id: `${prefix}.hook-up`,
      title: 'Back up to it, hook it on, tug it, look again',
      partName: 'Hook-up',
      zone: 'hook-up',
      method: 'operate',
      moves: moved('coupling', 'rolling', ['road'], {
        held: 'tested-brake',
        ends: 'hooked, latched, pinned, chained, lines on',
      }),
      phases: ['hook-up'],
      helper: 'needed',
      needs: ['rolls-to-hook-up', 'parking-brake-released', 'area-clear'],
      seconds: 600,
      criterion: 'Eye down in the hook, latch shut and pinned, chains crossed, jack up, it brakes.',
      source: '49 CFR 393.70, 393.71',
      symptoms: [
        stops('hook-latch', 'Latch does not shut or its pin does not go in'),
        stops('hook-height', 'Eye and hook do not come to one height'),
        stops('hook-chains', 'A chain is missing or too short to cross'),
        brakes.stops('hook-no-brake', 'It does not brake when tugged'),
        lamps.repairs('hook-lamps', 'A lamp does not light'),
        repairs('hook-abs-lamp', 'The lamp of its anti-lock brakes stays on', {
          condition: 'Leave room, it may lock its wheels.',
        }),
      ],
      cautions: [between, rollsAway],
      why: 'Most trailers that come off were never quite on.',
      stand:
        'In the seat; the helper beside the hook on the driver’s side, in the mirror, never behind',
      clear: CLEAR,
      steps: [
        step(
          'ground',
          'Walk round it: level ground, chocked on both sides, load where it belongs.',
          {
            who: 'both',
            ask: [
              'Level, chocked, load in its place?',
              'A trailer that rolls or tips while it is hooked kills. Chock it, level it, move the load.',
            ],
          },
        ),
        step('halves', 'Look at both halves: hook, latch, pin; eye, bolts, chains, jack.', {
          see: 'No crack, eye not worn thin, latch swings freely.',
          who: 'driver',
          fails: ['hook-latch', 'hook-chains'],
        }),
        step('back', 'Back straight until the hook stands an arm’s length before the eye. Stop.', {
          who: 'both',
          see: 'The helper stays in the mirror; out of sight means stop.',
        }),
        ...(tiltsEye ? eyeByPower : eyeByJack),
        step('latch', 'Shut the latch, put its pin in, pull at it by hand.', {
          ask: [
            'Latch shut, pin through and held?',
            'Take it up again and find out why it does not shut.',
          ],
          fails: ['hook-latch'],
          who: 'driver',
        }),
        step('jack', tiltsEye ? 'Stands up and pinned.' : 'Jack right up, turned away, pinned.', {
          see: 'Its foot is clear of the ground by a hand and more.',
        }),
        step(
          'chains',
          'Cross the chains under the drawbar, hook them with the latch shut; breakaway cable to the truck.',
          {
            see: 'Slack enough to turn, not on the ground; the cable shorter than the chains.',
            fails: ['hook-chains'],
          },
        ),
        step(
          'lines',
          'Seals clean, supply and service lines on, not crossed; cable in, cover shut.',
          {
            see: 'No hiss once the supply is pushed in.',
          },
        ),
        step(
          'lamps',
          'Key on, from the seat: lamps and signals. Helper, from the side: say each.',
          {
            who: 'both',
            fails: ['hook-lamps'],
          },
        ),
        step('abs', 'Look for the lamp of its anti-lock brakes.', {
          see: 'Lights, then goes out.',
          fails: ['hook-abs-lamp'],
        }),
        step('away', 'Helper: chocks away, all of them aboard; then away from it, hand up.', {
          who: 'helper',
          ask: [
            'Chocks aboard, nobody between?',
            'Wait. Nothing rolls over a chock or near a foot.',
          ],
        }),
        step(
          'tug',
          'Engine on. In low gear tug forward against the brakes of the trailer, twice.',
          {
            see: 'The truck is held, the hook stays shut.',
            who: 'driver',
            fails: ['hook-no-brake', 'hook-latch'],
          },
        ),
        step(
          'look',
          'Brake set, engine off. Look at hook, pin, chains, lines and jack once more.',
          {
            who: 'driver',
            fails: ['hook-latch'],
          },
        ),
      ],
    }),
    tiltsEye ? unhookByPower(prefix) : unhookByHand(prefix),
  ];
}

const UNHOOK = {
  title: 'Unhook it and leave it standing',
  partName: 'Unhooking',
  method: 'operate',
  phases: ['storage'],
  helper: 'may-help',
  seconds: 360,
  criterion: 'Chocked both sides, standing by itself on firm ground, lines hung up and covered.',
  source: '49 CFR 393.71',
  symptoms: [
    stops('unhook-jack', 'Jack or stand sinks, bends or does not hold'),
    stops('unhook-stuck', 'The eye does not come off without force'),
    repairs('unhook-cover', 'No cover or hanger for a line'),
  ],
  cautions: [rollsAway, between],
  why: 'The next one walks up to it in the dark.',
} as const;

const placeSteps = [
  step('place', 'Is the ground firm and level? A plank where it will stand.', {
    ask: ['Firm and level, in nobody’s way?', 'Find another place. It sinks or rolls here.'],
  }),
  step('chocks', 'Chocks on both sides of the trailer.', {
    ask: ['Chocked on both sides?', 'Nothing comes off before it is chocked.'],
  }),
];
const linesOff = step('lines', 'Cable, service line, supply line off; hung up, covered.', {
  see: 'The brakes of the trailer come on as the supply leaves.',
  fails: ['unhook-cover'],
});
const chainsOff = step('chains', 'Breakaway cable, then chains off and hung up.');
const latchOpen = step('latch', 'Pin out, latch open.', { fails: ['unhook-stuck'] });
const nothingLeft = step('free', 'Walk round it: what still holds it to the truck?', {
  ask: [
    'Lines, cable, chains and latch all off?',
    'What is left on is torn off when the truck pulls away.',
  ],
});
const hookShut = step('hook', 'Once the truck has pulled away: shut and pin the empty hook.');

function unhookByHand(prefix: string): Sequence {
  return sequence({
    ...UNHOOK,
    id: `${prefix}.unhook`,
    zone: 'drawbar',
    moves: BY_HAND,
    needs: ['secured'],
    stand: 'On the driver’s side of the drawbar, never across it',
    clear: CLEAR,
    steps: [
      ...placeSteps,
      step('jack', 'Jack down until it carries, a few turns more.', {
        see: 'Stands straight, does not sink.',
        fails: ['unhook-jack'],
      }),
      linesOff,
      chainsOff,
      latchOpen,
      step('up', 'Wind the jack until the eye is free of the hook.', {
        see: 'Clear all round.',
        fails: ['unhook-stuck', 'unhook-jack'],
      }),
      nothingLeft,
      hookShut,
    ],
  });
}

function unhookByPower(prefix: string): Sequence {
  return sequence({
    ...UNHOOK,
    id: `${prefix}.unhook`,
    zone: 'deck-controls',
    moves: moved('bed', 'power-take-off', [], {
      held: 'brake-and-chocks',
      ends: 'standing on its stands, lines hung up',
    }),
    needs: [
      'engine-idling',
      'power-take-off',
      'parking-brake-set',
      'chocked',
      'area-clear',
      'empty',
    ],
    stand: 'At the deck controls; nobody at the drawbar while the bed moves',
    clear: CLEAR,
    steps: [
      step('stop', 'Power take-off out, engine off, key in your pocket.', {
        ask: ['Engine off, key with you?', 'Nobody goes to the drawbar before it is so.'],
      }),
      ...placeSteps,
      step('stands', 'Stands down until they carry.', {
        see: 'They stand straight, none sinks.',
        fails: ['unhook-jack'],
      }),
      chainsOff,
      latchOpen,
      step('power', 'Everybody away from the drawbar. Engine on, power take-off in.', {
        ask: ['Nobody at the drawbar?', 'Wait. The bed lifts the eye out of the hook.'],
      }),
      step('up', 'Tilt the bed until the eye is free of the hook. Let go of the levers.', {
        see: 'Clear all round; nobody near.',
        fails: ['unhook-stuck', 'unhook-jack'],
      }),
      step(
        'off',
        'Power take-off out, engine off, key in your pocket; levers moved once so that no pressure is left.',
      ),
      step('hydraulics', 'Hydraulic lines off, caps on, hung up.', { fails: ['unhook-cover'] }),
      linesOff,
      nothingLeft,
      hookShut,
    ],
  });
}
