import type { Procedure } from '../../catalogue';
import { caution, faultsOf, moved } from '../write';
import { procedureOf, sequence, step, type Sequence } from './write';

const tip = caution(
  'DANGER',
  'Nobody beside ramps or below the machine: it slides and tips to that side.',
);
const swing = caution('WARNING', 'Nobody in the swing of boom and counterweight.');
const load = faultsOf('load', ['road', 'dig']);
const CLEAR = { x: 0, y: -4, length: 14, width: 8 } as const;

/** Off the trailer: of a machine that is ridden. */
export const unloadRidden = (P: string): Procedure =>
  procedureOf(
    { id: `${P}.unload`, title: 'Off the trailer', cautions: [tip, swing] },
    {
      stand: 'In the seat, belt on; the helper to the uphill side, in sight',
      clear: CLEAR,
      steps: [
        step(
          'survey',
          'Walk the way down and the place where it will stand: slope, soft spots, lines, people.',
          {
            who: 'both',
            ask: ['Firm and free as far as it drives?', 'Unload somewhere else.'],
          },
        ),
        step('hitched', 'Trailer hitched, truck braked and chocked, level ground.', {
          ask: [
            'Hitched, braked, chocked, level?',
            'The trailer’s nose goes up with the machine on its tail.',
          ],
        }),
        step('ramps', 'Ramps down, seated, pinned, clean of ice and mud.', {
          who: 'both',
          ask: ['Ramps seated and clean?', 'Steel on ice slides sideways.'],
        }),
        step('chains', 'Chains off, the boom’s last; nothing of them left on the deck.'),
        step('start', 'Into the seat by three points, belt on, start, warm it at low idle.', {
          see: 'No warning lamp; the travel alarm sounds.',
        }),
        step('low', 'Low speed, attachment low over the deck, tracks in line with the ramps.', {
          ask: ['Helper in sight and on the uphill side?', 'Stop until you see the helper.'],
        }),
        step('drive', 'Straight down without steering or stopping at the break.', {
          see: 'No slip. The nose comes down slowly.',
          who: 'driver',
          fails: ['ramp-slips'],
        }),
        step('away', 'Off the ramps and clear; attachment on the ground.', {
          fails: ['ramp-slips'],
        }),
        step(
          'ramps-up',
          'Helper, once the machine stands still: ramps up and pinned, then away from it.',
          { who: 'helper' },
        ),
      ],
    },
  );

/** Onto the trailer and tied down. */
export const loadRidden = (P: string): Sequence =>
  sequence({
    id: `${P}.load`,
    inUse: 'stow',
    title: 'Onto the trailer and tied down',
    partName: 'Loading and tying down',
    zone: 'machine-controls',
    method: 'operate',
    moves: moved('travel', 'own-engine', ['dig'], {
      held: 'brake-and-chocks',
      ends: 'on the deck, attachment down, tied',
    }),
    phases: ['before-use'],
    helper: 'needed',
    needs: ['own-engine-running', 'parking-brake-set', 'chocked', 'level-ground', 'area-clear'],
    does: ['own-engine-off'],
    seconds: 600,
    criterion: 'Centred over the axles, attachment down, four chains at least and one on the boom.',
    source: '49 CFR 393.130',
    symptoms: [
      load.stops('load-slips', 'Slips on ramp or deck'),
      load.stops('load-chains', 'Too few chains, or one worn or without its mark'),
      load.repairs('load-place', 'Cannot be placed over the axles', {
        condition: 'Weigh nose and axles before the road.',
        bars: 'before-leaving',
      }),
    ],
    cautions: [tip, swing],
    why: 'Going up it tips backward, and on the road it leaves by the side.',
    stand: 'In the seat, belt on; the helper in front, on the uphill side, in sight',
    clear: CLEAR,
    steps: [
      step('clean', 'Mud off the tracks, deck and ramps swept.', {
        ask: ['Clean and dry?', 'Steel slides on mud. Clean it first.'],
      }),
      step('hitched', 'Trailer hitched, truck braked and chocked, ramps seated and pinned.', {
        ask: ['Hitched, braked, chocked, ramps seated?', 'It lifts the nose of the trailer.'],
      }),
      step('line', 'Low speed, tracks in line with the ramps, heavy end uphill.', {
        see: 'Attachment low, ready to hold it.',
      }),
      step('up', 'Straight up without steering; slowly over the break.', {
        who: 'driver',
        see: 'No slip; it comes down softly onto the deck.',
        fails: ['load-slips'],
      }),
      step('place', 'Stop where its mark stands over the axles.', { fails: ['load-place'] }),
      step(
        'down',
        'Attachment down on the deck, swing lock in, engine off, levers locked, key out.',
      ),
      step('chains', 'A chain at each corner, pulling apart; one over boom or bucket.', {
        see: 'Marks legible, half of their limits together at least half of its mass.',
        fails: ['load-chains'],
      }),
      step('binders', 'Binders tight and tied; never stand in their swing.', {
        fails: ['load-chains'],
      }),
      step('loose', 'Doors, covers, buckets, tools: shut, tied or off.'),
      step('height', 'Measure the highest point; write it where the driver sees it.'),
      step('again', 'After the first kilometres stop and tighten again.'),
    ],
  });

const injection = caution(
  'DANGER',
  'Oil under pressure goes through skin. Never feel for a leak: to a doctor at once, even where it does not hurt.',
);
const crush = caution(
  'DANGER',
  'Beside it with the radio: an arm’s length from tracks and legs, never between it and something fixed; everybody else stands clear.',
);

