import { hydraulicChecks, neverFeel } from '../shared/hydraulics';
import type { Check, Procedure } from '../../catalogue';
import { BY_HAND, caution, check, faultsOf, leak, moved } from '../write';

export const { stops, repairs, watches } = faultsOf('lift', ['lift-gate']);
const road = faultsOf('lift', ['road', 'lift-gate']);
const under = caution('DANGER', 'Never stand or reach under a platform that is not on the ground.');
export const feet = caution(
  'WARNING',
  'Feet and hands off the edges while it moves. Stand where you see all of it.',
);
const needed = (because: string) => [{ needed: 'lift-gate', harm: 'stop', because } as const];

/** What rail, tuck-under and column lifts share. */
export function liftChecks(p: string): Check[] {
  return [
    ...hydraulicChecks({ prefix: p, zone: 'rear', takes: ['lift-gate'], of: 'of the lift' }),
    check({
      id: `${p}.charging-lead`,
      title: 'Look at charging lead and its socket',
      partName: 'Charging lead and socket',
      zone: 'rear',
      method: 'look',
      phases: ['pre-trip', 'under-way', 'hook-up', 'before-use'],
      seconds: 10,
      criterion: 'Plugged in, latch shut, pins straight and clean, cable whole.',
      symptoms: [
        repairs('lead-out', 'Not plugged in', {
          worse: needed('the battery will be flat at the third stop'),
        }),
        repairs('pins-bent', 'Pins bent or green', {
          worse: needed('it will not charge on the way'),
        }),
        repairs('lead-chafed', 'Cable chafed', { condition: 'Tie it clear of the deck.' }),
      ],
      fixes: { 'lead-out': ['Plug it in'] },
      why: 'A lift that was never plugged in dies at the first delivery.',
    }),
    check({
      id: `${p}.battery.box`,
      title: 'Shake the battery box and its hold-down',
      partName: 'Lift battery box',
      zone: 'rear',
      method: 'shake',
      needs: ['gloves', 'glasses'],
      seconds: 12,
      criterion: 'Box shut, batteries tight, terminals clean.',
      symptoms: [
        road.stops('battery-loose', 'Box or battery can move'),
        repairs('terminal-green', 'Terminal green or loose'),
      ],
      cautions: [
        caution('WARNING', 'No rings, no sparks. Battery gas explodes and the acid blinds.'),
      ],
      why: 'It is shaken more than the truck’s own.',
    }),
    check({
      id: `${p}.battery.state`,
      title: 'Read the state of the lift battery',
      partName: 'Lift battery charge',
      zone: 'rear',
      method: 'look',
      seconds: 8,
      criterion: 'Eye green, or lamp in the good field.',
      symptoms: [
        repairs('battery-low', 'In the low field', {
          condition: 'Engine running during lift work.',
          worse: needed('it stops with a load half way up'),
        }),
      ],
      why: 'Each raise takes what ten minutes of driving give.',
    }),
    check({
      id: `${p}.pump.box`,
      title: 'Open the pump box: level, dirt, connections',
      partName: 'Lift pump box',
      zone: 'rear',
      method: 'look',
      phases: ['weekly', 'pre-trip'],
      needs: ['platform-down', 'secured'],
      seconds: 20,
      criterion: 'Oil at the mark with the platform down, dry, ground strap tight.',
      symptoms: [
        repairs('pump-oil-low', 'Low', { condition: 'Top up before the first lift.' }),
        repairs('ground-loose', 'Ground or cable loose'),
        leak(
          'pump-leak',
          'Oil in the box',
          'hydraulics',
          ['watch', 'repair', 'stop'],
          ['lift-gate'],
        ),
      ],
      fixes: { 'pump-oil-low': ['Top up with the oil on the label'] },
      cautions: [neverFeel],
      why: 'A loose ground makes the motor hot and slow.',
    }),
    check({
      id: `${p}.structure`,
      title: 'Look over arms, frame and welds',
      partName: 'Lift arms, frame and welds',
      zone: 'rear',
      method: 'look',
      phases: ['pre-trip', 'before-use'],
      needs: ['lamp'],
      seconds: 14,
      criterion: 'No crack, no bend, all bolts in.',
      symptoms: [
        road.stops('arm-cracked', 'Crack in arm, frame or weld'),
        repairs('bolt-loose', 'A bolt missing or loose'),
        watches('arm-dent', 'New dent'),
      ],
      why: 'It carries a tonne on two arms, ten times a day.',
    }),
    check({
      id: `${p}.pins`,
      title: 'Look at every pivot pin and keeper',
      partName: 'Pivot pins and keepers',
      zone: 'rear',
      method: 'look',
      phases: ['pre-trip', 'weekly'],
      seconds: 10,
      criterion: 'In, locked, greased, no play to see.',
      symptoms: [stops('pin-out', 'A pin or keeper is missing'), repairs('pin-worn', 'Worn')],
      why: 'One lost keeper drops one side.',
    }),
    check({
      id: `${p}.platform.surface`,
      title: 'Look at the platform: surface, edges, extension',
      partName: 'Lift platform',
      zone: 'rear',
      method: 'look',
      phases: ['pre-trip', 'before-use'],
      needs: ['platform-down'],
      seconds: 9,
      criterion: 'Rough, dry, no bent edge, hinge straight.',
      symptoms: [
        repairs('surface-slick', 'Slick, iced or oily', {
          worse: [{ in: 'freezing', harm: 'stop', because: 'an iced platform throws people off' }],
        }),
        repairs('edge-bent', 'Edge bent, a cart catches'),
        stops('hinge-broken', 'Hinge of the extension broken'),
      ],
      fixes: { 'surface-slick': ['Scrape and grit it'] },
      why: 'People walk backwards on it with a load.',
    }),
    check({
      id: `${p}.cart-stops`,
      title: 'Raise and drop the cart stops',
      partName: 'Cart stops',
      zone: 'rear',
      method: 'operate',
      phases: ['pre-trip', 'before-use'],
      moves: BY_HAND,
      needs: ['platform-down', 'secured'],
      seconds: 10,
      criterion: 'Spring up, hold, lie flat when down.',
      symptoms: [stops('cart-stop-dead', 'Does not hold'), repairs('cart-stop-stiff', 'Stiff')],
      why: 'A cart rolls off at eye height.',
    }),
    check({
      id: `${p}.decals`,
      title: 'Read rated load and operating decals',
      partName: 'Rated load and decals',
      zone: 'rear',
      method: 'look',
      phases: ['pre-trip', 'before-use'],
      seconds: 6,
      criterion: 'All can be read.',
      symptoms: [
        stops('rating-gone', 'Rated load cannot be read'),
        repairs('decal-gone', 'A decal is missing'),
      ],
      why: 'Helpers guess what they cannot read.',
    }),
    check({
      id: `${p}.switches`,
      title: 'Try every switch, let go of each',
      partName: 'Lift switches',
      zone: 'lift-controls',
      method: 'operate',
      phases: ['pre-trip', 'before-use'],
      moves: moved('platform', 'lift-power', ['lift-gate']),
      needs: ['lift-power-on', 'parking-brake-set', 'area-clear'],
      seconds: 15,
      criterion: 'Springs back; movement stops at once; lamp at the cab switch lights.',
      symptoms: [
        stops('switch-sticks', 'Sticks or moves on'),
        repairs('switch-lamp', 'Lamp of the cab switch dead'),
        repairs('switch-cover', 'Cover or guard missing'),
      ],
      cautions: [under, feet],
      why: 'A switch that sticks carries a foot up with it.',
    }),
    check({
      id: `${p}.lamps`,
      title: 'Look at lamps and flags of the platform',
      partName: 'Platform lamps and flags',
      zone: 'rear',
      method: 'look',
      needs: ['lamps-on'],
      seconds: 6,
      criterion: 'Flash when it is open; truck’s lamps not hidden when stowed.',
      symptoms: [
        repairs('platform-lamp-out', 'Out', {
          worse: [
            { in: 'dark', harm: 'stop', because: 'an open platform is not seen in the dark' },
          ],
        }),
        repairs('platform-lamp-dirty', 'Too dirty to be seen', {
          worse: [
            { in: 'dark', harm: 'stop', because: 'an open platform is not seen in the dark' },
          ],
        }),
        road.stops('hides-lamps', 'Stowed platform hides the tail lamps'),
      ],
      fixes: { 'platform-lamp-dirty': ['Wipe it'] },
      why: 'An open platform is at the height of a windscreen.',
    }),
    check({
      id: `${p}.transit.latch`,
      title: 'Shake the transit hook and latch',
      partName: 'Transit hook and latch',
      zone: 'rear',
      method: 'shake',
      needs: ['platform-stowed', 'secured'],
      phases: ['pre-trip', 'under-way', 'post-trip'],
      seconds: 8,
      criterion: 'Hooked, latch upright, cannot be shaken open.',
      symptoms: [road.stops('latch-open', 'Does not hold', { fixLeaves: 'repair' })],
      fixes: { 'latch-open': ['Power it up tight and latch it'] },
      why: 'A platform that opens on the road is a blade.',
    }),
    check({
      id: `${p}.padlocks`,
      title: 'Read padlock and seal numbers',
      partName: 'Padlocks and seals',
      zone: 'rear',
      method: 'look',
      seconds: 8,
      criterion: 'Locked, numbers as on the papers.',
      symptoms: [watches('seal-differs', 'Another number than on the papers')],
      why: 'The first question at the gate.',
    }),
    check({
      id: `${p}.grease`,
      title: 'Grease the pivots of the lift',
      partName: 'Lift grease points',
      zone: 'rear',
      method: 'grease',
      phases: ['monthly'],
      needs: ['platform-down', 'secured', 'grease-gun'],
      seconds: 180,
      criterion: 'Fresh grease shows at each.',
      symptoms: [repairs('fitting-blocked', 'A fitting takes no grease')],
      cautions: [under],
      why: 'Dry pins squeal first and seize later.',
    }),
    check({
      id: `${p}.stowed`,
      title: 'Stowed, latched, cab switch off',
      partName: 'Lift stowed',
      zone: 'lift-controls',
      method: 'look',
      needs: ['platform-stowed', 'lift-power-off'],
      phases: ['post-trip', 'under-way'],
      seconds: 8,
      criterion: 'Tight against its stops, latch upright, switch off.',
      symptoms: [road.stops('not-stowed', 'Not fully stowed')],
      why: 'It is the last thing before you drive.',
    }),
  ];
}

