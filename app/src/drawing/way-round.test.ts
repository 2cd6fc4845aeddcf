import { makeRig, truck } from '@nazar/core/testing';
import { orderWalk } from '@nazar/core/planning';
import { wayRound } from './way-round';

/** Whether the straight line between two points passes through the box of the rig. */
function crosses(
  a: { x: number; y: number },
  b: { x: number; y: number },
  length: number,
  width: number,
): boolean {
  for (let step = 0; step <= 100; step += 1) {
    const x = a.x + ((b.x - a.x) * step) / 100;
    const y = a.y + ((b.y - a.y) * step) / 100;
    if (x > 0.2 && x < length - 0.2 && Math.abs(y) < width / 2 - 0.05) return true;
  }
  return false;
}

it.each([
  ['a truck alone', makeRig([truck])],
  ['a truck with a trailer', makeRig()],
])('never leads through %s', (_, rig) => {
  const beads = orderWalk(rig)
    .filter(({ zone }) => zone.round === 'outside')
    .map(({ zone }) => ({ x: zone.x, y: zone.y }));
  const way = wayRound(rig, beads);
  for (const bead of beads) expect(way).toContainEqual(bead);
  way.slice(1).forEach((point, index) => {
    expect(crosses(way[index], point, rig.length, rig.width)).toBe(false);
  });
});

it('is what it was where there is nothing to walk', () => {
  expect(wayRound({ length: 8, width: 2.5 }, [])).toEqual([]);
  expect(wayRound({ length: 8, width: 2.5 }, [{ x: 1, y: -2 }])).toEqual([{ x: 1, y: -2 }]);
});
