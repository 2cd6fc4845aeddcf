import type { Combination } from '../../catalogue';

/** Small faults that are dangerous together. */
export const truckCombinations: readonly Combination[] = [
  {
    id: 'truck.coolant-low-and-leaking',
    parts: [
      { check: 'truck.engine.coolant-level', symptoms: ['coolant-low'] },
      { check: 'truck.engine.leaks', symptoms: ['block-coolant'] },
    ],
    harm: 'stop',
    takes: ['road'],
    because: 'low and still leaking, it boils on the road',
  },
  {
    id: 'truck.oil-low-and-leaking',
    parts: [
      { check: 'truck.engine.oil-level', symptoms: ['oil-low'] },
      { check: 'truck.engine.leaks', symptoms: ['block-oil'] },
    ],
    harm: 'stop',
    takes: ['road'],
    because: 'low and still leaking, the engine seizes on the road',
  },
  {
    id: 'truck.steering-fluid-low-and-leaking',
    parts: [
      { check: 'truck.steering.fluid', symptoms: ['steering-fluid-low'] },
      { check: 'truck.steering.gear', symptoms: ['gear-seep'] },
    ],
    harm: 'stop',
    takes: ['road'],
    because: 'low and still leaking, the steering goes heavy without warning',
  },
  {
    id: 'truck.nothing-to-warn-with',
    parts: [
      { check: 'truck.emergency.triangles' },
      { check: 'truck.lamp.rear-signal', symptoms: ['lens-broken', 'lens-dirty'] },
    ],
    harm: 'stop',
    takes: ['road'],
    because: 'stopped at the roadside, nothing warns the traffic',
  },
];
