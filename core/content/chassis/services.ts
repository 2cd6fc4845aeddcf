import type { Service } from '../../catalogue';

/** Usual services of a straight truck; the manual of the unit comes first. */
export const truckServices: readonly Service[] = [
  {
    id: 'truck.weekly',
    title: 'Weekly check: battery, tyre pressures, greasing list',
    every: { days: 7 },
  },
  {
    id: 'truck.monthly',
    title: 'Monthly check: brake adjustment, belts, air dryer',
    every: { days: 31 },
  },
  { id: 'truck.oil-change', title: 'Engine oil and filters', every: { km: 24_000 } },
  { id: 'truck.chassis-grease', title: 'Grease the chassis', every: { km: 8000 } },
  { id: 'truck.air-filter', title: 'Air filter and fuel separator', every: { hours: 500 } },
  {
    id: 'truck.winter-ready',
    title: 'Ready for winter: coolant, battery load test, wipers, air dryer cartridge',
    every: { season: { month: 10, day: 15 } },
  },
  {
    id: 'truck.yearly-inspection',
    title: 'Yearly inspection',
    every: { days: 365 },
    source: '49 CFR 396.17',
  },
];
