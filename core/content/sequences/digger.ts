import { caution } from '../write';
import { procedureOf, step } from './write';
import { faultsOf, moved } from '../write';
import { sequence } from './write';

const P = 'digger';
const tip = caution(
  'DANGER',
  'Nobody beside ramps or below the machine: it slides and tips to that side.',
);
const swing = caution('WARNING', 'Nobody in the swing of boom and counterweight.');
const load = faultsOf('load', ['road', 'dig']);
const CLEAR = { x: 0, y: -4, length: 14, width: 8 } as const;

export const UNLOAD = procedureOf(
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
      step('away', 'Off the ramps and clear; attachment on the ground.', { fails: ['ramp-slips'] }),
      step(
        'ramps-up',
        'Helper, once the machine stands still: ramps up and pinned, then away from it.',
        { who: 'helper' },
      ),
    ],
  },
);

export const LOAD = sequence({
  id: `${P}.load`,
  title: 'Onto the trailer and tied down',
  zone: 'machine-controls',
  method: 'operate',
  moves: moved('travel', 'own-engine', ['dig'], {
    held: 'brake-and-chocks',
    ends: 'on the deck, attachment down, tied',
  }),
  phases: ['before-use'],
  helper: 'needed',
  needs: ['own-engine-running', 'parking-brake-set', 'chocked', 'level-ground', 'area-clear'],
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
    step('down', 'Attachment down on the deck, swing lock in, engine off, levers locked, key out.'),
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
