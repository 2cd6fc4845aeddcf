import type { Rig } from '../rig';
import { USUAL_PACE, type PaceSettings } from '../planning';
import { alongWay, layGround, SIDE_BY_SIDE } from './ground';
import type { Plan } from './plan-walk';

/**
 * What is wrong with the order of a plan: a check left out or twice, a step against the direction of the route style, a test of the
 * brakes before its turn, the outside walked to and fro. Whether it is safe is for the judge (core/judge).
 * Empty when the order holds.
 */
export function findPlanFaults(plan: Plan, rig: Rig, pace: PaceSettings = USUAL_PACE): string[] {
  const faults: string[] = [];
  const asked = rig.instances.map(({ key }) => key).sort();
  const planned = plan.stops.flatMap(({ instances }) => instances.map(({ key }) => key));
  if (JSON.stringify([...planned].sort()) !== JSON.stringify(asked))
    faults.push('not every check stands in it exactly once');
  return [
    ...faults,
    ...findTimeFaults(plan),
    ...findWayFaults(plan, rig, pace),
    ...findTestFaults(plan, rig),
    ...findRoundFaults(plan, rig, pace),
  ];
}

function findTimeFaults({ happenings }: Plan): string[] {
  let time = 0;
  const faults: string[] = [];
  for (const { at, seconds } of happenings) {
    if (at < time - 1e-6) faults.push('something happens before it can');
    time = at + seconds;
  }
  return faults;
}

/** Feet go round in the direction of the route style, but for a step back. */
function findWayFaults({ happenings, routeStyle }: Plan, rig: Rig, pace: PaceSettings): string[] {
  const { length } = layGround(rig, pace);
  return happenings.flatMap((happening) => {
    if (happening.kind !== 'go') return [];
    const { from, to, metres } = happening;
    const outside = [from, to].every(({ level }) => level !== 'cab' && level !== 'aboard');
    const ahead = (((to.ring - from.ring) % length) + length) % length;
    const forward = routeStyle.direction === 'counter-clockwise' ? ahead : length - ahead;
    return outside &&
      ahead > 0 &&
      metres + 1e-6 < Math.min(forward, length) &&
      length - forward > pace.stepBack
      ? [`it goes against the direction for ${metres.toFixed(1)} m`]
      : [];
  });
}

/** The tests of the brakes follow one another as they are written. */
function findTestFaults({ stops }: Plan, rig: Rig): string[] {
  const order = new Map(rig.instances.map(({ key }, index) => [key, index]));
  let last = -1;
  return stops
    .filter(({ zone }) => zone.round === 'brakes')
    .flatMap(({ instances }) => instances)
    .flatMap(({ key }) => {
      const place = order.get(key) ?? 0;
      const late = place < last;
      last = Math.max(last, place);
      return late ? [`${key} comes after a later test`] : [];
    });
}

/** What is only looked at from outside, with nothing done to the vehicle, is met once on the way round. */
function findRoundFaults({ stops, routeStyle }: Plan, rig: Rig, pace: PaceSettings): string[] {
  const ground = layGround(rig, pace);
  let furthest = 0;
  return stops
    .filter(({ zone }) => zone.round === 'outside')
    .flatMap(({ zone, instances }) => instances.map((instance) => ({ zone, instance })))
    .filter(({ instance: { check } }) => check.method === 'look' && check.needs.length === 0)
    .flatMap(({ zone, instance }) => {
      const here = alongWay(ground.spotOf(zone), ground, routeStyle.direction);
      const back = here < furthest - SIDE_BY_SIDE - 1e-6;
      furthest = Math.max(furthest, here);
      return back ? [`${instance.key} is looked at after what lies further on`] : [];
    });
}