export const stowCycle = (p: string, title: string, more: Procedure['steps']): Procedure => ({
  id: `${p}.cycle.procedure`,
  title,
  check: `${p}.cycle`,
  stand: 'At the controls beside the platform, never in front of it',
  clear: { x: 0, y: -2, length: 3.5, width: 4 },
  cautions: [under, feet],
  steps: [
    {
      id: 'clear',
      say: 'Look around and above: nobody, nothing in the way.',
      who: 'driver',
      gate: {
        ask: 'Clear zone empty?',
        otherwise: 'The platform swings through where people stand. Send them away first.',
      },
      fails: [],
    },
    {
      id: 'power',
      say: 'Cab switch on.',
      see: 'Its lamp lights.',
      gate: {
        ask: 'Does the lamp light?',
        otherwise: 'No power: look at breaker, lead and battery.',
      },
      fails: ['cycle-dead'],
    },
    ...more,
    { id: 'off', say: 'Cab switch off.', see: 'Its lamp is out.', who: 'driver', fails: [] },
  ],
});

export const cycleCheck = (p: string, title: string): Check =>
  check({
    id: `${p}.cycle`,
    title,
    partName: 'Lift cycle',
    zone: 'lift-controls',
    method: 'operate',
    moves: moved('platform', 'lift-power', ['lift-gate'], {
      ends: 'stowed, latched, cab switch off',
    }),
    needs: ['lift-power-on', 'parking-brake-set', 'area-clear', 'empty'],
    does: ['lift-power-off'],
    seconds: 120,
    criterion: 'Even, level at the floor, without jerk, drag or drift.',
    symptoms: [
      stops('cycle-dead', 'A movement does not work'),
      stops('cycle-jerks', 'Jerks or drags on one side'),
      stops('cycle-drifts', 'Sinks by itself with nothing on it'),
      repairs('cycle-slow', 'Slower than usual', {
        condition: 'Light loads; engine running during lift work.',
        worse: needed('it may not come up again at the third stop'),
      }),
      repairs('cycle-uneven', 'Not level at the floor'),
    ],
    cautions: [under, feet],
    why: 'It fails at the customer’s door, with a load on it.',
  });

export const liftZones = [
  { id: 'rear', title: 'Rear end', round: 'outside', x: 0.9, y: -1 },
  {
    id: 'lift-controls',
    title: 'Liftgate controls',
    round: 'equipment',
    x: 0.6,
    y: 2.05,
    cautions: [under, feet],
  },
] as const;
