import { ROUNDS } from '../catalogue';
import type { CheckInstance, Rig, RigZone } from '../rig';

export interface Stop {
  readonly key: string;
  readonly zone: RigZone;
  readonly instances: readonly CheckInstance[];
}

/**
 * The order of the walk: counter-clockwise (seen from above) from the driver's front
 * corner, then engine bay, cab, inside, brakes, equipment. Fixed for now; this is the one place that decides it.
 */
export function orderWalk(rig: Rig): Stop[] {
  const byZone = new Map<string, CheckInstance[]>();
  for (const instance of rig.instances) {
    const list = byZone.get(instance.zoneKey);
    if (list) list.push(instance);
    else byZone.set(instance.zoneKey, [instance]);
  }
  const zones = rig.zones.filter((zone) => byZone.has(zone.key));
  const ordered = ROUNDS.flatMap((round) => {
    const ofRound = zones.filter((zone) => zone.round === round);
    if (round !== 'outside') return ofRound;
    return [...ofRound].sort((a, b) => wayRound(a, rig) - wayRound(b, rig));
  });
  const stops = ordered.map((zone) => ({
    key: zone.key,
    zone,
    instances: byPlace(byZone.get(zone.key) ?? []),
  }));
  // Whoever may still be aboard is looked for before anything else.
  const first = stops.filter(({ instances }) =>
    instances.some(({ check }) => check.precedes?.includes('everything')),
  );
  return [...first, ...stops.filter((stop) => !first.includes(stop))];
}

/** Metres along the way round, from the driver's front corner down the driver's side. */
function wayRound(zone: RigZone, rig: Rig): number {
  const side = rig.width / 2;
  if (zone.y < -side + 0.3 || (zone.x < 0 && zone.y < 0)) return zone.x;
  if (zone.x >= rig.length) return rig.length + 1 + (zone.y + side);
  if (zone.x < 0) return 2 * rig.length + 3 * side + 2 - zone.y;
  return rig.length + 2 * side + 2 + (rig.length - zone.x);
}

/** All of one wheel before the next; checks without a place come first. */
function byPlace(instances: CheckInstance[]): CheckInstance[] {
  const groups = new Map<string, CheckInstance[]>();
  for (const instance of instances) {
    const group = instance.place
      ? `${instance.place.x.toFixed(2)}/${Math.sign(instance.place.y)}`
      : '';
    const list = groups.get(group);
    if (list) list.push(instance);
    else groups.set(group, [instance]);
  }
  const loose = groups.get('') ?? [];
  groups.delete('');
  return [...loose, ...[...groups.values()].flatMap((list) => sortPlaces(list))];
}

function sortPlaces(list: CheckInstance[]): CheckInstance[] {
  const order = [...new Set(list.map((instance) => instance.place?.id ?? ''))];
  return order.flatMap((id) => list.filter((instance) => instance.place?.id === id));
}
