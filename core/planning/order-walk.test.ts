import fc from 'fast-check';
import { makeRig, trailer, truck } from '../testing/halvern';
import { orderWalk } from '.';

const titles = (units = [truck, trailer]) =>
  orderWalk(makeRig(units)).map(({ zone }) => `${zone.unit.number} ${zone.id}`);

describe('the order of the walk', () => {
  it('goes down the driver side, round the rear, up the curb side, then in', () => {
    expect(titles()).toEqual([
      '214 front-corner',
      '214 driver-front-wheel',
      '214 driver-side',
      '214 driver-rear-wheels',
      '214 rear',
      '931 drawbar',
      '931 driver-wheels',
      '931 rear',
      '931 curb-wheels',
      '931 curb-front',
      '214 curb-rear-wheels',
      '214 curb-side',
      '214 curb-front-wheel',
      '214 front',
      '214 engine-bay',
      '214 cab',
      '214 seat',
      '214 brake-tests',
    ]);
  });

  it('passes the rear of a truck alone between its two sides', () => {
    const order = titles([truck]);
    expect(order.indexOf('214 rear')).toBe(order.indexOf('214 driver-rear-wheels') + 1);
    expect(order.indexOf('214 curb-rear-wheels')).toBe(order.indexOf('214 rear') + 1);
  });

  it('is the same every time', () => {
    expect(titles()).toEqual(titles());
  });

  it('finishes one tyre before the next', () => {
    const stop = orderWalk(makeRig()).find(({ zone }) => zone.id === 'driver-rear-wheels');
    const places = (stop?.instances ?? []).map(({ place }) => place?.id ?? '');
    const changes = places.filter((id, index) => id !== places[index - 1]);
    expect(changes.length).toBe(new Set(places).size);
  });

  it('has every check of the rig once', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('pre-trip' as const, 'post-trip' as const),
        fc.boolean(),
        (phase, towing) => {
          const rig = makeRig(towing ? [truck, trailer] : [truck], phase);
          const walked = orderWalk(rig).flatMap(({ instances }) => instances.map(({ key }) => key));
          expect([...walked].sort()).toEqual(rig.instances.map(({ key }) => key).sort());
        },
      ),
    );
  });
});
