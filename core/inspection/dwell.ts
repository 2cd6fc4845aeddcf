import { floorOf } from '../planning';
import type { CheckInstance, Rig } from '../rig';
import type { Inspection } from './inspection';

/** One stay at a stop, from the last answer before it to its own last answer. Seconds. */
export interface Dwell {
  readonly zoneKey: string;
  readonly title: string;
  readonly unitId: string;
  readonly checks: number;
  readonly seconds: number;
  /** A fast person doing nothing but these checks needs this long. */
  readonly floor: number;
}

/**
 * How long was stood at each stop, in the order in which the answers were given; of the driver first, then of a helper.
 * It is worked out from the answers that stand; the time for an answer that was changed later counts where it was changed,
 * and a clock that was set on the way makes no stay longer or shorter.
 */
export function findDwells(inspection: Inspection, rig: Rig): Dwell[] {
  const { begun, course, answers } = inspection;
  if (!begun) return [];
  const actors = new Set([begun.actorId, ...[...answers.values()].map(({ actorId }) => actorId)]);
  return [...actors].flatMap((actorId) => {
    const joined = course.helpers.find((helper) => helper.phone && helper.actorId === actorId);
    const from = actorId === begun.actorId ? begun.at : (joined?.at ?? begun.at);
    return dwellsOf(actorId, from, inspection, rig);
  });
}

function dwellsOf(
  actorId: string,
  beginning: number,
  { answers, course }: Inspection,
  rig: Rig,
): Dwell[] {
  const zones = new Map(rig.zones.map((zone) => [zone.key, zone]));
  const instances = new Map(rig.instances.map((instance) => [instance.key, instance]));
  // Answers of one moment stay in the order in which they were given.
  const answered = [...answers]
    .flatMap(([key, answer]) => {
      const instance = instances.get(key);
      return instance && answer.actorId === actorId ? [{ instance, at: answer.at }] : [];
    })
    .sort((one, other) => one.at - other.at);
  const stays: Dwell[] = [];
  let from = beginning;
  let index = 0;
  while (index < answered.length) {
    const { zoneKey } = answered[index].instance;
    const here: CheckInstance[] = [];
    let last = from;
    while (index < answered.length && answered[index].instance.zoneKey === zoneKey) {
      here.push(answered[index].instance);
      last = answered[index].at;
      index += 1;
    }
    const zone = zones.get(zoneKey);
    stays.push({
      zoneKey,
      title: zone?.title ?? '',
      unitId: here[0].unit.id,
      checks: here.length,
      seconds: Math.max(0, (last - from) / 1000 - movedBetween(from, last)),
      floor: floorOf(here),
    });
    from = last;
  }
  return stays;

  function movedBetween(since: number, until: number): number {
    return course.clockMoves
      .filter(({ at }) => at > since && at <= until)
      .reduce((sum, { seconds }) => sum + seconds, 0);
  }
}

/** Stays that were faster than they can be walked. It accuses nobody: it is told to the driver at once. */
export function findHasty(stays: readonly Dwell[]): Dwell[] {
  return stays.filter(({ seconds, floor }) => seconds < floor);
}
