import { caution, check, faultsOf, moved } from '../../write';
import type { Check } from '../../../catalogue';

const crane = faultsOf('boom', ['crane']);
const steer = faultsOf('steering', ['road']);
const engine = faultsOf('engine', ['crane']);
const brakes = faultsOf('brakes', ['road']);
const legs = faultsOf('outriggers', ['crane']);
const mirrors = faultsOf('driver-place', ['road']);
const cranking = caution(
  'CAUTION',
  'Crank no longer, no oftener, and with the rest between that its card says. A starter burns in half a minute.',
);

/** What a four-axle carrier has beside its crane, and the engine aloft that drives the upper works. */
export function craneCarrierChecks(P: string): Check[] {
  return [
    check({
      id: `${P}.steering.shaft`,
      title: 'Shake the steering shaft and the cylinders of both steered axles',
      partName: 'Steering shaft and cylinders',
      zone: 'driver-front-wheel',
      method: 'shake',
      phases: ['pre-trip'],
      needs: ['secured', 'gloves', 'lamp'],
      seconds: 20,
      criterion: 'No play, cotter pins in, rods dry, hoses free of the tyres.',
      source: '49 CFR 393.209',
      symptoms: [
        steer.stops('shaft-play', 'Play in shaft, joint or cylinder'),
        steer.stops('cylinder-leaks', 'Oil drips from a steering cylinder'),
        steer.repairs('cylinder-wet', 'A rod is wet, no drop'),
      ],
      why: 'Two axles steer thirty tonnes. One loose pin steers them apart.',
    }),
    check({
      id: `${P}.brake.exhaust`,
      title: 'Try the exhaust brake from the seat',
      partName: 'Exhaust brake',
      zone: 'seat',
      method: 'operate',
      moves: moved('exhaust-brake', 'engine', [], { clear: 'hand' }),
      needs: ['engine-idling', 'parking-brake-set', 'in-neutral'],
      seconds: 8,
      criterion: 'Engine note changes at once and comes back.',
      symptoms: [
        brakes.repairs('exhaust-brake-dead', 'Does nothing', {
          condition: 'Low gear before every hill.',
        }),
      ],
      why: 'The wheel brakes alone do not hold a crane down a long hill.',
    }),
    check({
      id: `${P}.camera`,
      title: 'Look at the picture of each camera',
      partName: 'Cameras',
      zone: 'seat',
      method: 'look',
      needs: ['key-on'],
      seconds: 8,
      criterion: 'Every picture is there, sharp and the right way round.',
      symptoms: [
        mirrors.repairs('camera-dead', 'A picture is missing', {
          condition: 'Somebody walks beside it where it backs.',
        }),
        mirrors.watches('camera-dirty', 'Dirty'),
      ],
      fixes: { 'camera-dirty': ['Wipe the lens'] },
      why: 'Boom and counterweight hide a car.',
    }),
    check({
      id: `${P}.cooler`,
      title: 'Look at the oil cooler and its fan',
      partName: 'Oil cooler and fan',
      zone: 'driver-side',
      method: 'look',
      seconds: 8,
      criterion: 'Fins clean, guard on, lines dry.',
      symptoms: [
        crane.repairs('cooler-blocked', 'Fins blocked'),
        crane.stops('cooler-leaks', 'Drops fall'),
      ],
      fixes: { 'cooler-blocked': ['Blow it out, engine off'] },
      why: 'Hot oil lets a load sink.',
    }),
    check({
      id: `${P}.outriggers.front-jack`,
      title: 'Look at the front jack: up, pinned, its gap to the axle',
      partName: 'Front jack',
      zone: 'front',
      method: 'look',
      seconds: 10,
      criterion: 'Up and pinned, pad fixed, gap as its plate says.',
      symptoms: [
        faultsOf('outriggers', ['road', 'crane']).stops('front-jack-down', 'Not up or not pinned'),
        legs.repairs('front-jack-gap', 'Gap is not what the plate says'),
      ],
      why: 'Down, it is the first thing that touches the road.',
    }),
    check({
      id: `${P}.upper.fluids`,
      title: 'Read oil, coolant and fuel of the upper engine',
      partName: 'Upper engine fluids',
      zone: 'crane-controls',
      method: 'look',
      phases: ['pre-trip', 'before-use'],
      needs: ['own-engine-off'],
      seconds: 25,
      criterion: 'Oil and coolant at their marks, fuel enough for the job, nothing drips.',
      symptoms: [
        engine.stops('upper-oil-low', 'Oil below the low mark', { fixLeaves: 'watch' }),
        engine.stops('upper-coolant-low', 'No coolant in the glass', { fixLeaves: 'watch' }),
        engine.repairs('upper-fuel-low', 'Not enough fuel for the job'),
        engine.repairs('upper-leaks', 'Drips'),
      ],
      fixes: {
        'upper-oil-low': ['Top it up'],
        'upper-coolant-low': ['Top it up cold'],
        'upper-fuel-low': ['Fill it'],
      },
      why: 'With a load on the hook nobody can let the engine stop.',
    }),
    check({
      id: `${P}.upper.start`,
      title: 'Start the upper engine and read its gauges',
      partName: 'Upper engine start',
      zone: 'crane-controls',
      method: 'operate',
      moves: moved('upper-engine', 'own-engine', ['crane'], {
        held: 'brake-and-chocks',
        ends: 'idling',
      }),
      does: ['own-engine-start'],
      phases: ['before-use'],
      needs: ['parking-brake-set', 'chocked', 'area-clear'],
      seconds: 60,
      criterion:
        'Levers in neutral, stops reset, pump out; starts within the seconds of its card, oil pressure at once.',
      symptoms: [
        engine.stops('upper-dead', 'Does not start within the tries of its card'),
        engine.stops('upper-no-oil', 'No oil pressure'),
        engine.repairs('upper-hard', 'Starts hard or smokes'),
        engine.repairs('upper-gauge', 'A gauge is dead'),
      ],
      cautions: [cranking],
      why: 'It is the only engine that holds the load up.',
    }),
  ];
}
