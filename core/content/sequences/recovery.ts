import { BY_HAND, caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const electrical = faultsOf('electrical', ['road']);
const towing = faultsOf('coupling', ['road']);
const gas = caution(
  'WARNING',
  'Battery gas explodes and the acid blinds: glasses, gloves, no rings, no flame, no spark near a battery.',
);
const springs = caution(
  'DANGER',
  'Never open the clamp of a spring brake chamber: the spring in it kills.',
);
const rolls = caution(
  'DANGER',
  'With the shaft off or the springs caged nothing holds it. Chocks stay in until the bar carries.',
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

/** What holds the wheels while nothing runs. */
export type ParkedBy = 'springs' | 'shaft-or-wheels';

interface TowedAway {
  readonly prefix: string;
  readonly zone: string;
  readonly brake: ParkedBy;
}

const RELEASE = {
  springs: step(
    'release',
    'Parking brakes: air from the towing vehicle through the towing port. Without air only the workshop cages the springs, one by one, with the bolts of the chamber.',
    {
      ask: [
        'Released by air, or each spring caged by somebody who is trained for it?',
        'It is not towed. Dragged wheels burn, and a spring chamber that is opened kills.',
      ],
      fails: ['tow-brake'],
    },
  ),
  'shaft-or-wheels': step(
    'release',
    'Parking brake: released by its own lever or cable, from the seat, once the bar carries.',
    {
      ask: [
        'Free, and the wheels do not drag?',
        'It is not towed on these wheels. Lift them or load it.',
      ],
      fails: ['tow-brake'],
    },
  ),
} as const satisfies Readonly<Record<ParkedBy, unknown>>;

/** A dead vehicle before it is towed: what carries it, what stops its gearbox from burning, what holds it, what is seen of it. */
export function towAway({ prefix, zone, brake }: TowedAway): Sequence {
  return sequence({
    id: `${prefix}.recovery.tow-away`,
    title: 'Make it ready to be towed away',
    partName: 'Made ready to be towed',
    zone,
    method: 'look',
    moves: BY_HAND,
    phases: ['towed-away'],
    needs: ['engine-off', 'parking-brake-set', 'chocked', 'gloves'],
    helper: 'may-help',
    seconds: 900,
    criterion:
      'Carried at its tow points, shaft off, brakes free, chains crossed, lamps of its own at the rear.',
    source: '49 CFR 393.71',
    leaves: 'made-ready',
    symptoms: [
      faultsOf('coupling', ['road', 'yard']).stops(
        'made-ready',
        'Shaft off or brakes let go: nothing holds it but chocks',
      ),
      towing.stops('tow-point', 'Tow point, frame or bumper bracket bent or cracked'),
      towing.stops('tow-shaft', 'Drive shaft or axle shafts cannot be taken out'),
      towing.stops('tow-brake', 'Brakes cannot be released safely'),
      towing.stops('tow-lamps', 'No lamps at its rear'),
      towing.stops('tow-steering', 'Front wheels on the road and the steering locked'),
    ],
    cautions: [
      rolls,
      ...(brake === 'springs' ? [springs] : []),
      caution('WARNING', 'Stand off the traffic side. Nobody between the two vehicles.'),
    ],
    why: 'A dead truck has no steering help, no brakes and no lamps, and it weighs as much as before.',
    stand: 'On the side away from traffic',
    clear: { x: -2, y: -2, length: 4, width: 4 },
    steps: [
      step('seen', 'Hazard lamps on, vest on, triangles out by the road and the bend.', {
        see: 'Traffic sees it from far away.',
      }),
      step('who', 'Ask the office who tows. A heavy vehicle is towed by a recovery truck.', {
        ask: [
          'Rated for this mass and for this job?',
          'Wait for one that is. A pickup with a chain does not stop it.',
        ],
      }),
      step('unload', 'Trailer, plow or spreader off, load as the recovery says; doors shut.', {
        see: 'Nothing hangs, nothing is loose.',
      }),
      step('points', 'Look at tow eyes or frame where it will be carried; never at the bumper.', {
        ask: ['Whole and tight?', 'It is loaded on a transporter, not towed.'],
        fails: ['tow-point'],
      }),
      step(
        'bar',
        'The recovery lifts or bars it: both sides of the frame, chains crossed beneath, room to turn.',
        { ask: ['Does the bar carry it, chains on?', 'Chocks stay in until it does.'] },
      ),
      step(
        'shaft',
        'Drive shaft off at the rear axle, or the axle shafts out and capped, as its manual says. Cups of the joints taped.',
        {
          ask: [
            'Off, tied up, and nothing turns the gearbox?',
            'It is not towed on its driven wheels: a gearbox that is turned without oil pressure burns.',
          ],
          fails: ['tow-shaft'],
        },
      ),
      RELEASE[brake],
      step(
        'steering',
        'Steering unlocked if its front wheels roll, or tied straight as the recovery says.',
        {
          ask: ['As the recovery wants it?', 'A locked wheel steers it into the next lane.'],
          fails: ['tow-steering'],
        },
      ),
      step('lamps', 'Lamp bar at its rear: tail, stop, turn signals, tried.', {
        ask: ['All light?', 'It does not go onto the road in the dark of the one behind.'],
        fails: ['tow-lamps'],
      }),
      step('away', 'Chocks aboard, nobody in the cab, speed as the recovery says.', {
        see: 'Hubs and shaft looked at again after the first stretch.',
      }),
      step('after', 'Where it is set down: brakes, chocks, keys; a tag that the shaft is off.', {
        see: 'Whoever comes next knows that its parking brake does not hold.',
      }),
    ],
  });
}
