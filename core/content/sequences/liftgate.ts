import { caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const { stops, repairs } = faultsOf('lift', ['lift-gate']);
const road = faultsOf('lift', ['road', 'lift-gate']);
const feet = caution('WARNING', 'Feet and hands off the edges while it moves. Nobody rides on it.');
const under = caution('DANGER', 'Never stand or reach under a platform that is not on the ground.');
const tips = caution(
  'DANGER',
  'Let a cart that tips go. Nobody holds what weighs more than they do.',
);

interface Liftgate {
  readonly prefix: string;
  /** Unfolding and folding, in the words of this kind of lift. */
  readonly unfold: string;
  readonly fold: string;
  /** What holds it for the road. */
  readonly transit: string;
}

/** Arrival on site, use under load, departure: each a walk to the tail with its own order. */
export function liftgateSequences({ prefix, unfold, fold, transit }: Liftgate): Sequence[] {
  const clear = { x: -0.5, y: -2.5, length: 4.5, width: 5 } as const;
  const powered = ['lift-power-on', 'parking-brake-set', 'chocked', 'area-clear'] as const;
  return [
    sequence({
      id: `${prefix}.arrival`,
      inUse: 'set-up',
      title: 'Arrive: place the truck, open the lift',
      partName: 'Lift on arrival',
      zone: 'lift-controls',
      method: 'operate',
      moves: moved('platform', 'lift-power', ['lift-gate'], { ends: 'open, at floor height' }),
      does: ['platform-down'],
      phases: ['before-use'],
      helper: 'may-help',
      needs: [...powered, 'platform-stowed'],
      seconds: 180,
      criterion: 'Nose not higher than tail, clear zone free, platform level at the floor.',
      symptoms: [
        stops('arrival-slope', 'No place where it stands level', { fixLeaves: 'watch' }),
        stops('arrival-dead', 'A movement does not work'),
        repairs('arrival-jerks', 'Jerks or drags as it opens'),
      ],
      fixes: { 'arrival-slope': ['Found another place and began again'] },
      cautions: [under, feet],
      why: 'Loads roll out of a truck that stands nose up.',
      stand: 'At the switches, beside the platform, both hands free, on the side away from traffic',
      clear,
      steps: [
        step(
          'look',
          'Before you back in: get out and look at ground, slope, wires, doors, people.',
          {
            ask: [
              'Firm, nothing above, nobody behind?',
              'Do not back in here. Find a place where you see all of it.',
            ],
          },
        ),
        step('level', 'Is the nose higher than the tail?', {
          ask: [
            'Level, or tail a little higher?',
            'Freight rolls onto the platform. Turn the truck round or find another place.',
          ],
          fails: ['arrival-slope'],
        }),
        step('air', 'Parking brake set, chocks in, suspension locked or let down.', {
          see: 'It does not rise as it is unloaded.',
        }),
        step('zone', 'Cones round the reach of the platform and of whatever can tip off it.', {
          see: 'As wide as the card of the lift says.',
          ask: [
            'Nobody in the clear zone?',
            'Stop as soon as somebody comes in. Wait until they are out.',
          ],
        }),
        step(
          'doors',
          'Unlatch one door, stand behind it as behind a shield, look what leans on it.',
          {
            ask: [
              'Nothing leans on the doors?',
              'Shut it. Free the load from the other side first.',
            ],
          },
        ),
        step('power', 'Power on.', { see: 'Its lamp lights.', fails: ['arrival-dead'] }),
        step('gloves', 'Gloves on, feet back.', { see: 'Hands on the grip, not on the edge.' }),
        step('unlatch', `Undo ${transit}.`, { fails: ['arrival-dead'] }),
        step('unfold', unfold, {
          see: 'Even, nothing drags.',
          fails: ['arrival-dead', 'arrival-jerks'],
        }),
        step('floor', 'Raise it to the floor.', {
          see: 'Level with it, no step, no gap.',
          fails: ['arrival-dead', 'arrival-jerks'],
        }),
        step(
          'open',
          'Look at hinges, stops and locks of the platform before anything goes on it.',
          {
            fails: ['arrival-jerks'],
          },
        ),
      ],
    }),
    sequence({
      id: `${prefix}.use`,
      inUse: 'work',
      title: 'Lower a load, stops up, and bring the platform back',
      partName: 'Lift in use',
      zone: 'lift-controls',
      method: 'operate',
      moves: moved('platform', 'lift-power', ['lift-gate'], { ends: 'open, at floor height' }),
      phases: ['before-use'],
      helper: 'may-help',
      needs: [...powered, 'platform-down'],
      seconds: 150,
      criterion: 'Load under the rating, at the centre, behind its stops; nobody rides.',
      symptoms: [
        stops('use-drifts', 'Sinks or tilts under load'),
        stops('use-stops', 'A cart stop does not come up or does not hold'),
        repairs('use-slow', 'Slow under load'),
      ],
      cautions: [tips, under, feet],
      why: 'It is the load on the lift that crushes, not the lift.',
      stand: 'On the ground beside the platform, where you see load and edge',
      clear,
      steps: [
        step('mass', 'Read the mass of the load and the rating at its distance from the floor.', {
          ask: [
            'Known, and less than the rating?',
            'Nothing of unknown mass goes on the lift. Weigh it, split it, or use a dock.',
          ],
        }),
        step('freight', 'Straps off one by one; look what lies loose on top.', {
          ask: ['Nothing loose above your head?', 'Take it down first, from the side.'],
        }),
        step('roll', 'Roll it on, its heavy side to the truck, its wheels across the slope.', {
          see: 'Centred, brakes of the cart on.',
        }),
        step('stops', 'Cart stops up.', { see: 'Stand by themselves.', fails: ['use-stops'] }),
        step('off', 'Step off the platform, to the side.', {
          ask: ['Nobody on it, nobody in the zone?', 'Nobody rides with a load. Wait.'],
        }),
        step('down', 'Lower it to the ground, in one go.', {
          see: 'Even, level. A cart that tips is let go.',
          fails: ['use-drifts', 'use-slow'],
        }),
        step('away', 'Stops down, load off, away from the edge.', { fails: ['use-stops'] }),
        step('up', 'Empty platform back to the floor.', { fails: ['use-slow'] }),
      ],
    }),
    sequence({
      id: `${prefix}.departure`,
      inUse: 'stow',
      title: 'Leave: fold the lift, latch it, look round',
      partName: 'Lift on departure',
      zone: 'lift-controls',
      method: 'operate',
      moves: moved('platform', 'lift-power', ['lift-gate'], { ends: 'stowed and latched' }),
      does: ['platform-up'],
      phases: ['before-use'],
      needs: [...powered, 'platform-down'],
      seconds: 150,
      criterion: 'Tight against its stops, latched, power off, doors locked.',
      symptoms: [
        road.stops('departure-latch', 'Does not latch for the road'),
        stops('departure-dead', 'A movement does not work'),
        repairs('departure-slack', 'Not tight against its stops'),
      ],
      cautions: [under, feet],
      why: 'A platform that comes down on the road is a wall.',
      stand: 'At the switches, beside the platform',
      clear,
      steps: [
        step('inside', 'Straps on what is left, nothing loose; last look inside for people.', {
          ask: ['Nobody inside?', 'Call, look, and only then shut it.'],
        }),
        step('doors', 'Doors shut and latched before the platform folds.', { see: 'Bars home.' }),
        step('platform', 'Sweep the platform; stops down and locked.', {
          see: 'No stone, no ice.',
        }),
        step('fold', fold, { see: 'In this order, nothing forced.', fails: ['departure-dead'] }),
        step('tight', 'Raise it under power until it stands tight against its stops.', {
          see: 'Never let down below its hook.',
          fails: ['departure-slack', 'departure-dead'],
        }),
        step('latch', `Close ${transit}, pull at it.`, {
          ask: [
            'Latched, and it holds when pulled?',
            'It does not leave. Latch it or chain it for the workshop.',
          ],
          fails: ['departure-latch'],
        }),
        step('power', 'Power off, padlock and seal on, numbers written down.', {
          see: 'Lamp out.',
        }),
        step('cones', 'Cones, ramp and holding bar aboard.'),
        step('round', 'Walk once round the truck.', {
          see: 'Nobody behind, nothing hanging, chocks aboard.',
        }),
      ],
    }),
  ];
}
