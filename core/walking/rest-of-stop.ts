import type { Inspection } from '../inspection';
import { floorOf, type Stop } from '../planning';
import type { CheckInstance } from '../rig';

export interface RestRequest {
  readonly stop: Stop;
  readonly inspection: Inspection;
  /** Open at this stop and answerable as the vehicle stands. */
  readonly open: readonly CheckInstance[];
  /** Parts that must be looked at one by one: an open defect, a fresh repair, a weak spot. */
  readonly watched: ReadonlySet<string>;
  /** When the driver came to this stop, milliseconds since 1970. */
  readonly cameAt: number;
  readonly now: number;
}

export interface RestOfStop {
  /** Checks that may be called sound in one touch. */
  readonly instances: readonly CheckInstance[];
  /** Seconds until nobody could have been faster; 0 when that has passed. */
  readonly wait: number;
}

/**
 * "The rest of this stop is sound": what may be said in one touch, and from when on. Never what is measured, counted or
 * played; never a part with a history; never before the least time of what was looked at here has passed.
 */
export function restOfStop(request: RestRequest): RestOfStop {
  const { stop, inspection, open, watched, cameAt, now } = request;
  const instances = open.filter(
    ({ key, check, contents }) =>
      !check.reading?.required &&
      !contents &&
      !check.does &&
      !check.guide &&
      !check.leaves &&
      // What moves by a power is stepped through, not waved through.
      (check.moves === undefined || check.moves.by === 'hand') &&
      !watched.has(key),
  );
  if (instances.length < 2) return { instances: [], wait: 0 };
  // What was answered here since the driver came has had its own time.
  const done = stop.instances.filter(({ key }) => {
    const answer = inspection.answers.get(key);
    return answer !== undefined && answer.at >= cameAt;
  });
  const floor = floorOf([...done, ...instances]);
  const moved = inspection.course.clockMoves
    .filter(({ at }) => at > cameAt)
    .reduce((sum, { seconds }) => sum + seconds, 0);
  return { instances, wait: Math.max(0, Math.ceil(floor - ((now - cameAt) / 1000 - moved))) };
}
