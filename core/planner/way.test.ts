import { makeRig } from '../testing';
import { DIRECTIONS, USUAL_ROUTE_STYLE } from '../planning';
import { planWalk } from '.';

const rig = makeRig();

it.each(DIRECTIONS)('is never drawn through the rig, %s', (direction) => {
  const { way } = planWalk({
    rig,
    phase: 'pre-trip',
    circumstances: [],
    routeStyle: { ...USUAL_ROUTE_STYLE, direction },
  });
  const isIn = ({ x, y }: { x: number; y: number }) =>
    x > 0.05 && x < rig.length - 0.05 && Math.abs(y) < rig.width / 2 - 0.05;
  let crossings = 0;
  way.slice(1).forEach((to, index) => {
    const from = way[index];
    // Getting in and out, and moving inside, is no crossing: one end is inside.
    if (isIn(from) || isIn(to)) return;
    for (let share = 0.1; share < 1; share += 0.1)
      if (isIn({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share })) {
        crossings += 1;
        return;
      }
  });
  expect(crossings).toBe(0);
  expect(way.length).toBeGreaterThan(10);
});

it('is as long outside as the plan says', () => {
  const { way, totals } = planWalk({ rig, phase: 'pre-trip', circumstances: [] });
  const metres = way
    .slice(1)
    .reduce((sum, { x, y }, index) => sum + Math.hypot(x - way[index].x, y - way[index].y), 0);
  // Getting in through the door is a climb, not a metre of the plan.
  expect(metres).toBeGreaterThanOrEqual(totals.metres - 0.5);
});
