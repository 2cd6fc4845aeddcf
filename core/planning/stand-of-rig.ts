import type { Rig, RigZone } from '../rig';
import {
  layOut,
  layWant,
  type LaidWant,
  type Layout,
  type Requirement,
  type States,
} from '../vehicle';

const layouts = new WeakMap<Rig['units'], Layout>();

/** The table of how a vehicle stands, laid out for this rig. */
export function layoutOf({ units }: Pick<Rig, 'units'>): Layout {
  let layout = layouts.get(units);
  if (!layout) {
    layout = layOut({
      airBrakes: units.some(({ module }) => module.powered && module.airBrakes),
      units: units.map(({ unit, module }) => ({ id: unit.id, checks: module.checks })),
    });
    layouts.set(units, layout);
  }
  return layout;
}

const CLOSED: States = { bay: ['closed'] };
const OPEN: States = { bay: ['open'] };
const TILTED: States = { bay: ['tilted'] };

/** What the place asks beside the check: an engine bay is open or its cab tilted, and shut behind whoever leaves it. */
export function statesOfPlace(zone: RigZone | undefined, { units }: Pick<Rig, 'units'>): States {
  if (zone?.round !== 'engine-bay') return CLOSED;
  const module = units.find(({ unit }) => unit.id === zone.unit.id)?.module;
  return module?.opens === 'cab' ? TILTED : OPEN;
}

/** Everything that a check wants of the vehicle where it is made. */
export function wantAt(
  rig: Rig,
  zone: RigZone | undefined,
  requirement: Requirement,
  unitId: string,
): LaidWant {
  return layWant(layoutOf(rig), requirement, unitId, statesOfPlace(zone, rig));
}
