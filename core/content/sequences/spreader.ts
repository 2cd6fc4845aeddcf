import type { Procedure } from '../../catalogue';
import { caution } from '../write';
import { procedureOf, step } from './write';

const raised = caution(
  'DANGER',
  'Never under a raised body that is not propped. Here it stays down all the time.',
);
const hanging = caution(
  'DANGER',
  'Nobody between spreader and body while it moves, nobody under it.',
);
const jet = caution(
  'DANGER',
  'Never feel for a leak with the hand. Oil under pressure goes through gloves and skin: to the doctor at once.',
);
const CLEAR = { x: -1, y: -4, length: 12, width: 8 } as const;

/** Symptoms that these sequences add to the checks of the spreader that they answer. */
export const SLIDE_IN: Procedure = procedureOf(
  {
    id: 'spreader.slide-in',
    title: 'Slide the spreader in and connect it',
    cautions: [hanging, raised, jet],
  },
  {
    stand:
      'Beside the rear corner, curb side, in sight of whoever lifts; the helper at the other corner',
    clear: CLEAR,
    steps: [
      step('truck', 'Truck on level ground, body down, engine off, chocked.', {
        ask: [
          'Body down, engine off, key with you, chocks in?',
          'Nobody reaches under or into a body that can move. Make it so first.',
        ],
      }),
      step('bed', 'Sweep the bed: no ice, no stones, no bolt left over.', {
        see: 'Bare and dry, and where the sills will lie no rust through.',
        fails: ['does-not-fit'],
      }),
      step('gate', 'Take the tailgate off or tie it back.', { who: 'both' }),
      step('lifting', 'Slings to the four eyes, legs of one length; the spreader empty.', {
        ask: [
          'Empty, and may machine and slings lift its mass?',
          'A mass nobody knows is not lifted. Read its plate and the chart of the machine.',
        ],
      }),
      step('in', 'Guide it in by two ropes, slowly, until it stands against its stop.', {
        who: 'both',
        ask: ['Nobody between, nobody under it?', 'Set it down and send people away first.'],
        fails: ['does-not-fit'],
      }),
      step('centre', 'Measure from the hopper to both sides of the body.', {
        see: 'The same to two fingers.',
        ask: [
          'Centred, and against its stop?',
          'Lift it again. Off centre it leans the truck in every bend.',
        ],
        fails: ['does-not-fit'],
      }),
      step('tie', 'Tie it down at all four corners; slings off last.', {
        see: 'Tight, pinned, none on an edge.',
        fails: ['tie-loose'],
      }),
      step('legs', 'Legs up and pinned.', { fails: ['tie-loose'] }),
      step('plug', 'Plug in. Key on: tail lamps, beacon, work lamp.', {
        who: 'both',
        fails: ['lamp-dead'],
      }),
      step('hoses', 'Three hoses: wipe both halves, push home, turn the lock, pull.', {
        see: 'Pressure, return and drain, none crossed.',
        ask: [
          'All three locked?',
          'One that comes off sprays hot oil over the engine. Lock it first.',
        ],
        fails: ['hose-leaks'],
      }),
      step('guards', 'Guards of shaft and spinner back on.', { fails: ['guard-gone'] }),
      step('oil', 'Read the oil again, with everything connected.', { see: 'At the mark.' }),
      step('clear', 'Helper: ten steps away from the spinner, hand up.', {
        who: 'helper',
        ask: ['Helper clear, hand up?', 'Wait. What turns there takes an arm.'],
      }),
      step('run', 'Engine idling, power take-off in, spinner and conveyor at the lowest setting.', {
        who: 'driver',
        see: 'The helper watches from where they stand: it runs true, nothing drips.',
        holdSeconds: 60,
        fails: ['hose-leaks', 'runs-wrong'],
      }),
      step(
        'off',
        'Everything off, key with you. Look again at the locks of the hoses, at ties and guards.',
        {
          see: 'Dry, tight, whole.',
          fails: ['hose-leaks', 'tie-loose'],
        },
      ),
      step('record', 'Write down what it is set to: gate and rate for the first load.', {
        see: 'No card for it: find the setting by a catch, and write it on the card.',
      }),
    ],
  },
);

export const STORE: Procedure = procedureOf(
  {
    id: 'spreader.store',
    title: 'Undo the spreader and store it',
    cautions: [hanging, raised, jet],
  },
  {
    stand: 'Beside the rear corner, curb side, in sight of whoever lifts',
    clear: CLEAR,
    steps: [
      step('empty', 'Empty, washed, chain oiled.', {
        ask: [
          'Empty and washed?',
          'Wet salt weighs tonnes and sets like stone. Run it out and wash it first.',
        ],
      }),
      step('off', 'Engine off, key with you; levers moved once so that no pressure is left.'),
      step('hoses', 'Hoses off, caps on both halves, hung up.', { fails: ['stand-weak'] }),
      step('plug', 'Plug out, cover on; lamps of the truck free again.'),
      step('stands', 'Stands down and pinned, on firm ground or planks.', {
        fails: ['stand-weak'],
      }),
      step('ties', 'Slings on and taut, then the four ties off.', {
        ask: ['Slings carry, all four ties off?', 'One tie left on tears the body. Look again.'],
      }),
      step('list', 'Walk round it once: what still holds it to the truck?', {
        who: 'both',
        ask: [
          'Nothing holds it: hoses, plug, ties, legs, gate, control cable?',
          'Undo what is left before anything moves.',
        ],
      }),
      step('out', 'Out slowly by two ropes, onto its stands.', {
        who: 'both',
        see: 'All four stand firm.',
        fails: ['stand-weak'],
      }),
      step('grease', 'Grease by its list, rods and chain covered with oil, hopper covered.'),
      step('look', 'Look at the bed of the truck: washed, no crack where it stood.'),
    ],
  },
);