/** Off the trailer: of a machine that is led by a radio or a pendant. */
export const unloadLed = (P: string): Sequence =>
  sequence({
    id: `${P}.unload`,
    inUse: 'work',
    title: 'Lead it off the trailer',
    partName: 'Leading off the trailer',
    zone: 'machine-controls',
    method: 'operate',
    moves: moved('travel', 'own-engine', ['dig'], {
      held: 'brake-and-chocks',
      ends: 'off the ramps, level, its legs in',
    }),
    phases: ['before-use'],
    helper: 'needed',
    needs: ['own-engine-off', 'parking-brake-set', 'chocked', 'level-ground', 'area-clear'],
    does: ['own-engine-start'],
    seconds: 420,
    criterion: 'Tracks extended, lowest engine speed, straight down, nobody downhill.',
    symptoms: [
      load.stops('led-slips', 'Slips or slides on ramp or deck'),
      load.stops('led-alarm', 'The tilt alarm sounds and does not stop'),
      load.stops('led-radio', 'Radio or pendant does not answer or does not stop it'),
      load.repairs('led-jerks', 'Starts with a jerk at the lowest speed'),
    ],
    cautions: [tip, crush, injection],
    why: 'Led from beside, it falls onto whoever leads it.',
    stand: 'Uphill and behind, radio on its strap; the helper in sight, clear on the other side',
    clear: CLEAR,
    steps: [
      step('path', 'Walk the whole way first: slope, edge, soft ground, covers, lines above.', {
        who: 'both',
        ask: [
          'Walked, firm, and within the slope limit for its track width?',
          'Another way, or another place.',
        ],
      }),
      step('hitched', 'Trailer hitched, truck braked and chocked, ramps seated and clean.', {
        ask: ['Hitched, braked, chocked, clean?', 'The nose of the trailer comes up under it.'],
      }),
      step('chains', 'Chains off, legs in and pinned, attachment low over the deck.'),
      step(
        'radio',
        'Radio or pendant in hand, every lever free: start, press stop, and start again.',
        {
          see: 'It stops, and does not start by itself.',
          fails: ['led-radio'],
        },
      ),
      step('selector', 'Selector to travel: boom and legs must not answer.', {
        fails: ['led-radio'],
      }),
      step('wide', 'Tracks out to their travel width as soon as the deck lets them.', {
        see: 'Both pins home.',
        ask: [
          'Out and pinned, or the limit for narrow tracks read?',
          'Narrow it tips at half of the slope.',
        ],
      }),
      step('slow', 'Engine to its lowest speed, travel in low.', { fails: ['led-jerks'] }),
      step('down', 'Straight down, a hand’s breadth at a time, until it lies on the ramps.', {
        see: 'No slip, no alarm. Alarm: stop, back up, level it.',
        fails: ['led-slips', 'led-alarm'],
      }),
      step('away', 'Off the ramps and clear; legs only on firm ground.', { fails: ['led-slips'] }),
      step('ramps', 'Helper, once it stands still: ramps up and pinned, then away from it.', {
        who: 'helper',
      }),
    ],
  });

/** Four legs, one by one, with what warns of them; and level again when the ground gives. */
export const setLegs = (P: string): Sequence =>
  sequence({
    id: `${P}.legs`,
    title: 'Set the four legs and level it',
    partName: 'Four legs set and level',
    zone: 'machine-controls',
    method: 'operate',
    moves: moved('legs', 'own-engine', ['dig'], {
      held: 'brake-and-chocks',
      ends: 'on four legs, level, pinned',
    }),
    phases: ['before-use'],
    helper: 'needed',
    needs: ['own-engine-running', 'parking-brake-set', 'chocked', 'area-clear'],
    seconds: 300,
    criterion: 'Each pinned and on its pad, alarm heard at each, bubble in the middle.',
    symptoms: [
      load.stops('leg-pin', 'A pin does not go home'),
      load.stops('leg-sinks', 'A pad sinks'),
      load.stops('leg-alarm', 'A leg moves without its alarm'),
      load.stops('leg-interlock', 'It digs or travels while a leg is not set'),
      load.repairs('leg-slow', 'A leg is slow'),
    ],
    cautions: [crush, injection],
    why: 'A leg comes down on a foot without a sound.',
    stand: 'Where all four are in sight, outside of their swing; the helper clear on the far side',
    clear: CLEAR,
    steps: [
      step('ground', 'Ground under each leg: firm, no cover, no edge. Pads laid.', {
        who: 'both',
        ask: ['Firm under all four?', 'Turn it, move it, or lay larger pads.'],
      }),
      step('selector', 'Selector to legs: travel and boom must not answer.', {
        fails: ['leg-interlock'],
      }),
      step('pin', 'Pin out, leg swung out, pin in: one after the other.', {
        see: 'Its alarm sounds as long as it moves.',
        fails: ['leg-pin', 'leg-alarm', 'leg-slow'],
      }),
      step('down', 'Down by turns until all four carry.', {
        see: 'Bubble in the middle.',
        fails: ['leg-sinks', 'leg-slow'],
      }),
      step('wait', 'Stand still and look at every pad.', { holdSeconds: 30, fails: ['leg-sinks'] }),
      step('tilt', 'Tilt alarm while working: stop, swing over the high side, level, pin again.', {
        see: 'Everybody here knows it before the first bucket.',
      }),
      step('interlock', 'One leg a little up: nothing else answers. Down again, pin looked at.', {
        fails: ['leg-interlock', 'leg-pin'],
      }),
    ],
  });
