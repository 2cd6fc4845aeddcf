import type { Rig } from '../rig';
import { orderWalk, type Stop } from './order-walk';

/** A stop of a plan as it is kept: where, and which checks. */
export interface KeptStop {
  readonly key: string;
  readonly zone: string;
  readonly checks: readonly string[];
}

export interface Followed {
  readonly stops: readonly Stop[];
  /** The plan does not know this rig: some of its checks are gone, or there are some that it does not have. */
  readonly stale: boolean;
}

export function toKeptStops(stops: readonly Stop[]): KeptStop[] {
  return stops.map(({ key, zone, instances }) => ({
    key,
    zone: zone.key,
    checks: instances.map((instance) => instance.key),
  }));
}

/**
 * The stops of a kept plan on the rig as it is now. Nothing is lost where the plan is older than the rig: what it does
 * not know comes after it, in the usual order.
 */
export function followPlan(rig: Rig, kept: readonly KeptStop[]): Followed {
  const zones = new Map(rig.zones.map((zone) => [zone.key, zone]));
  const left = new Map(rig.instances.map((instance) => [instance.key, instance]));
  let stale = false;
  const stops: Stop[] = [];
  for (const { key, zone: zoneKey, checks } of kept) {
    const zone = zones.get(zoneKey);
    const instances = checks.flatMap((check) => {
      const instance = left.get(check);
      left.delete(check);
      return instance ?? [];
    });
    if (!zone || instances.length < checks.length) stale = true;
    if (zone && instances.length > 0) stops.push({ key, zone, instances });
    // What stood at a place that is gone is asked at its own.
    else for (const instance of instances) left.set(instance.key, instance);
  }
  if (left.size > 0) {
    stale = true;
    const rest = orderWalk({
      ...rig,
      instances: rig.instances.filter((instance) => left.has(instance.key)),
    });
    stops.push(...rest.map((stop) => ({ ...stop, key: `${stop.key}#rest` })));
  }
  return { stops, stale };
}
