import { policiesFor } from '../grading';
import { assess, fold } from '../inspection';
import {
  begunOf,
  faultOf,
  makeLog,
  rigOf,
  rigOfUnits,
  rigsOfEveryModule,
  walkId,
} from '../testing';
import type { CheckInstance, Rig } from '../rig';
import { findForbidden } from '../walking';
import { readCheck } from './read-check';
import { readUse } from './read-use';

/*
 * Soft ground, a line in reach, too much wind: what is told of the place holds the machine, whatever content says of its parts. Which
 * check looks at the place, and which one moves the machine, is read from their words here.
 */
const partOf = (instance: CheckInstance, rig: Rig) => {
  const by = readCheck(instance, rig).movedBy;
  return readUse(instance, rig, by !== undefined && by !== 'the hand');
};
const machineOf = ({ check, unit }: CheckInstance) => `${unit.id}/${check.id.split('.')[0]}`;

function unheld(rig: Rig): string[] {
  return rig.instances
    .filter((survey) => partOf(survey, rig) === 'survey')
    .flatMap((survey) => {
      const log = makeLog();
      log.add('begun', { ...begunOf(rig), phase: 'before-use' });
      const stops = survey.check.symptoms.find(({ harm }) => harm === 'stop');
      if (!stops) return [];
      log.add('faulted', faultOf(survey, stops.id));
      const forbidden = findForbidden(
        assess({
          inspection: fold(walkId, log.events),
          rig,
          policiesOf: () => policiesFor(['two-step'], []),
          known: [],
          unread: [],
        }),
      );
      return rig.instances
        .filter((each) => machineOf(each) === machineOf(survey))
        .filter((each) => ['trial', 'work'].includes(partOf(each, rig)))
        .filter(({ key }) => !forbidden.has(key))
        .map(({ check }) => `${survey.check.id} ${stops.id}: ${check.id}`);
    });
}

it.each(rigsOfEveryModule())('a bad place holds the machine of $module', ({ rigs }) => {
  for (const { units } of rigs) expect(unheld(rigOfUnits(units, 'before-use'))).toEqual([]);
});

it('places are looked at at all', () => {
  const rig = rigOf('mobile crane', 'before-use');
  expect(rig.instances.filter((each) => partOf(each, rig) === 'survey').length).toBeGreaterThan(2);
});
