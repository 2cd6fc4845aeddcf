import { PHASES, type Circumstance } from '../catalogue';
import { planWalk } from '../planner';
import type { School } from '../planning';
import { rigOfUnits, rigsOfEveryModule, violationsOf } from '../testing';

const SCHOOLS: readonly School[] = [
  { direction: 'counter-clockwise', first: 'engine-bay', engine: 'planned', helper: false },
  { direction: 'clockwise', first: 'outside', engine: 'last', helper: true },
];
const CIRCUMSTANCES: readonly Circumstance[] = ['dark', 'freezing'];

/** The rigs that other tests share lack some of the equipment; here is every module, whatever rig it is part of. */
describe.each(rigsOfEveryModule())('a plan with $module breaks no rule', ({ rigs }) => {
  it('because it can be part of a rig at all', () => {
    expect(rigs).not.toEqual([]);
  });

  it.each(rigs)('as $title, in every walk and by every school', ({ units }) => {
    for (const phase of PHASES) {
      const rig = rigOfUnits(units, phase);
      for (const school of SCHOOLS) {
        const plan = planWalk({ rig, phase, circumstances: CIRCUMSTANCES, school });
        expect({ phase, school, broken: violationsOf(plan, rig, phase) }).toEqual({
          phase,
          school,
          broken: [],
        });
      }
    }
  });
});
