import { ofChassis } from '../../chassis';
import type { Check } from '../../types';
import { caution, check, faultsOf } from '../../write';

/** A bus has no load, no pintle and no deck. */
export const ofBus = (prefix: string) =>
  ofChassis(prefix, [
    'coupling.pintle',
    'coupling.gladhands',
    'coupling.socket',
    'load.secured',
    'frame.underride',
    'body.tool-box',
    'body.mounts',
    'brake.trailer',
    'cab.door',
  ]);

const street = caution(
  'WARNING',
  'The door opens onto the street side of somebody’s day: look before it moves.',
);

/** Inside of everything that carries passengers. */
export function passengerChecks(p: string): Check[] {
  const { stops, repairs, watches } = faultsOf('doors', ['passengers']);
  const seats = faultsOf('restraint', ['passengers']);
  const exits = faultsOf('emergency', ['passengers']);
  return [
    check({
      id: `${p}.door.entrance`,
      title: 'Open and shut the entrance door twice',
      zone: 'entrance',
      method: 'operate',
      needs: ['air-charged'],
      seconds: 15,
      criterion: 'Smooth, edge turns back from a hand, shut tight.',
      symptoms: [
        stops('door-traps', 'Edge does not turn back'),
        stops('door-open', 'Does not stay shut', { takes: ['road', 'passengers'] }),
        repairs('door-slow', 'Slow or rough'),
      ],
      cautions: [street],
      why: 'Straps and sleeves are caught in it.',
    }),
    check({
      id: `${p}.door.steps`,
      title: 'Look at steps, handrails and step lamp',
      zone: 'entrance',
      method: 'look',
      seconds: 8,
      criterion: 'Dry, rough, rail tight with no gap that catches a drawstring.',
      symptoms: [
        stops('rail-gap', 'Rail loose or catches a string'),
        repairs('step-worn', 'Worn or iced'),
        repairs('step-lamp', 'Lamp out', {
          worse: [{ in: 'dark', harm: 'stop', because: 'nobody sees the step in the dark' }],
        }),
      ],
      fixes: ['Scrape it'],
      why: 'A string in the rail drags a child.',
    }),
    check({
      id: `${p}.aisle`,
      title: 'Walk the aisle: floor, loose things',
      zone: 'aisle',
      method: 'look',
      phases: ['pre-trip', 'post-trip'],
      seconds: 20,
      criterion: 'Clear, dry, nothing in it, no lifted edge.',
      symptoms: [
        stops('aisle-blocked', 'Blocked', { fixable: true, fixLeaves: 'watch' }),
        repairs('floor-lifted', 'Floor lifted or torn'),
      ],
      fixes: ['Clear it'],
      why: 'It is the way out in smoke.',
    }),
    check({
      id: `${p}.seats`,
      title: 'Shake each row of seats',
      zone: 'aisle',
      each: 'row',
      method: 'shake',
      helper: 'may-help',
      seconds: 5,
      criterion: 'Fastened, cushion clipped, no sharp edge.',
      source: '49 CFR 393.93',
      symptoms: [
        seats.stops('seat-loose', 'Loose from the floor'),
        seats.repairs('cushion-loose', 'Cushion loose or torn'),
      ],
      why: 'A seat that comes loose is a battering ram.',
    }),
    check({
      id: `${p}.belts`,
      title: 'Pull the belts of each row',
      zone: 'aisle',
      each: 'row',
      method: 'operate',
      helper: 'may-help',
      seconds: 6,
      criterion: 'Lock and let go, not cut.',
      symptoms: [
        seats.stops('belt-dead', 'Does not lock or is cut'),
        seats.watches('belt-dirty', 'Dirty'),
      ],
      why: 'They are chewed and cut.',
    }),
    check({
      id: `${p}.exits.windows`,
      title: 'Open each emergency window',
      zone: 'aisle',
      each: 'window-exit',
      method: 'operate',
      helper: 'may-help',
      seconds: 8,
      criterion: 'Opens, buzzer sounds, label can be read.',
      source: '49 CFR 571.217',
      symptoms: [
        exits.stops('window-stuck', 'Does not open'),
        exits.repairs('buzzer-silent', 'Buzzer or label missing'),
      ],
      why: 'It is opened in smoke by hands that never did it.',
    }),
    check({
      id: `${p}.exits.hatches`,
      title: 'Push each roof hatch',
      zone: 'aisle',
      each: 'hatch',
      method: 'operate',
      helper: 'may-help',
      seconds: 8,
      criterion: 'Opens, closes tight, buzzer sounds.',
      source: '49 CFR 571.217',
      symptoms: [
        exits.stops('hatch-stuck', 'Does not open'),
        exits.repairs('hatch-leaks', 'Does not close tight'),
      ],
      why: 'A bus on its side has only these.',
    }),
    check({
      id: `${p}.exits.hammer`,
      title: 'See hammers, belt cutter and their seals',
      zone: 'aisle',
      method: 'look',
      helper: 'may-help',
      seconds: 6,
      criterion: 'In their place, sealed.',
      symptoms: [exits.repairs('hammer-gone', 'Missing')],
      fixes: ['Fetch one'],
      why: 'They are taken as toys.',
    }),
    check({
      id: `${p}.windows`,
      title: 'Look at windows and tint',
      zone: 'aisle',
      method: 'look',
      helper: 'may-help',
      seconds: 12,
      criterion: 'No crack, none knocked out.',
      symptoms: [repairs('window-cracked', 'Cracked'), stops('window-out', 'Knocked out')],
      why: 'Arms go through it.',
    }),
    check({
      id: `${p}.lamps.inside`,
      title: 'Look at the lamps inside',
      zone: 'aisle',
      method: 'look',
      needs: ['lamps-on'],
      seconds: 5,
      criterion: 'All lit, none dim.',
      symptoms: [repairs('inside-lamp', 'A lamp out'), watches('inside-dim', 'Dim')],
      why: 'One finds the strap and the step by it.',
    }),
    check({
      id: `${p}.notices`,
      title: 'Read route, emergency numbers and notices',
      zone: 'entrance',
      method: 'look',
      seconds: 6,
      criterion: 'Right ones, to be read.',
      symptoms: [watches('notice-gone', 'Missing or of another route')],
      fixes: ['Put up the right one'],
      why: 'A substitute reads them.',
    }),
    check({
      id: `${p}.climate`,
      title: 'Feel heat or cold at every row',
      zone: 'aisle',
      method: 'feel',
      needs: ['engine-idling'],
      seconds: 15,
      criterion: 'Comes at each row.',
      symptoms: [
        repairs('row-cold', 'A row gets nothing', {
          worse: [{ in: 'freezing', harm: 'repair', because: 'people sit still for an hour' }],
        }),
      ],
      why: 'The last row freezes.',
    }),
    check({
      id: `${p}.recorder`,
      title: 'See that the camera recorder runs',
      zone: 'seat',
      method: 'look',
      needs: ['key-on'],
      seconds: 5,
      criterion: 'Its lamp says recording.',
      symptoms: [repairs('recorder-off', 'Off or fault')],
      why: 'It is asked for afterwards.',
    }),
    check({
      id: `${p}.last-row`,
      title: 'Walk to the last row and look under every seat',
      zone: 'last-row',
      method: 'look',
      phases: ['post-trip'],
      helper: 'driver-only',
      seconds: 90,
      criterion: 'Nobody left aboard, nothing left behind. Sign at the rear window.',
      symptoms: [
        faultsOf('emergency', ['road', 'passengers']).stops(
          'not-walked',
          'Not walked to the last row',
        ),
      ],
      cautions: [caution('DANGER', 'A sleeping child in a parked bus freezes or burns.')],
      why: 'Every year a child is found in a parked bus.',
    }),
  ];
}
