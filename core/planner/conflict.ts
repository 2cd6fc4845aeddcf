import type { Rule, Task } from './blocks';

const WORDS: Readonly<Record<Rule, string>> = {
  aboard: 'whoever may still be aboard is looked for first',
  secure: 'brake and chocks come first',
  'lamp-test': 'the warning lamps are watched before the first start',
  start: 'the engine is first started step by step',
  stopping: 'what decides that it can stop comes before it rolls',
  stowed: 'what is stowed is looked at before it is moved',
  cold: 'what must be cold comes before the engine is started',
  tests: 'the tests of the brakes keep their order',
  wash: 'what is greased is washed first',
  way: 'the outside is walked in one direction',
  first: 'the school says what comes first',
  'engine-early': 'the school starts the engine before the outside is walked',
  'engine-last': 'the school starts the engine last',
  hand: 'your own order says so',
};

/**
 * Rules that contradict each other among blocks of which none may come first: a sentence that names a ring of them,
 * each stop with the rule that puts it before the next.
 */
export function nameConflict({ blocks, ruleOf }: Task, waiting: readonly number[]): string {
  const from: number[] = [waiting[0]];
  // Going backwards from any of them to one that must come before it, a ring is met sooner or later.
  for (;;) {
    const last = from[from.length - 1];
    const earlier = waiting.find((other) => other !== last && ruleOf(other, last));
    if (earlier === undefined) break;
    const again = from.indexOf(earlier);
    if (again >= 0) {
      from.splice(0, again);
      from.push(earlier);
      break;
    }
    from.push(earlier);
  }
  const ring = from.reverse();
  const steps = ring.slice(1).map((index, at) => {
    const before = blocks[ring[at]];
    const rule = ruleOf(ring[at], index);
    return `${titleOf(before)} before ${titleOf(blocks[index])}, because ${rule ? WORDS[rule] : ''}`;
  });
  return `No order keeps all the rules: ${steps.join('; and ')}. Change one of them.`;
}

function titleOf({ zone, instances }: Task['blocks'][number]): string {
  return `“${instances[0]?.check.title ?? 'Start early'}” (${zone.unit.number} ${zone.title})`;
}
