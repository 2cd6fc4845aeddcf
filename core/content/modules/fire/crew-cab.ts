import { BY_HAND, caution, check, faultsOf } from '../../write';
import type { Check } from '../../../catalogue';

const place = faultsOf('driver-place', ['road']);
const exhaust = faultsOf('exhaust', ['road']);
const belts = faultsOf('restraint', ['road']);
const warning = faultsOf('warning', ['road']);
const ears = caution('WARNING', 'Ears covered. Nobody in front of the speakers, never indoors.');

/** Cab of a fire apparatus: whoever gets in last has to be able to leave in seconds. */
export function crewCabChecks(P: string): Check[] {
  return [
    check({
      id: `${P}.cab.column`,
      title: 'Set the steering column and pull at its lock',
      partName: 'Steering column lock',
      zone: 'seat',
      method: 'operate',
      moves: BY_HAND,
      needs: ['parking-brake-set'],
      seconds: 6,
      criterion: 'Locked where it was set.',
      symptoms: [
        place.stops('column-loose', 'Does not lock'),
        place.repairs('column-stiff', 'Stiff'),
      ],
      why: 'It must not drop in the first bend.',
    }),
    check({
      id: `${P}.cab.switches`,
      title: 'See every accessory switch off before the start',
      partName: 'Accessory switches',
      zone: 'seat',
      method: 'look',
      needs: ['engine-off'],
      seconds: 6,
      criterion: 'Warning lamps, scene lamps, heater, generator: off.',
      symptoms: [place.watches('switch-left-on', 'One was left on')],
      fixes: { 'switch-left-on': ['Switch it off'] },
      why: 'All of it at once takes the starter its current.',
    }),
    check({
      id: `${P}.cab.speedometer`,
      title: 'See the speedometer stand at zero',
      partName: 'Speedometer at rest',
      zone: 'seat',
      method: 'look',
      needs: ['key-on', 'parking-brake-set'],
      seconds: 3,
      criterion: 'On zero at rest.',
      symptoms: [place.repairs('speedometer-off', 'Does not stand at zero')],
      why: 'In pump gear it also tells that the wheels are let go.',
    }),
    check({
      id: `${P}.exhaust.particulate-lamp`,
      title: 'Read the lamps of exhaust fluid and particulate filter',
      partName: 'After-treatment lamps',
      zone: 'seat',
      method: 'look',
      needs: ['key-on'],
      seconds: 4,
      criterion: 'Light at key on and go out.',
      symptoms: [
        exhaust.repairs('filter-lamp', 'Filter lamp stays on', {
          condition: 'Clean it parked, before the next run.',
        }),
        exhaust.stops('power-cut', 'Says that power is cut soon'),
      ],
      why: 'It takes the power away on the way to the fire.',
    }),
    check({
      id: `${P}.crew.belt-indicator`,
      title: 'Latch one belt and look at the belt indicator',
      partName: 'Belt indicator',
      zone: 'seat',
      method: 'operate',
      moves: BY_HAND,
      needs: ['key-on', 'parking-brake-set'],
      seconds: 8,
      criterion: 'Shows that seat and no other.',
      symptoms: [belts.repairs('belt-indicator', 'Shows it wrongly or not at all')],
      why: 'The driver waits for that lamp before rolling.',
    }),
    check({
      id: `${P}.warning.speaker`,
      title: 'Speak over the outside speakers',
      partName: 'Outside speakers',
      zone: 'seat',
      method: 'listen',
      phases: ['weekly', 'pre-trip'],
      needs: ['key-on', 'area-clear'],
      seconds: 5,
      criterion: 'Clear outside.',
      symptoms: [warning.repairs('speaker-dead', 'Not heard or torn')],
      cautions: [ears],
      why: 'It calls people away from a line that is down.',
    }),
  ];
}
