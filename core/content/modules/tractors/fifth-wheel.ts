import { LAW } from '../../../catalogue';
import type { Check } from '../../../catalogue';
import { caution, check, faultsOf } from '../../write';

const hands = caution(
  'DANGER',
  'Hands out of the jaws. They close with the weight of the trailer.',
);

/** Plate, jaws, lines: what every vehicle with a fifth wheel has. */
export function fifthWheelChecks(p: string, zone: string): Check[] {
  const { stops, repairs, watches } = faultsOf('coupling', ['tow']);
  const road = faultsOf('coupling', ['road', 'tow']);
  return [
    check({
      id: `${p}.fifth-wheel.mount`,
      title: 'Look at the mounting of the fifth wheel',
      zone,
      method: 'look',
      needs: ['lamp', 'chocked'],
      seconds: 12,
      phases: ['pre-trip', 'weekly'],
      criterion: 'No crack, all bolts in, no bright line.',
      source: '49 CFR 393.70(b)',
      symptoms: [
        road.stops('mount-crack', 'Crack, or a bolt missing'),
        repairs('mount-mark', 'Bright line at a bolt'),
      ],
      why: 'The trailer pulls on these bolts.',
    }),
    check({
      id: `${p}.fifth-wheel.plate`,
      title: 'Look at the plate: grease, cracks, tilt',
      zone,
      method: 'look',
      seconds: 8,
      criterion: 'Greased, no crack, tilts freely.',
      symptoms: [
        stops('plate-crack', 'Crack'),
        repairs('plate-dry', 'Dry', { condition: 'Grease it before coupling.' }),
      ],
      fixes: { 'plate-dry': ['Grease it'] },
      why: 'A dry plate steers the tractor straight on.',
    }),
    check({
      id: `${p}.fifth-wheel.jaws`,
      title: 'Look into the jaws with the lamp',
      zone,
      method: 'look',
      needs: ['lamp'],
      phases: ['pre-trip', 'hook-up', 'under-way'],
      seconds: 10,
      criterion: 'Coupled: closed round the shank, no gap. Free: open and clean.',
      source: '49 CFR 393.70(b)(2)',
      symptoms: [
        road.stops('jaws-open', 'Not closed round the shank'),
        road.stops('jaws-slack', 'More than 13 mm (1/2 in) of movement when tugged'),
        repairs('jaws-worn', 'Some movement when tugged, not more than 13 mm (1/2 in)'),
      ],
      reading: {
        kind: 'depth',
        ask: 'Movement between the halves when tugged',
        typedIn: { metric: 'mm', customary: 'in' },
        required: false,
        plausible: [0, 100, 'mm'],
        uncertainty: [1, 'mm'],
        bands: [
          {
            side: 'above',
            limit: { from: 'law', ...LAW.fifthWheelMovement },
            symptom: 'jaws-slack',
          },
        ],
      },
      cautions: [hands],
      why: 'A trailer that was not locked comes off in the first bend.',
    }),
    check({
      id: `${p}.fifth-wheel.gap`,
      title: 'Look between plate and apron',
      zone,
      method: 'look',
      needs: ['lamp', 'coupled'],
      phases: ['pre-trip', 'hook-up'],
      seconds: 6,
      criterion: 'No light between them.',
      symptoms: [road.stops('gap', 'Gap to be seen')],
      why: 'A gap is a kingpin that rides on top.',
    }),
    check({
      id: `${p}.fifth-wheel.handle`,
      title: 'Look at release handle and safety latch',
      zone,
      method: 'look',
      phases: ['pre-trip', 'hook-up', 'under-way'],
      seconds: 6,
      criterion: 'Home, latch over it.',
      symptoms: [
        road.stops('handle-out', 'Out, or latch not over it'),
        repairs('handle-bent', 'Bent'),
      ],
      why: 'It tells what the jaws do.',
    }),
    check({
      id: `${p}.fifth-wheel.slide`,
      title: 'Look at the slide locks',
      zone,
      method: 'look',
      seconds: 6,
      criterion: 'Both pins in their holes.',
      source: '49 CFR 393.70(b)(3)',
      symptoms: [
        road.stops('slide-unlocked', 'A lock is not in'),
        watches('slide-dirty', 'Packed with dirt'),
      ],
      why: 'It slides back at the first brake.',
    }),
    check({
      id: `${p}.lines.hoses`,
      title: 'Follow both air lines and the cable',
      zone,
      method: 'look',
      phases: ['pre-trip', 'hook-up', 'under-way'],
      seconds: 10,
      criterion: 'Not crossed, not cut, slack for a turn, off the deck.',
      symptoms: [
        road.stops('line-cut', 'Cut or leaking'),
        repairs('line-rubs', 'Rubs the deck', {
          condition: 'Hang it up before leaving.',
          bars: 'before-leaving',
        }),
        stops('lines-crossed', 'Crossed', { fixLeaves: 'watch' }),
      ],
      fixes: { 'line-rubs': ['Hang them up'], 'lines-crossed': ['Set them right'] },
      why: 'They are wound up at the first tight turn.',
    }),
    check({
      id: `${p}.lines.gladhands`,
      title: 'Look at the seals of the gladhands',
      zone,
      method: 'look',
      phases: ['pre-trip', 'hook-up'],
      seconds: 7,
      criterion: 'Whole, seated, no hiss.',
      symptoms: [repairs('seal-worn', 'Worn or hissing'), stops('seal-gone', 'Missing')],
      fixes: { 'seal-worn': ['Change the seal'] },
      why: 'A five-cent ring holds the trailer’s brakes.',
    }),
    check({
      id: `${p}.lines.socket`,
      title: 'Look at plug and socket',
      zone,
      method: 'look',
      phases: ['pre-trip', 'hook-up'],
      seconds: 6,
      criterion: 'Locked, pins clean.',
      symptoms: [
        repairs('pins-green', 'Green or bent pins'),
        stops('plug-out', 'Does not stay in'),
      ],
      why: 'No plug, no lamps.',
    }),
    check({
      id: `${p}.landing-clearance`,
      title: 'Look at the clearance of landing gear and cab in a turn',
      zone,
      method: 'look',
      phases: ['hook-up'],
      seconds: 10,
      criterion: 'A hand’s breadth at the worst angle.',
      symptoms: [stops('touches', 'Would touch in a turn')],
      why: 'It is measured in the yard, not in the bend.',
    }),
  ];
}
