import { catalogue } from '../content';
import { trailer, truck } from '../testing';
import { gaugesToWatch } from '.';

it('are those of the unit that drives, with the limits of its card', () => {
  const gauges = gaugesToWatch(truck, catalogue);
  expect(gauges.map(({ id }) => id)).toEqual(['air', 'oil-pressure', 'coolant', 'charge']);
  expect(gauges[0]).toMatchObject({
    low: truck.specification.governorCutInLow,
    stopBelow: truck.specification.lowPressureWarning,
  });
  expect(gaugesToWatch(trailer, catalogue)).toEqual([]);
});

it('have the hydraulics where something works with them, and no air where there is none', () => {
  const plow = { ...truck, fitted: ['power-take-off', 'dump-body'] };
  expect(gaugesToWatch(plow, catalogue).map(({ id }) => id)).toContain('hydraulics');
  const hydraulic = { ...truck, moduleId: 'straight-truck-hydraulic' };
  expect(gaugesToWatch(hydraulic, catalogue).map(({ id }) => id)).not.toContain('air');
});
