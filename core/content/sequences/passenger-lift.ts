import { caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const lift = faultsOf('lift', ['passenger-lift']);
const belts = faultsOf('restraint', ['passenger-lift']);
const edge = caution(
  'DANGER',
  'Never leave somebody on the platform alone, and never with the power off.',
);
const traffic = caution('WARNING', 'Stay out of the traffic side; hazard lamps on.');

/** Everybody who is lifted: arrival, ride up, four straps and a belt. */
export const CARRY_PASSENGER: Sequence = sequence({
  id: 'passenger-lift.carry',
  inUse: 'work',
  title: 'Lift a passenger aboard and secure the chair',
  partName: 'Passenger carried',
  zone: 'lift-controls',
  method: 'operate',
  moves: moved('platform', 'key', ['passenger-lift'], { ends: 'stowed, door shut' }),
  phases: ['before-use'],
  needs: [
    'engine-idling',
    'parking-brake-set',
    'chocked',
    'lift-power-on',
    'platform-stowed',
    'area-clear',
  ],
  seconds: 600,
  criterion:
    'Facing out on the platform, four straps at the frame at their angles, belt on the body.',
  source: '49 CFR 38.23, 37.165',
  symptoms: [
    lift.stops('carry-too-heavy', 'Passenger and chair are more than the lift is rated for'),
    lift.stops('carry-barrier', 'A barrier or flap does not come up'),
    lift.stops('carry-moves', 'Jerks, tilts or drifts with somebody on it'),
    belts.stops('carry-strap', 'A strap does not lock or is cut'),
    belts.stops('carry-belt', 'The belt does not fit the body'),
    belts.repairs('carry-track', 'A fitting goes into the track only with force'),
  ],
  cautions: [edge, traffic],
  why: 'They cannot catch themselves. You do it for them.',
  stand: 'On the ground beside the platform, one hand at the rail, the hand control in the other',
  clear: { x: -0.5, y: 0, length: 3.5, width: 4 },
  steps: [
    step(
      'place',
      'Stop where the platform comes down on level, firm ground; room for the chair to turn.',
      {
        see: 'As long again as the platform, free.',
        ask: ['Level, firm, room enough?', 'Move the bus. Do not lift here.'],
      },
    ),
    step('greet', 'Tell the passenger each thing before you do it.', {
      see: 'They say when they are ready.',
    }),
    step('mass', 'Passenger and chair against the rating on the platform.', {
      ask: [
        'Less than the rating?',
        'Do not lift them. Chair and passenger separately, or another vehicle.',
      ],
      fails: ['carry-too-heavy'],
    }),
    step('door', 'Door open and locked open, platform unfolded and down to the ground.', {
      see: 'Outer barrier open, inner barrier up.',
      fails: ['carry-barrier', 'carry-moves'],
    }),
    step(
      'on',
      'On backward, facing out, in the middle; both brakes of the chair on, its power off.',
      {
        see: 'Hands on the rails, feet and blankets inside.',
      },
    ),
    step('belt', 'Safety belt of the lift across, if it has one; outer barrier up.', {
      ask: ['Barrier up, belt across, brakes on, power off?', 'Do not lift. Put it right first.'],
      fails: ['carry-barrier'],
    }),
    step('up', 'Raise it to the floor, one hand at the chair.', {
      see: 'Even, without a stop. The inner barrier lies down only at the floor.',
      fails: ['carry-moves', 'carry-barrier'],
    }),
    step('in', 'Chair power on or brakes off, in to its position, facing forward.', {
      see: 'Somebody at the chair all the time.',
    }),
    step('rear', 'Two rear straps to the frame, just inside the rear wheels, 30 to 45° up.', {
      see: 'Never to wheels, spokes, foot rests or arm rests.',
      fails: ['carry-strap', 'carry-track'],
    }),
    step('front', 'Two front straps to the frame, outside of the front wheels, 40 to 60° up.', {
      see: 'Locked. The chair does not move two fingers either way.',
      ask: [
        'Does the chair stay when you shake it?',
        'Take up the slack, choose other points, and shake again.',
      ],
      fails: ['carry-strap', 'carry-track'],
    }),
    step(
      'occupant',
      'Lap belt low on the hips, shoulder belt over the collar bone; nothing of the chair beneath.',
      {
        see: 'Snug, not twisted, buckle away from the wheel.',
        fails: ['carry-belt'],
      },
    ),
    step('away', 'Platform stowed, door shut, hand control hung up, cover on.', {
      see: 'Warning lamp out.',
      fails: ['carry-barrier'],
    }),
    step('ask', 'Ask the passenger: is it right so?', {
      ask: ['Do they say yes?', 'Put right what hurts or frightens them before you drive.'],
    }),
  ],
});
