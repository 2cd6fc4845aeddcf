import type { Check } from '../../catalogue';
import { check, faultsOf, moved } from '../write';

const { stops, repairs, watches } = faultsOf('frame', ['road']);

/** Tyre inflation from the seat, transfer case: what drives where there are no roads. */
export function offRoadDriveLine(P: string): Check[] {
  return [
    check({
      id: `${P}.inflation.run`,
      title: 'Choose each mode of the tyre inflation',
      partName: 'Tyre inflation modes',
      zone: 'seat',
      method: 'operate',
      moves: moved('inflation', 'air', ['road'], { clear: 'hand' }),
      needs: ['engine-idling', 'air-charged', 'parking-brake-set'],
      seconds: 60,
      criterion: 'Goes to each pressure and holds, lamp out.',
      symptoms: [
        repairs('inflation-dead', 'Does not change', {
          condition: 'On the road only, at road pressure.',
        }),
        stops('inflation-leaks', 'A tyre loses air by it'),
      ],
      why: 'It carries the truck over mud, or leaves it there.',
    }),
    check({
      id: `${P}.inflation.lines`,
      title: 'Look at the lines at every wheel',
      partName: 'Tyre inflation lines',
      zone: 'driver-rear-wheels',
      method: 'look',
      seconds: 9,
      criterion: 'Whole, guarded, no hiss.',
      symptoms: [repairs('line-torn', 'Torn or hissing')],
      why: 'Brush tears them.',
    }),
    check({
      id: `${P}.transfer.ranges`,
      title: 'Shift the transfer case through its ranges',
      partName: 'Transfer case ranges',
      zone: 'seat',
      method: 'operate',
      moves: moved('transfer-case', 'engine', ['road'], { clear: 'hand', ends: 'road range' }),
      needs: ['engine-idling', 'parking-brake-set'],
      seconds: 20,
      criterion: 'Engages each, lamp right.',
      symptoms: [
        repairs('range-stiff', 'Stiff or one does not engage', {
          condition: 'Road range only.',
        }),
        stops('range-jumps', 'Jumps out'),
      ],
      why: 'It jumps out on the steepest slope.',
    }),
    check({
      id: `${P}.transfer.oil`,
      title: 'Look under transfer case and axles',
      partName: 'Oil of transfer case and axles',
      zone: 'curb-side',
      method: 'look',
      needs: ['lamp', 'chocked'],
      phases: ['pre-trip', 'post-trip'],
      seconds: 10,
      criterion: 'Dry, vents free, plugs in.',
      symptoms: [repairs('case-leak', 'Drips'), watches('vent-clogged', 'Vent full of mud')],
      fixes: { 'vent-clogged': ['Clean the vent'] },
      why: 'Water goes in where mud plugs the vent.',
    }),
    check({
      id: `${P}.inflation.equal`,
      title: 'Read the tyre pressures on both sides, in road mode',
      partName: 'Tyre pressures on both sides',
      zone: 'seat',
      method: 'look',
      phases: ['pre-trip', 'under-way'],
      needs: ['key-on'],
      seconds: 8,
      criterion: 'Road mode, and left and right the same.',
      symptoms: [
        stops('inflation-uneven', 'One side clearly lower'),
        repairs('inflation-mode', 'Not in road mode', { fixLeaves: 'watch' }),
      ],
      fixes: { 'inflation-mode': ['Set road mode and wait until it is reached'] },
      why: 'Soft on one side it pulls off the road at speed.',
    }),
  ];
}
