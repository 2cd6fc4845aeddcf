import { bladeChecks, bladeSpecification } from '../shared/blades';
import { hydraulicChecks, pinch } from '../shared/hydraulics';
import type { Check, Module } from '../../catalogue';
import { caution, check, faultsOf, module, moved, place, rect } from '../write';

const { stops, repairs } = faultsOf('plow', ['plow']);
const road = faultsOf('plow', ['road', 'plow']);

const swing = caution('DANGER', 'Nobody in front of the blade or beside it while it moves.');

const blade: Check[] = [
  ...bladeChecks({
    prefix: 'underbody',
    zone: 'driver-side',
    each: 'edge',
    of: 'of the underbody blade',
    takes: ['plow'],
  }),
  ...hydraulicChecks({
    prefix: 'underbody',
    zone: 'driver-side',
    takes: ['plow'],
    of: 'of the underbody blade',
    lies: ['blade-down'],
  }),
  check({
    id: 'underbody.hangers',
    title: 'Look at the hangers between the axles',
    partName: 'Blade hangers',
    zone: 'driver-side',
    method: 'look',
    needs: ['lamp', 'chocked'],
    seconds: 12,
    criterion: 'No crack at the frame, all bolts in.',
    symptoms: [
      road.stops('hanger-crack', 'Crack at hanger or frame'),
      repairs('hanger-bolt', 'A bolt missing or loose'),
    ],
    cautions: [pinch],
    why: 'It is bolted to what carries the truck.',
  }),
  check({
    id: 'underbody.pressure',
    title: 'Read the down-pressure gauge',
    partName: 'Down-pressure gauge',
    zone: 'seat',
    method: 'look',
    needs: ['engine-idling', 'parking-brake-set'],
    seconds: 8,
    criterion: 'Rises evenly, falls to nothing in float.',
    symptoms: [
      stops('pressure-stuck', 'Stays up in float'),
      repairs('gauge-dead', 'Gauge does not move'),
    ],
    why: 'Too much of it takes the weight off the wheels.',
  }),
  check({
    id: 'underbody.cycle',
    title: 'Lower, angle and raise the blade',
    partName: 'Blade cycle',
    zone: 'blade-controls',
    method: 'operate',
    moves: moved('blade', 'engine', ['plow'], { ends: 'raised and locked for the road' }),
    does: ['blade-up'],
    needs: ['engine-idling', 'area-clear', 'parking-brake-set'],
    seconds: 35,
    criterion: 'Even, locks up for the road.',
    symptoms: [
      road.stops('blade-not-up', 'Does not stay up'),
      stops('blade-dead', 'A movement does not work'),
      repairs('blade-slow', 'Slow or jerky when warm'),
    ],
    cautions: [swing],
    why: 'A blade that comes down at speed lifts the drive axle.',
  }),
];

/** Blade under the frame, between the axles. */
export const underbodyBlade: Module = module({
  id: 'underbody-blade',
  title: 'Underbody blade',
  build: 'fitted',
  apart: ['markers', 'wash', 'edge.depth'],
  vehicleClass: 'goods',
  length: 0.8,
  width: 2.4,
  height: 0.8,
  capabilities: ['plow'],
  mountsOn: { sort: 'underbody', x: 0.4 },
  requires: ['hydraulics'],
  specification: bladeSpecification,
  zones: [
    { id: 'driver-side', title: 'Blade, driver side', round: 'outside', x: 0.3, y: -2 },
    { id: 'seat', title: 'Controls', round: 'cab', x: -1.5, y: -0.5 },
    {
      id: 'blade-controls',
      title: 'Blade controls',
      round: 'equipment',
      x: -1.5,
      y: -0.45,
      cautions: [swing],
    },
  ],
  places: [
    place('blade-left', 'left end', ['edge'], 'driver-side', 0.3, -1.1),
    place('blade-centre', 'centre', ['edge'], 'driver-side', 0.4, 0),
    place('blade-right', 'right end', ['edge'], 'driver-side', 0.5, 1.1),
  ],
  shapes: [rect('blade', 0.2, -1.2, 0.25, 2.4, 0.06)],
  checks: blade,
});
