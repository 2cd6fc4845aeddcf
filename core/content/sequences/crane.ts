import { LAW } from '../../catalogue';
import { caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const below = caution('DANGER', 'Nobody under boom or load. Nobody where a leg goes down.');
const wires = caution(
  'DANGER',
  `A line in reach kills without being touched. ${LAW.lineDistance.value} m (10 ft) at least up to 50 kV, more above; unknown is taken as the largest.`,
);

interface SetUp {
  readonly prefix: string;
  readonly zone: string;
  /** The movement of the upper works, and what powers it. */
  readonly part: string;
  readonly power: 'own-engine' | 'power-take-off';
  readonly takes: 'crane' | 'aerial';
  /** A jack of its own in the middle of the front. */
  readonly frontJack?: boolean;
  readonly what: string;
}

/** Survey, legs out, level; and at the end boom to its rest, legs in, pinned. */
export function setUpSequences(of: SetUp): Sequence[] {
  const { prefix, zone, part, power, takes } = of;
  const legs = faultsOf('outriggers', [takes]);
  const road = faultsOf('outriggers', ['road', takes]);
  const clear = { x: -6, y: -8, length: 24, width: 16 } as const;
  const powered =
    power === 'own-engine'
      ? (['own-engine-running'] as const)
      : (['engine-idling', 'power-take-off'] as const);
  return [
    sequence({
      id: `${prefix}.set-up`,
      inUse: 'set-up',
      title: `Set ${of.what} up`,
      partName: 'Set-up',
      zone,
      method: 'operate',
      moves: moved(part, power, [takes], {
        held: 'brake-and-chocks',
        ends: 'on its legs, level, nothing lifted yet',
      }),
      does: ['outriggers'],
      precedes: ['movement'],
      partOf: [part],
      phases: ['before-use'],
      helper: 'needed',
      needs: [
        ...powered,
        'parking-brake-set',
        'chocked',
        'level-ground',
        'area-clear',
        'boom-cradled',
        'outriggers-in',
      ],
      seconds: 600,
      criterion: 'Every leg pinned and on its plate, all wheels relieved, level within the card.',
      source: `29 CFR 1926.1402, 1926.1404(q), ${LAW.lineDistance.source}`,
      symptoms: [
        legs.stops('set-up-sinks', 'A plate sinks or tilts'),
        legs.stops('set-up-pin', 'A lock pin or float does not go home'),
        legs.stops('set-up-level', 'Cannot be brought level'),
        legs.stops('set-up-dead', 'A leg does not move or does not hold'),
        legs.repairs('set-up-slow', 'A leg moves slowly'),
      ],
      cautions: [wires, below],
      why: 'They fall over because of the ground and not because of the load.',
      stand: 'At the controls of the legs, on the side that you move; the helper on the other side',
      clear,
      steps: [
        step('ground', 'Walk the place: firm ground, edges, voids, covers, cellars, slope.', {
          who: 'both',
          ask: [
            'Firm everywhere a leg will stand, and as far from an edge as it is deep?',
            'Do not set up here. Ask whoever knows the ground, or choose another place.',
          ],
        }),
        step('lines', 'Look up and all round: lines, branches, roofs, signs.', {
          who: 'both',
          ask: [
            'No line within reach of boom, rope and load?',
            'Stop. A line is cut off and earthed by its owner, or the place is another one.',
          ],
        }),
        step(
          'people',
          'Keep-out round it; signal person named, signals agreed, one word for stop.',
          {
            who: 'both',
            ask: ['Nobody inside, signals agreed?', 'Nobody signals, nobody lifts.'],
          },
        ),
        step('load', 'Mass of the heaviest lift, its radius, the line of the rated chart for it.', {
          chart: true,
          ask: [
            'Mass known, and less than the chart allows at that radius with hook and slings?',
            'An unknown mass is not lifted. Weigh it or take it for the largest that it may be.',
          ],
        }),
        step('pins', 'Lock pins of the beams out, floats or trays ready.', {
          fails: ['set-up-pin'],
        }),
        step('beams', 'Beams out, hold to run, one side after the other; pins in.', {
          who: 'both',
          see: 'Out to the length that the chart is read for.',
          ask: [
            'All pinned at the length of the chart?',
            'A beam half out is another chart, or none.',
          ],
          fails: ['set-up-pin', 'set-up-dead'],
        }),
        step(
          'plates',
          'Helper: plates under every leg, flat, while nothing moves; then away, hand up.',
          {
            who: 'helper',
            ask: ['Nobody where a leg comes down?', 'Feet away first.'],
          },
        ),
        step('down', 'Legs down until they carry; level it by turns.', {
          see: 'Wheels relieved, bubble in the middle, lamp lit.',
          fails: ['set-up-sinks', 'set-up-dead', 'set-up-slow', 'set-up-level'],
        }),
        ...(of.frontJack
          ? [
              step('front-jack', 'Front jack down last, only until its gap is closed.', {
                see: 'It carries nothing until the boom is over the front.',
                fails: ['set-up-dead'],
              }),
            ]
          : []),
        step('wait', 'Stand still and look at every plate.', {
          who: 'both',
          see: 'None sinks.',
          holdSeconds: 60,
          fails: ['set-up-sinks'],
        }),
        step(
          'level',
          'Read the level at the machine and in the cab; look at pins and plates once more.',
          {
            see: 'Both say the same, within what the card allows; every pin home.',
            fails: ['set-up-level'],
          },
        ),
      ],
    }),
    sequence({
      id: `${prefix}.stow`,
      inUse: 'stow',
      title: `Stow ${of.what} for the road`,
      partName: 'Stowing for the road',
      zone,
      method: 'operate',
      moves: moved(part, power, [takes], {
        held: 'brake-and-chocks',
        ends: 'in its rest, legs in and pinned',
      }),
      does: ['outriggers-in'],
      phases: ['before-use'],
      helper: 'needed',
      needs: [
        ...powered,
        'parking-brake-set',
        'chocked',
        'area-clear',
        'boom-cradled',
        'outriggers-set',
      ],
      seconds: 420,
      criterion: 'Boom in its rest, hook tied, every leg in and pinned, plates aboard.',
      symptoms: [
        road.stops('stow-leg', 'A leg does not come in or does not pin'),
        road.stops('stow-bed', 'Does not lie in its rest or does not lock'),
        legs.repairs('stow-slow', 'A leg comes in slowly'),
      ],
      cautions: [below, wires],
      why: 'What is forgotten out takes a street with it.',
      stand: 'At the controls of the legs; the helper on the other side',
      clear,
      steps: [
        step('empty', 'Nothing on the hook, nobody at the tip; boom in, down, into its rest.', {
          who: 'both',
          ask: [
            'Bedded, lamp out, locked?',
            'Bed it before a leg is moved. It falls over otherwise.',
          ],
          fails: ['stow-bed'],
        }),
        step('hook', 'Hook tied, rope tight, turntable pinned.', { fails: ['stow-bed'] }),
        ...(of.frontJack
          ? [step('front-jack', 'Front jack up first, its lamp out.', { fails: ['stow-leg'] })]
          : []),
        step('up', 'Legs up, one side after the other.', {
          who: 'both',
          see: 'Wheels carry before the last leg leaves the ground.',
          fails: ['stow-leg', 'stow-slow'],
        }),
        step('in', 'Beams in, hold to run.', { fails: ['stow-leg', 'stow-slow'] }),
        step('pins', 'Helper: pin every beam, pull at it, hand up.', {
          who: 'helper',
          ask: ['All in and pinned?', 'It slides out in the first bend. Pin it.'],
          fails: ['stow-leg'],
        }),
        step('plates', 'Plates and mats aboard, counted, tied.'),
        step('off', 'Power out, switches back, emergency stops out.', { see: 'No lamp left.' }),
        step('round', 'Walk once round it: legs, rest, hook, height for the road.', {
          who: 'both',
        }),
      ],
    }),
  ];
}
