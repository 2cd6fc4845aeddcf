import { wheelPlaces, wheelShapes } from '../../card';
import type { Place, RunningGear, Shape, Zone } from '../../catalogue';
import { caution, place, rect } from '../write';

/** Where things are on a chassis that drives, metres from its front. */
export interface ChassisMeasures {
  readonly length: number;
  readonly width: number;
  readonly frontAxle: number;
  /** Steered axles behind the first one. */
  readonly furtherSteered?: readonly number[];
  readonly rearAxles: readonly number[];
  /** Two tyres side by side on the rear axles. */
  readonly dual: boolean;
  /** From the bumper to the back of the cab. */
  readonly cab: { readonly from: number; readonly to: number; readonly bonnet: boolean };
  /** The engine is at the rear, behind a flap. */
  readonly rearEngine?: boolean;
  /** Where the tanks hang and one stands at the sides. */
  readonly tanks: number;
}

const under = caution('DANGER', 'Chocks in and keys in your pocket before you reach under.');
const traffic = caution('WARNING', 'Stay off the traffic side while anything passes.');

/** Stops of the walk, under the same names on every chassis, so that shared checks find theirs. */
export function chassisZones(of: ChassisMeasures): Zone[] {
  const feet = of.width / 2 + 0.8;
  const front = middle([of.frontAxle, ...(of.furtherSteered ?? [])]);
  const rear = middle(of.rearAxles);
  const inside = (of.cab.from + of.cab.to) / 2;
  const wheel = (id: string, title: string, x: number, y: number, cautions = [under]): Zone => ({
    id,
    title,
    round: 'outside',
    x,
    y,
    cautions,
  });
  return [
    { id: 'front-corner', title: "Driver's front corner", round: 'outside', x: -0.3, y: -1.5 },
    wheel('driver-front-wheel', 'Front wheel, driver side', front, -feet, [under, traffic]),
    { id: 'driver-side', title: 'Driver side, tanks', round: 'outside', x: of.tanks, y: -feet },
    wheel('driver-rear-wheels', 'Rear wheels, driver side', rear, -feet),
    {
      id: 'rear',
      title: 'Rear end',
      round: 'outside',
      x: of.length + 0.3,
      y: -1,
      cautions: [caution('WARNING', 'Nobody behind while the engine runs and it may roll.')],
    },
    wheel('curb-rear-wheels', 'Rear wheels, curb side', rear, feet),
    {
      id: 'curb-side',
      title: 'Curb side, exhaust',
      round: 'outside',
      x: of.tanks,
      y: feet,
      cautions: [caution('CAUTION', 'Exhaust and after-treatment burn for half an hour.')],
    },
    wheel('curb-front-wheel', 'Front wheel, curb side', front, feet),
    { id: 'front', title: 'Front end', round: 'outside', x: -0.8, y: 0.2 },
    {
      id: 'engine-bay',
      title: of.rearEngine ? 'Engine bay, at the rear' : 'Engine bay',
      round: 'engine-bay',
      x: of.rearEngine ? of.length + 0.5 : 0.5,
      y: of.rearEngine ? 0.6 : -1.5,
      cautions: [
        caution('WARNING', 'Engine off. Keep cuffs and straps away from belt and fan.'),
        caution('DANGER', 'Never open a hot cooling system. Steam and coolant burn at once.'),
      ],
    },
    {
      id: 'cab',
      title: 'Cab',
      round: 'cab',
      x: inside,
      y: -0.55,
      cautions: [caution('CAUTION', 'Three points of contact. Nothing in your hands. Never jump.')],
    },
    {
      id: 'seat',
      title: "Driver's seat, controls",
      round: 'cab',
      x: inside,
      y: -0.5,
      cautions: [
        caution('WARNING', 'Nobody in front of the horn or near the wheels. Exhaust out of doors.'),
      ],
    },
    {
      id: 'brake-tests',
      title: 'Brake tests',
      round: 'brakes',
      x: inside,
      y: -0.45,
      cautions: [caution('DANGER', 'It can roll here. Nobody near it, a foot ready at the brake.')],
    },
  ];
}

const middle = (list: readonly number[]) =>
  list.reduce((sum, each) => sum + each, 0) / Math.max(1, list.length);

/** The axles of a chassis that drives: those that steer in front, those that are driven behind. */
export function chassisGear(of: ChassisMeasures): RunningGear {
  return {
    names: 'steer-and-drive',
    width: of.width - 0.06,
    axles: [
      ...[of.frontAxle, ...(of.furtherSteered ?? [])].map((at) => ({
        at,
        tyres: 1 as const,
        steered: true,
      })),
      ...of.rearAxles.map((at) => ({
        at,
        tyres: of.dual ? (2 as const) : (1 as const),
        driven: true,
      })),
    ],
    mayHaveDuals: true,
    mostAxles: 6,
  };
}

/** Wheels, lamps, mirrors and sides, with the sorts that shared checks ask for. */
export function chassisPlaces(of: ChassisMeasures): Place[] {
  const edge = of.width / 2 - 0.03;
  const lamp = of.width / 2 - 0.3;
  return [
    ...wheelPlaces(chassisGear(of)),
    place('headlamp-left', 'left', ['headlamp', 'front-signal'], 'front', 0.1, -lamp),
    place('headlamp-right', 'right', ['headlamp', 'front-signal'], 'front', 0.1, lamp),
    place('roof-lamps', 'cab roof', ['roof-lamps'], 'front', of.cab.from + 0.3, 0),
    place('side-left', 'driver side', ['side'], 'driver-side', of.tanks + 1.2, -edge),
    place('side-right', 'curb side', ['side'], 'curb-side', of.tanks + 1.2, edge),
    place(
      'mirror-left',
      'driver side',
      ['mirror', 'step'],
      'driver-front-wheel',
      of.cab.from + 0.6,
      -edge,
    ),
    place(
      'mirror-right',
      'curb side',
      ['mirror', 'step'],
      'curb-front-wheel',
      of.cab.from + 0.6,
      edge,
    ),
    place('rear-lamps-left', 'left', ['rear-lamp'], 'rear', of.length - 0.1, -lamp),
    place('rear-lamps-right', 'right', ['rear-lamp'], 'rear', of.length - 0.1, lamp),
  ];
}

/** Frame, cab, wheels and lamps; what stands on it is added by the module. */
export function chassisShapes(of: ChassisMeasures): Shape[] {
  const half = of.width / 2;
  const { cab } = of;
  return [
    rect('frame', 0.3, -0.43, of.length - 0.5, 0.86),
    ...(cab.bonnet ? [rect('cab', 0, -half + 0.1, cab.from + 0.05, of.width - 0.2, 0.3)] : []),
    rect(
      'cab',
      cab.bonnet ? cab.from : 0,
      -half + 0.05,
      cab.to - (cab.bonnet ? cab.from : 0),
      of.width - 0.1,
      0.18,
    ),
    rect('glass', cab.from + 0.08, -half + 0.2, 0.3, of.width - 0.4, 0.1),
    ...wheelShapes(chassisGear(of)),
    ...[-half + 0.3, half - 0.3].flatMap((y) => [
      rect('lamp', 0.02, y - 0.15, 0.12, 0.3),
      rect('lamp', of.length - 0.12, y - 0.15, 0.1, 0.3),
    ]),
  ];
}
