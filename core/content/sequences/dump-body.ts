import { caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const { stops, repairs } = faultsOf('body', ['dump']);
const under = caution('DANGER', 'Nobody under a body that is not propped. Oil alone holds nobody.');
const wires = caution('DANGER', 'Look up: a raised body reaches a line that the cab does not.');

/** Body up, propped, and made so that nobody can let it down: before anybody works beneath. */
export function serviceLockOut(prefix: string, zone: string): Sequence {
  return sequence({
    id: `${prefix}.lock-out`,
    title: 'Prop the body and lock it out for work beneath',
    partName: 'Body lock-out',
    zone,
    method: 'operate',
    moves: moved('hoist', 'power-take-off', ['dump'], { ends: 'down, prop stowed' }),
    does: ['power-take-off-off'],
    phases: ['monthly'],
    needs: [
      'engine-idling',
      'power-take-off',
      'parking-brake-set',
      'chocked',
      'level-ground',
      'empty',
      'area-clear',
    ],
    helper: 'needed',
    seconds: 300,
    criterion: 'Propped by its own prop, key in the pocket, valve or collar locked, tag on.',
    source: '29 CFR 1910.147',
    symptoms: [
      stops('prop-bent', 'Prop bent, cracked, or does not seat'),
      stops('lock-out-none', 'Nothing to lock it with'),
      repairs('prop-stiff', 'Prop or its pin is stiff'),
    ],
    cautions: [under, wires],
    why: 'People die under bodies that were only quickly looked at.',
    stand: 'At the controls; the helper beside it, outside of its reach, in sight',
    clear: { x: -1, y: -3, length: 9, width: 6 },
    steps: [
      step('place', 'Level, firm, nothing above it, empty, tailgate free.', {
        who: 'both',
        ask: [
          'Level, empty, nothing above?',
          'Residue on one side tips it. Clean it out or find another place.',
        ],
      }),
      step('up', 'Raise it by its power until the prop can stand.', {
        who: 'driver',
        see: 'The helper stays outside; nobody pushes the prop up under a body that moves.',
      }),
      step('prop', 'From the side: swing the prop up, seat it, pin it.', {
        who: 'helper',
        fails: ['prop-bent', 'prop-stiff'],
      }),
      step('rest', 'Lower until it rests on the prop.', {
        see: 'Seated in its pocket, straight.',
        ask: ['Seated and straight?', 'Raise it again. A prop that stands wrong springs out.'],
        fails: ['prop-bent'],
      }),
      step('off', 'Power take-off out, engine off, key in your pocket.'),
      step('lock', 'Collar on the rod or lock on the valve, your own padlock, your tag.', {
        ask: ['Locked, and only you have the key?', 'Nobody goes beneath.'],
        fails: ['lock-out-none'],
      }),
      step('try', 'Try the lever: nothing moves.', { fails: ['lock-out-none'] }),
      step(
        'work',
        'Look at hinges, cylinder, hoses and frame beneath; grease what the list counts.',
        {
          see: 'Never between body and frame where the prop does not stand.',
        },
      ),
      step('clear', 'Tools out, people out, count both.', {
        who: 'both',
        ask: ['Everybody and everything out?', 'Wait until you see them all.'],
      }),
      step(
        'unlock',
        'Tag and lock off by whoever put them on. Start, raise, prop away and pinned.',
        {
          who: 'driver',
          fails: ['prop-stiff'],
        },
      ),
      step('down', 'Lower it whole, power take-off out.', { see: 'Lamp and alarm out.' }),
    ],
  });
}
