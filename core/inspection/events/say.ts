import { faultsOf, Said, type Answer, type Speaker } from '../answers';
import type { Draft } from '../inspection';

/** Somebody says something of a check; what it took the place of, or what counts less than another's word, stays visible. */
export function say(
  { said, answers, replaced }: Draft,
  speaker: Speaker,
  key: string,
  what: (said: Said) => void,
): void {
  const all = said.get(key) ?? new Said();
  said.set(key, all);
  const before = answers.get(key);
  what(all);
  const now = all.together();
  if (now) answers.set(key, now);
  else answers.delete(key);
  // Said for the first time, it takes the place of nothing.
  if (!before && all.isOfOne) return;
  const own = all.of(speaker);
  const lost = [before, own === before ? undefined : own].filter(
    (each): each is Answer => each !== undefined && !holds(now, each),
  );
  if (lost.length > 0) replaced.set(key, [...(replaced.get(key) ?? []), ...lost]);
}

/** Whether all of what was said before still counts in what is said now: every fault of it and every number. */
function holds(now: Answer | undefined, before: Answer): boolean {
  if (!now) return false;
  const numbers = new Set(('readings' in now ? now.readings : []).map(({ eventId }) => eventId));
  const faults = faultsOf(now);
  const isWhole =
    ('readings' in before ? before.readings : []).every(({ eventId }) => numbers.has(eventId)) &&
    faultsOf(before).every((fault) => faults.includes(fault));
  if (!isWhole) return false;
  if (now.eventId === before.eventId || before.outcome === 'fault') return true;
  return before.outcome === 'measured' && now.outcome === 'measured';
}
