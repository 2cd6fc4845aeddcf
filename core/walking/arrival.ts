import type { Inspection } from '../inspection';
import type { Stop } from '../planning';

/**
 * When the driver came to a stop: with the last thing that was done or said before the first answer here, at the latest
 * with the beginning of the walk. Milliseconds since 1970.
 */
export function arrivalAt({ begun, answers, course }: Inspection, stop: Stop): number {
  const here = new Set(stop.instances.map(({ key }) => key));
  let first = Infinity;
  for (const key of here) {
    const answer = answers.get(key);
    if (answer && answer.at < first) first = answer.at;
  }
  let came = begun?.at ?? 0;
  const see = (at: number) => {
    if (at > came && at < first) came = at;
  };
  // Where the helper stands says nothing of where the driver does.
  for (const [key, { at, actorId }] of answers)
    if (!here.has(key) && actorId === begun?.actorId) see(at);
  for (const { at } of course.changes) see(at);
  return came;
}
