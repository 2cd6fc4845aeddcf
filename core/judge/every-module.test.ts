import { PHASES, type Circumstance } from '../catalogue';
import { planWalk } from '../planner';
import type { RouteStyle } from '../planning';
import { rigOfUnits, rigsOfEveryModule, violationsOf } from '../testing';

const ROUTE_STYLES: readonly RouteStyle[] = [
  { direction: 'counter-clockwise', first: 'engine-bay', engine: 'planned', helper: false },
  { direction: 'clockwise', first: 'outside', engine: 'last', helper: true },
];
const CIRCUMSTANCES: readonly Circumstance[] = ['dark', 'freezing'];

/** The rigs that other tests share lack some of the equipment; here is every module, whatever rig it is part of. */
describe.each(rigsOfEveryModule())('a plan with $module breaks no rule', ({ rigs }) => {
  it('because it can be part of a rig at all', () => {
    expect(rigs).not.toEqual([]);
  });

  it.each(rigs)('as $title, in every walk and by every route style', ({ units }) => {
    for (const phase of PHASES) {
      const rig = rigOfUnits(units, phase);
      for (const routeStyle of ROUTE_STYLES) {
        const plan = planWalk({ rig, phase, circumstances: CIRCUMSTANCES, routeStyle });
        expect({ phase, routeStyle, broken: violationsOf(plan, rig, phase) }).toEqual({
          phase,
          routeStyle,
          broken: [],
        });
      }
    }
  });
});
