import fc from 'fast-check';
import { CIRCUMSTANCES, type Capability, type Circumstance } from '../catalogue';
import { catalogue } from '../content';
import { findObjections, GRADES, policies, policiesFor, type Grade } from '../grading';
import { assess, circumstancesOf, fold, type Payloads } from '../inspection';
import type { CheckInstance, Rig } from '../rig';
import { answerSound, begunOf, faultOf, makeLog, walkId } from './halvern';
import { rigNames, rigOf } from './rigs';

/*
 * What the rules by which no wrong "may roll" gets through are told with (core/inspection/rules). It is told from the rule, not from
 * the code: what the order of two verdicts is, who may leave and what is mild stands in this file.
 */

export const rank = (grade: Grade) => GRADES.indexOf(grade);
export const allChecks = catalogue.modules.flatMap(({ checks }) => checks);
export const subsets = Array.from({ length: 2 ** CIRCUMSTANCES.length }, (_, bits) =>
  CIRCUMSTANCES.filter((__, index) => bits & (1 << index)),
);
export const JOBS: readonly (readonly Capability[])[] = [
  [],
  ['tow', 'passengers', 'lift-gate', 'passenger-lift', 'dump', 'plow', 'spread', 'crane', 'yard'],
];
export const otherPhone = '01900000-0000-7000-8000-0000000000e2';

export type Say = (log: ReturnType<typeof makeLog>, instance: CheckInstance) => void;

/** A walk on which everything is sound but for what is said of some checks. */
export function walked(
  rig: Rig,
  said: ReadonlyMap<string, Say>,
  moment: {
    readonly policy: string;
    readonly circumstances?: readonly Circumstance[];
    readonly needs?: readonly Capability[];
  },
) {
  const log = makeLog();
  log.add('begun', {
    ...begunOf(rig, moment.circumstances, moment.needs && { needs: moment.needs }),
    policyId: moment.policy,
  });
  for (const instance of rig.instances) {
    const say = said.get(instance.key);
    if (say) say(log, instance);
    else if (instance.check.reading?.required && !READ.has(instance.check.id))
      // Not asked here: a reading of which this test knows no good value.
      continue;
    else answerSound(log, instance);
  }
  const inspection = fold(walkId, log.events);
  const assessment = assess({
    inspection,
    rig,
    policiesOf: () => policiesFor([moment.policy], []),
    known: [],
    unread: [],
  });
  return { inspection, assessment };
}

/** Checks of which the shared test data has a good reading. */
const READ = new Set(
  rigNames.flatMap((name) =>
    rigOf(name).instances.flatMap((instance) => {
      const log = makeLog();
      answerSound(log, instance);
      return log.events.at(-1)?.type === 'measured' ? [instance.check.id] : [];
    }),
  ),
);

/** The rig of a name without the checks of which no good reading is known, so that "all sound" can be said. */
export function rigKnown(name: string): Rig {
  const rig = rigOf(name);
  const instances = rig.instances.filter(
    ({ check }) => !check.reading?.required || READ.has(check.id),
  );
  return { ...rig, instances };
}

export function mayLeave(
  { inspection, assessment }: ReturnType<typeof walked>,
  rig: Rig,
  needs: readonly Capability[],
  toWorkshop: boolean,
): boolean {
  return (
    findObjections({
      verdict: assessment.verdict,
      findings: assessment.findings,
      needs: needs.filter((each) => rig.capabilities.includes(each)),
      circumstances: circumstancesOf(inspection, rig),
      officerReleases: false,
      released: false,
      toWorkshop,
    }).length === 0
  );
}

const HEADLINES = ['rolls', 'limits', 'stays'];
const STATES = ['clear', 'limited', 'blocked'];

/** That one verdict lets nothing through which the other does not. */
export function expectNoMilder(
  rig: Rig,
  one: ReturnType<typeof walked>,
  other: ReturnType<typeof walked>,
  what: string,
) {
  const [a, b] = [one.assessment.verdict, other.assessment.verdict];
  const milder: string[] = [];
  if (HEADLINES.indexOf(a.headline) < HEADLINES.indexOf(b.headline))
    milder.push(`${a.headline}, not ${b.headline}`);
  a.capabilities.forEach(({ capability, state }, index) => {
    if (STATES.indexOf(state) < STATES.indexOf(b.capabilities[index].state))
      milder.push(`${capability} ${state}, not ${b.capabilities[index].state}`);
  });
  for (const toWorkshop of [false, true])
    for (const needs of toWorkshop ? [[]] : JOBS)
      if (mayLeave(one, rig, needs, toWorkshop) && !mayLeave(other, rig, needs, toWorkshop))
        milder.push(`may leave for ${toWorkshop ? 'the workshop' : needs.join()}`);
  if (a.headline !== 'stays') {
    for (const words of b.conditions) if (!a.conditions.includes(words)) milder.push(words);
    if ((b.mostKmh ?? Infinity) < (a.mostKmh ?? Infinity)) milder.push('faster');
  }
  expect({ what, milder }).toEqual({ what, milder: [] });
}

export const notLooked: Say = (log, { key }) =>
  log.add('answered', { key, outcome: 'not-looked', reason: 'Snow' });
export const fault =
  (symptomId: string, more: Partial<Payloads['faulted']> = {}): Say =>
  (log, instance) =>
    log.add('faulted', faultOf(instance, symptomId, more));

export const anyMoment = fc.record({
  policy: fc.constantFrom(...policies.map(({ id }) => id)),
  circumstances: fc.constantFrom(...subsets),
  needs: fc.constantFrom(...JOBS),
});
/** A moment under a policy by which what stops a vehicle is a major, whatever a schedule says. */
export const strictMoment = anyMoment.filter(({ policy }) => policy !== 'schedule-only');
/** Any check of any rig, one instance of it. */
export const anyCheck = fc
  .constantFrom(...rigNames)
  .chain((name) => fc.tuple(fc.constant(name), fc.constantFrom(...rigKnown(name).instances)));
