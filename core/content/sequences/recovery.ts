import { caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const electrical = faultsOf('electrical', ['road']);
const gas = caution(
  'WARNING',
  'Battery gas explodes and the acid blinds: glasses, gloves, no rings, no flame, no spark near a battery.',
);
/** A dead battery: clamps in their order, the last one to bare metal away from the battery, off in the order turned round. */
export function jumpStart(prefix: string, zone: string): Sequence {
  return sequence({
    id: `${prefix}.recovery.jump-start`,
    title: 'Start it from the battery of another vehicle',
    partName: 'Jump start',
    zone,
    method: 'operate',
    moves: moved('engine', 'electric', ['road'], { held: 'brake-and-chocks', ends: 'idling' }),
    does: ['start'],
    phases: ['jump-start'],
    needs: ['parking-brake-set', 'in-neutral', 'chocked', 'gloves', 'glasses', 'area-clear'],
    seconds: 720,
    criterion:
      'Same voltage, four clamps in their order, runs by itself and charges with the cables off.',
    symptoms: [
      electrical.stops('jump-no-start', 'Does not start'),
      electrical.stops('jump-battery', 'Battery cracked, leaking, frozen or hot'),
      electrical.stops('jump-no-charge', 'Stops, or does not charge, with the cables off'),
      electrical.repairs('jump-flat-again', 'Was flat without a reason that is known'),
    ],
    cautions: [gas],
    why: 'The last clamp sparks. At the battery that spark is the one that burns a face.',
    stand: 'Beside the battery, face away when a clamp goes on',
    clear: { x: 0, y: -2.5, length: 3, width: 2.5 },
    steps: [
      step(
        'battery',
        'Look at the flat battery: case whole, no leak, no ice in it, vents not blocked.',
        {
          ask: [
            'Whole, dry outside, not frozen?',
            'Do not connect it. A frozen or cracked battery explodes: new battery.',
          ],
          fails: ['jump-battery'],
        },
      ),
      step(
        'voltage',
        'Read the system voltage of both: 12 with 12, 24 with 24. Look in the manual where to connect.',
        {
          ask: [
            'The same voltage?',
            'Do not connect them. Twice the voltage burns everything electronic.',
          ],
        },
      ),
      step(
        'apart',
        'Both vehicles close and not touching; parking brakes set, neutral, everything switched off, keys out.',
        { see: 'Cables reach without being stretched, clear of fans and belts.' },
      ),
      step('red-flat', 'First clamp: red to plus of the flat battery.', {
        see: 'Bites on metal, not on rust.',
      }),
      step('red-good', 'Second clamp: red to plus of the good battery.'),
      step('black-good', 'Third clamp: black to minus of the good battery.'),
      step(
        'black-metal',
        'Last clamp: black to bare metal of engine or frame of the flat one, an arm’s length from its battery, away from fuel lines.',
        {
          ask: [
            'On bare metal, an arm’s length or more from the battery?',
            'Move it. The last clamp sparks, and the battery gives off gas.',
          ],
        },
      ),
      step('charge', 'Start the good engine, let it run a little above idle.', {
        holdSeconds: 300,
        see: 'No smoke, no hot cable.',
      }),
      step(
        'crank',
        'Key on; wait until the wait-to-start lamp is out; crank ten seconds at most, then let the starter cool two minutes. Three tries, no more. No starting spray: it explodes in a heated intake.',
        { fails: ['jump-no-start'] },
      ),
      step(
        'off',
        'It runs: off in the order turned round. Black from the metal, black from the good one, red from the good one, red from its own.',
        { see: 'Clamps never touch each other.' },
      ),
      step('runs', 'Let it run by itself and read the voltage.', {
        holdSeconds: 60,
        ask: [
          'Runs on, and charges?',
          'It stays. A battery or alternator that is dead leaves you in traffic.',
        ],
        fails: ['jump-no-charge'],
      }),
      step('stowed', 'Battery cover latched, cables coiled and stowed, nothing left in the bay.', {
        see: 'Hood or box latched again.',
      }),
    ],
  });
}
