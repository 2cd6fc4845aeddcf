import { BY_HAND, caution, faultsOf, moved } from '../write';
import { sequence, step, type Sequence } from './write';

const { stops, repairs, watches } = faultsOf('plow', ['plow']);
const fall = caution('DANGER', 'A wing that is let go falls flat. Nobody on the side it falls to.');
const pinch = caution('WARNING', 'Fingers out of pin holes: look through, never feel through.');

/** A wing hung on its mast: brought alongside, pinned at both ends, braced, connected, folded in and locked. */
export const WING_HOOK_UP: Sequence = sequence({
  id: 'wing.hook-up',
  title: 'Drive alongside, hang the wing, pin it, connect',
  partName: 'Wing hook-up',
  zone: 'wing-controls',
  method: 'operate',
  moves: moved('hook-up', 'rolling', ['plow'], {
    held: 'tested-brake',
    ends: 'brake set, pinned, braced, folded in and locked',
  }),
  phases: ['hook-up'],
  needs: ['rolls-to-hook-up', 'parking-brake-released', 'area-clear'],
  helper: 'needed',
  seconds: 420,
  criterion:
    'Toe and heel pinned, both braces with their shear bolts, cable straight, hoses locked.',
  symptoms: [
    stops('wing-misfit', 'Does not come together without force'),
    stops('wing-brace', 'A brace or its shear bolt does not fit'),
    repairs('wing-plug', 'Plug or socket corroded'),
  ],
  cautions: [fall, pinch],
  why: 'A wing that comes off at speed clears the ditch of whoever stands there.',
  stand: 'In the seat; the helper ahead on the curb side, in sight, outside of where it falls',
  clear: { x: -1, y: 0, length: 6, width: 6 },
  steps: [
    step('ground', 'Wing on its stands on firm, level ground; mast and slides swept and greased.', {
      who: 'both',
      fails: ['wing-misfit'],
    }),
    step('drive', 'Drive alongside slowly and straight until mast and wing meet. Stop.', {
      who: 'both',
      ask: ['Helper in sight, nobody between?', 'Stop. Drive only while you see the helper.'],
    }),
    step('secured', 'Brake set, engine off, key in your pocket, chocks in.', {
      who: 'driver',
      ask: ['Off, and the key with you?', 'Nobody puts a hand to a pin before it is.'],
    }),
    step('toe', 'Toe pin in, clip through.', { fails: ['wing-misfit'] }),
    step('heel', 'Heel pin in, clip through.', {
      ask: ['Both pins through and clipped?', 'One pin holds as far as the first post.'],
      fails: ['wing-misfit'],
    }),
    step('braces', 'Both push braces on, with the shear bolts that its plate names.', {
      see: 'Never a harder bolt.',
      fails: ['wing-brace'],
    }),
    step('cable', 'Cable or chain of toe and heel on, no twist, over its sheaves.'),
    step('hoses', 'Wipe both halves of each hose, push home, lock.', {
      see: 'None crossed: toe is toe.',
    }),
    step('plug', 'Plug in: wing lamp, warning lamp, marker.', { fails: ['wing-plug'] }),
    step('stands', 'Stands up and pinned.'),
    step(
      'raise',
      'Engine idling, everybody away: raise it a hand, look at hoses and cable from ahead.',
      {
        who: 'both',
        ask: ['Curb side clear, wing length and half as much?', 'It falls where it swings. Wait.'],
      },
    ),
    step('fold', 'Fold it in and lock it for the road.', {
      see: 'Lock pin through, flag out, lamp seen from the seat.',
    }),
    step('chocks', 'Chocks aboard; look at pins, braces and locks of the hoses once more.', {
      who: 'driver',
    }),
  ],
});

/** A wing taken off: washed and looked at, down on its stands, everything off, nothing left that holds it. */
export const WING_STORAGE: Sequence = sequence({
  id: 'wing.storage',
  title: 'Set the wing on its stands, caps on, rods greased',
  partName: 'Wing in storage',
  zone: 'wing',
  method: 'operate',
  moves: BY_HAND,
  phases: ['storage'],
  needs: ['blade-down', 'secured'],
  seconds: 240,
  criterion: 'Stands firm on both stands, hoses hung up, plug covered, rods greased.',
  symptoms: [
    watches('wing-stand', 'Stand bent or sinking'),
    repairs('wing-crack', 'A crack or a worn edge found on washing'),
  ],
  cautions: [fall, pinch],
  why: 'It stands there all summer beside a path.',
  stand: 'Behind the wing, never on the side it can fall to',
  clear: { x: -1, y: 0, length: 6, width: 6 },
  steps: [
    step('wash', 'Washed; edge, shoes, braces and mast looked at again after the season.', {
      fails: ['wing-crack'],
    }),
    step('down', 'Down on planks, levers to float, engine off, key with you.', {
      ask: ['Down, engine off?', 'It drops when the hose comes off. Lower it first.'],
    }),
    step('stands', 'Both stands down and pinned.', { fails: ['wing-stand'] }),
    step('hoses', 'Hoses off, caps on, hung up; plug out, cover on.'),
    step('cable', 'Cable off, rolled up and oiled.'),
    step('pins', 'Braces off; heel pin out, then toe pin, back into their holders.', {
      see: 'It does not move.',
    }),
    step('free', 'Walk round it: what still holds it to the truck?', {
      ask: [
        'Pins, braces, cable, hoses and plug all off?',
        'One that is left on tears the mast when the truck drives away.',
      ],
      fails: ['wing-stand'],
    }),
    step('rods', 'Grease on every bare rod; a sign where it can fall.'),
  ],
});
