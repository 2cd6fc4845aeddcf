import type { Message } from '../words';
import type { Task } from './blocks';

/**
 * Rules that contradict each other among blocks of which none may come first: names a ring of them,
 * each stop with the rule that puts it before the next.
 */
export function findConflict(
  { blocks, ruleOf }: Task,
  waiting: readonly number[],
): Message<'rules-contradict'> {
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
  return {
    code: 'rules-contradict',
    ring: ring.slice(1).map((index, at) => ({
      first: titleOf(blocks[ring[at]]),
      then: titleOf(blocks[index]),
      rule: ruleOf(ring[at], index) ?? '',
    })),
  };
}

function titleOf({ zone, instances }: Task['blocks'][number]): string {
  return `“${instances[0]?.check.title ?? 'Start early'}” (${zone.unit.number} ${zone.title})`;
}
