import { BY_HAND, check, faultsOf } from '../../write';
import type { Check } from '../../../catalogue';

const exits = faultsOf('emergency', ['passengers']);
const place = faultsOf('driver-place', ['passengers']);
const records = faultsOf('records', ['passengers']);
const heating = faultsOf('body', ['passengers']);
const warning = faultsOf('warning', ['passengers']);

/** What belongs to the run itself: its book, its boards, who looks after the children, and the exits as they are left. */
export function schoolRunChecks(P: string): Check[] {
  return [
    check({
      id: `${P}.trip-book`,
      title: 'Find trip book, seating list and emergency cards',
      partName: 'Trip book and lists',
      zone: 'seat',
      method: 'look',
      seconds: 8,
      criterion: 'Of this route and this week, within reach.',
      symptoms: [records.repairs('trip-book-missing', 'Missing or of another route')],
      fixes: { 'trip-book-missing': ['Fetch it from the office'] },
      why: 'Whoever helps after a crash counts by that list.',
    }),
    check({
      id: `${P}.reach`,
      title: 'Belt on: reach each switch that is used under way',
      partName: 'Reach to the controls',
      zone: 'seat',
      method: 'operate',
      moves: BY_HAND,
      needs: ['parking-brake-set'],
      seconds: 8,
      criterion: 'Door, red lamps, stop arm, wipers, horn: without leaning.',
      symptoms: [place.stops('out-of-reach', 'One of them is not reached')],
      fixes: { 'out-of-reach': ['Set seat and column again'] },
      why: 'Whoever leans for the red lamps looks away from the children.',
    }),
    check({
      id: `${P}.cabin-temperature`,
      title: 'Read the air temperature at the last row before the first child',
      partName: 'Air temperature among the seats',
      zone: 'last-row',
      method: 'look',
      phases: ['under-way'],
      seconds: 6,
      criterion: 'In the band of the card, at the last row as in front.',
      reading: {
        kind: 'temperature',
        ask: 'Air at the last row',
        required: false,
        byCard: true,
        plausible: [-40, 60, '°C'],
        uncertainty: [0.5, '°C'],
        bands: [
          {
            side: 'below',
            limit: { from: 'specification', field: 'cabinLow' },
            symptom: 'cabin-cold',
          },
          {
            side: 'above',
            limit: { from: 'specification', field: 'cabinHigh' },
            symptom: 'cabin-hot',
          },
        ],
      },
      symptoms: [
        heating.repairs('cabin-cold', 'Colder than the card allows', {
          worse: [
            {
              in: 'freezing',
              harm: 'stop',
              because: 'children without coats sit still for an hour',
            },
          ],
        }),
        heating.repairs('cabin-hot', 'Hotter than the card allows'),
      ],
      fixes: { 'cabin-cold': ['Let it warm up'], 'cabin-hot': ['Open the hatches'] },
      why: 'The driver sits beside the heater and does not feel it.',
    }),
    check({
      id: `${P}.cameras`,
      title: 'See every camera on the screen, one by one',
      partName: 'Camera channels',
      zone: 'seat',
      method: 'look',
      needs: ['key-on'],
      seconds: 10,
      criterion: 'Every channel has a picture and the right time.',
      symptoms: [warning.repairs('channel-dark', 'A channel is dark')],
      why: 'It shows who passed the stop arm.',
    }),
    check({
      id: `${P}.boards`,
      title: 'Look at the route boards of both sides',
      partName: 'Route boards',
      zone: 'curb-side',
      method: 'look',
      seconds: 5,
      criterion: 'Of this route, both sides.',
      symptoms: [warning.watches('board-wrong', 'Wrong or missing')],
      fixes: { 'board-wrong': ['Put in the right one'] },
      why: 'A first-grader knows the bus by it.',
    }),
    check({
      id: `${P}.exit.secured`,
      title: 'See every emergency exit shut, latched and unlocked again',
      partName: 'Emergency exits as they are left',
      zone: 'last-row',
      method: 'look',
      needs: ['engine-off'],
      seconds: 15,
      criterion: 'Handle home, lock open, buzzer silent, nothing before it.',
      source: '49 CFR 571.217 S5.3',
      symptoms: [
        exits.stops('exit-locked', 'One is locked or blocked'),
        exits.stops('exit-unlatched', 'One is not latched'),
      ],
      fixes: { 'exit-locked': ['Unlock it, clear it'], 'exit-unlatched': ['Latch it'] },
      why: 'It was tried a moment ago. As it is left is how it is found in smoke.',
    }),
    check({
      id: `${P}.attendant`,
      title: 'Ask the attendant for belts, list and radio word',
      partName: 'Attendant’s part',
      zone: 'aisle',
      method: 'look',
      when: ['passengers'],
      seconds: 15,
      criterion: 'Knows who needs help to get out, has belt cutter and list.',
      symptoms: [
        exits.repairs('attendant-missing', 'No attendant where the route needs one', {
          condition: 'Not with passengers who need one.',
          bars: 'passengers',
        }),
      ],
      why: 'One alone does not carry two.',
    }),
    check({
      id: `${P}.seated`,
      title: 'See everybody seated before it moves',
      partName: 'Passengers seated',
      zone: 'seat',
      method: 'look',
      phases: ['under-way'],
      seconds: 5,
      criterion: 'Each on a seat, facing forward, aisle and steps free.',
      symptoms: [
        exits.repairs('standing', 'Somebody stands, or something lies in the aisle', {
          condition: 'Not moved before everybody sits.',
          bars: 'passengers',
        }),
      ],
      fixes: { standing: ['All seated, aisle free'] },
      why: 'The padded seat back is what holds a child, and only one that sits.',
    }),
    check({
      id: `${P}.railway`,
      title: 'Railway crossing: stop, door open, look and listen',
      partName: 'Stop at the railway crossing',
      zone: 'seat',
      method: 'listen',
      phases: ['under-way'],
      seconds: 10,
      criterion:
        'Five to fifteen metres (15 to 50 ft) before the rail, hazard lamps on, silence on board, window and door open, both ways seen, no gear change on the rails.',
      source: '49 CFR 392.10',
      symptoms: [
        exits.repairs('railway-noise', 'Nothing could be heard or seen', {
          condition: 'Not over it before somebody has looked.',
        }),
      ],
      why: 'A train needs a kilometre to stop, and the bus is as long as the gap.',
    }),
    check({
      id: `${P}.brake-before-leaving`,
      title: 'Parking brake on before you leave the seat',
      partName: 'Parking brake at a stop',
      zone: 'seat',
      method: 'look',
      phases: ['under-way'],
      needs: ['parking-brake-set'],
      seconds: 3,
      criterion: 'Set, key with you, whenever the seat is left.',
      symptoms: [place.stops('brake-off', 'Does not stay set')],
      why: 'A bus full of children has rolled away on a foot brake that was let go.',
    }),
  ];
}
