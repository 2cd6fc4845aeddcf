import fc from 'fast-check';
import { type Procedure } from '../catalogue';
import { catalogue } from '../content';
import { failStep, goOn, startRun, stepOf, stopAtGate, timeAgain, waitOf } from '.';

const procedures = catalogue.modules.flatMap((module) => module.procedures);
const procedureOf = (id: string): Procedure => {
  const found = procedures.find((each) => each.id === id);
  if (!found) throw new RangeError(id);
  return found;
};
const plow = procedureOf('plow.cycle.procedure');

it('begins with the clear zone, then goes step by step', () => {
  const run = startRun(0);
  expect(stepOf(plow, run)).toBeUndefined();
  expect(stepOf(plow, goOn(plow, run, 1000))?.id).toBe('clear');
});

it('ends at a gate that is answered with no, and says why', () => {
  const run = stopAtGate(plow, goOn(plow, startRun(0), 0));
  expect(run.ended).toMatchObject({ how: 'stopped', stepId: 'clear' });
  expect(goOn(plow, run, 99_999)).toBe(run);
  // A step without a gate has nothing to stop at.
  const raise = goOn(plow, goOn(plow, startRun(0), 0), 0);
  expect(stopAtGate(plow, raise)).toBe(raise);
});

it('holds as long as it must, and no shorter', () => {
  const hold = { at: plow.steps.findIndex(({ id }) => id === 'hold'), since: 10_000 };
  expect(waitOf(plow, hold, 40_000)).toEqual({ code: 'hold', seconds: 30 });
  expect(goOn(plow, hold, 69_000)).toBe(hold);
  expect(stepOf(plow, goOn(plow, hold, 70_000))?.id).toBe('left');
});

it('does not call slow what was timed once too long: it is timed again or a fault', () => {
  const raise = { at: plow.steps.findIndex(({ id }) => id === 'raise'), since: 0 };
  expect(waitOf(plow, raise, 20_000)).toEqual({ code: 'too-slow', seconds: 20, within: 12 });
  expect(goOn(plow, raise, 20_000)).toBe(raise);
  const again = timeAgain(raise, 20_000);
  expect(stepOf(plow, goOn(plow, again, 28_000))?.id).toBe('hold');
  expect(failStep(plow, raise, 'plow-slow').ended).toEqual({
    how: 'failed',
    stepId: 'raise',
    symptomId: 'plow-slow',
  });
  // Only what a step may show.
  expect(failStep(plow, raise, 'plow-drifts')).toBe(raise);
});

it('every cycle that ships can be played to its end, and not faster than its holds', () => {
  expect(procedures.length).toBeGreaterThanOrEqual(17);
  for (const procedure of procedures) {
    let now = 0;
    let run = startRun(now);
    for (let turn = 0; turn < 60 && !run.ended; turn += 1) {
      const wait = waitOf(procedure, run, now);
      if (wait?.code === 'hold') now += wait.seconds * 1000;
      run = goOn(procedure, run, now);
    }
    expect(run.ended).toEqual({ how: 'good' });
    const holds = procedure.steps.reduce((sum, step) => sum + (step.holdSeconds ?? 0), 0);
    expect(now).toBeGreaterThanOrEqual(holds * 1000);
  }
});

it('never ends well after a no or a fault, whatever is tapped', () => {
  const taps = fc.array(
    fc.record({
      tap: fc.constantFrom('on' as const, 'no' as const, 'fail' as const, 'again' as const),
      after: fc.integer({ min: 0, max: 90_000 }),
    }),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(fc.constantFrom(...procedures), taps, (procedure, list) => {
      let now = 0;
      let run = startRun(now);
      let spoiled = false;
      for (const { tap, after } of list) {
        now += after;
        const step = stepOf(procedure, run);
        if (tap === 'on') run = goOn(procedure, run, now);
        if (tap === 'again') run = timeAgain(run, now);
        if (tap === 'no') {
          spoiled ||= step?.gate !== undefined;
          run = stopAtGate(procedure, run);
        }
        if (tap === 'fail' && step?.fails[0]) {
          spoiled = true;
          run = failStep(procedure, run, step.fails[0]);
        }
      }
      if (spoiled) expect(run.ended?.how).not.toBe('good');
    }),
  );
});
