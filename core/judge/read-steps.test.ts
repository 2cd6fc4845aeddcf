import { catalogue } from '../content';
import type { ProcedureStep } from '../catalogue';
import { findStepsBreaches, type StepsBegin } from './read-steps';

const rolling: StepsBegin = { engine: true, powerTakeOff: false, chocks: false };
const stepsOf = (id: string) => {
  const found = catalogue.modules
    .flatMap(({ procedures }) => procedures)
    .find((each) => each.check === id);
  if (!found) throw new Error(`no sequence of ${id}`);
  return found.steps;
};
const breachesOf = (steps: readonly ProcedureStep[], begin = rolling) =>
  findStepsBreaches(steps, begin).map(([rule, words]) => `${rule}: ${words.split(':')[0]}`);
/** The sequence with one step forgotten. */
const without = (id: string, step: string) => {
  const steps = stepsOf(id);
  if (!steps.some((each) => each.id === step)) throw new Error(`no step ${step}`);
  return steps.filter((each) => each.id !== step);
};

it.each(['tag-trailer.hook-up', 'tilt-trailer.hook-up', 'tilt-trailer.unhook', 'plow.hook-up'])(
  'finds nothing in %s as it ships',
  (id) => {
    expect(breachesOf(stepsOf(id))).toEqual([]);
  },
);

it.each(['digger.unload', 'led-digger.unload'])('finds nothing in %s, off at first', (id) => {
  expect(breachesOf(stepsOf(id), { ...rolling, engine: false })).toEqual([]);
});

it.each([
  ['tag-trailer.hook-up', 'stop-short', '3: hands go in with the engine on'],
  ['tag-trailer.hook-up', 'stop', '3: hands go in with the engine on'],
  ['tag-trailer.hook-up', 'away', '4: it rolls with chocks lying'],
  ['tilt-trailer.hook-up', 'power', '5: it is moved without the power take-off'],
  ['tilt-trailer.hook-up', 'power-out', '4: it rolls with the power take-off in'],
  ['tilt-trailer.hook-up', 'power-again', '5: it is moved without the power take-off'],
  ['tilt-trailer.hook-up', 'stop', '3: hands go in with the engine on'],
  ['tilt-trailer.unhook', 'stop', '3: hands go in with the engine on'],
  ['plow.hook-up', 'pins', '3: hands go in with the engine on'],
])('finds it where %s forgets the step “%s”', (id, step, breach) => {
  expect(breachesOf(without(id, step))).toContain(breach);
});

it('finds chains that are taken off a machine whose engine runs', () => {
  expect(breachesOf(stepsOf('digger.unload'))).toContain('3: hands go in with the engine on');
});

it('finds a chain that is laid over a machine that was not stopped', () => {
  expect(breachesOf(stepsOf('digger.load'))).toEqual([]);
  expect(breachesOf(without('digger.load', 'down'))).toContain('3: hands go in with the engine on');
});
