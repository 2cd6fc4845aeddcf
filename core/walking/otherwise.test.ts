import { layoutOf } from '../planning';
import { rigNames, rigOf } from '../testing';
import { dimension, slotName, transitionOf } from '../vehicle';
import { otherwise } from './otherwise';

describe('what a driver may find otherwise', () => {
  it.each(rigNames)('is every value but the present one of each thing that a %s has', (name) => {
    const layout = layoutOf(rigOf(name));
    const values = Object.fromEntries(
      layout.slots.map((slot) => [slotName(slot), dimension(slot.dimension).parked]),
    );
    const offered = otherwise({ values }, layout);
    for (const slot of layout.slots) {
      const { values: all, parked, fixed } = dimension(slot.dimension);
      const reached = offered
        .filter(({ change, unitId }) => {
          return transitionOf(change)?.of === slot.dimension && unitId === slot.unit;
        })
        .map(({ change }) => transitionOf(change)?.to);
      // A key in the lock that is off is told as on: either way it is not in the pocket, and is taken out.
      const others = all.filter((value) => value !== parked && value !== 'in');
      const keyed = slot.dimension === 'key' ? others : all.filter((value) => value !== parked);
      expect(reached.sort()).toEqual(fixed ? [] : keyed.sort());
    }
  });

  it('is both ways where nobody has said how it stands', () => {
    const layout = layoutOf(rigOf('truck'));
    const brake = otherwise({ values: {} }, layout).filter(
      ({ change }) => transitionOf(change)?.of === 'brake',
    );
    expect(brake.map(({ change }) => change).sort()).toEqual(['release-brake', 'set-brake']);
  });

  it('is never how the rig was put together: that is a change of the rig', () => {
    const layout = layoutOf(rigOf('tractor, semi-trailer, liftgate'));
    const dimensions = otherwise({ values: {} }, layout).map(
      ({ change }) => transitionOf(change)?.of,
    );
    expect(dimensions).not.toContain('coupling');
    expect(dimensions).not.toContain('load');
  });
});
