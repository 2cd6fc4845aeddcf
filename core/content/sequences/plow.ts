import type { Procedure } from '../../catalogue';
import { caution } from '../write';
import { procedureOf, step } from './write';

const swing = caution('DANGER', 'Nobody in front of or beside the plow while it can move.');
const pinch = caution('WARNING', 'Fingers out of pin holes: look through, never feel through.');

export const PLOW_HOOK_UP: Procedure = procedureOf(
  { id: 'plow.hook-up', title: 'Hook the plow up', cautions: [swing, pinch] },
  {
    stand: 'In the seat; the helper beside the hitch on the driver’s side, in sight',
    clear: { x: -4, y: -4, length: 6, width: 8 },
    steps: [
      step('ground', 'Plow on firm, level ground; its stand down, the hitch swept and greased.', {
        who: 'both',
        fails: ['hook-misfit'],
      }),
      step('drive', 'Drive up slowly and straight until both halves nearly meet. Stop.', {
        who: 'both',
        ask: ['Helper in sight, nobody between?', 'Stop. Drive only while you see the helper.'],
      }),
      step('meet', 'The last bit, until the pins line up. Brake set, neutral.', {
        see: 'Both sides together, without force.',
        fails: ['hook-misfit'],
      }),
      step('pins', 'Engine off, key in your pocket, chocks in. Both pins in, clips through.', {
        who: 'driver',
        ask: [
          'Both pins through and clipped?',
          'Half a pin holds as far as the gate. Line it up again.',
        ],
        fails: ['hook-misfit'],
      }),
      step('chain', 'Lift chain on, no twist.', { see: 'Slack when the plow is down.' }),
      step('hoses', 'Wipe both halves of each hose, push home, lock.', {
        see: 'None crossed: left is left.',
      }),
      step('plug', 'Plug in: headlamps of the plow, signals, markers.', {
        who: 'both',
        fails: ['plug-corroded'],
      }),
      step('stand', 'Stand up and pinned.'),
      step(
        'raise',
        'Engine idling, everybody away: raise it a hand, look at the hoses from the side.',
        {
          who: 'both',
          ask: ['Front and sides clear?', 'The blade swings wider than the truck. Wait.'],
        },
      ),
      step('lamps', 'Raise it whole: headlamps over it, not into it.', { see: 'Beam aimed.' }),
      step(
        'chocks',
        'Chocks aboard; from the side look at pins, chain and locks of the hoses once more.',
        {
          who: 'driver',
        },
      ),
    ],
  },
);

export const PLOW_STORAGE: Procedure = procedureOf(
  { id: 'plow.storage', title: 'Take the plow off and leave it', cautions: [swing, pinch] },
  {
    stand: 'Beside the hitch on the driver’s side',
    clear: { x: -4, y: -4, length: 6, width: 8 },
    steps: [
      step('wash', 'Washed, edges and shoes looked at again after the storm.', {
        see: 'No new crack, bolts all there.',
      }),
      step('down', 'Plow down on planks, lever to float, engine off, key with you.', {
        ask: ['Down, engine off?', 'It drops when the hose comes off. Lower it first.'],
      }),
      step('stand', 'Stand down and pinned.', { fails: ['stand-weak'] }),
      step('hoses', 'Hoses off, caps on, hung up; plug out, cover on.'),
      step('chain', 'Lift chain off.'),
      step('pins', 'Both pins out, put back into their holders.', { see: 'It does not move.' }),
      step('free', 'Walk round it: what still holds it to the truck?', {
        ask: [
          'Pins, chain, hoses and plug all off?',
          'One that is left on is torn off when the truck backs away.',
        ],
        fails: ['stand-weak'],
      }),
      step('rods', 'Grease on every bare rod.'),
    ],
  },
);
