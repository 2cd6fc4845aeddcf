import type { Catalogue, Module, Mount } from '../catalogue';
import { adaptToUnit, isAdapted } from '../depot-content';
import { Refusal } from '../words';
import { byCard, shapeOfCard } from './by-card';
import type { Unit } from './unit';

/** Modules already joined, by the catalogue they come from. */
const joined = new WeakMap<Catalogue, Map<string, Module>>();

/**
 * What a unit is made of: its chassis (or attachment) with everything that is fitted to it, as one module.
 * What is fitted sits on its mount; a zone of the same name as one of the chassis is that zone.
 * @throws {Refusal} naming the unit and what does not fit
 */
export function moduleOfUnit(unit: Unit, catalogue: Catalogue): Module {
  const fitted = unit.fitted ?? [];
  const own = isAdapted(unit.id, catalogue);
  const shape = shapeOfCard(unit.card);
  const name = [unit.moduleId, ...fitted, ...(own ? [unit.id] : []), ...shape].join('+');
  let kept = joined.get(catalogue);
  if (!kept) joined.set(catalogue, (kept = new Map()));
  const known = kept.get(name);
  if (known) return known;
  const find = (id: string) => {
    const found = catalogue.modules.find((each) => each.id === id);
    if (!found) throw new Refusal({ code: 'no-module', unit: unit.number });
    return found;
  };
  const chassis = byCard(find(unit.moduleId), unit.card);
  if (chassis.build === 'fitted')
    throw new Refusal({ code: 'fitted-is-no-vehicle', unit: unit.number, part: chassis.title });
  const joint = fitted.reduce((host, id) => fit(host, find(id), unit), chassis);
  const module = own ? adaptToUnit(joint, unit.id, catalogue) : joint;
  // What is towed or mounted finds it on the unit that it is joined to.
  const missing = module.requires.filter((each) => !module.gives.includes(each));
  if (chassis.powered && missing.length > 0)
    throw new Refusal({ code: 'lacks-own-supplies', unit: unit.number, supplies: missing });
  kept.set(name, module);
  return module;
}

/** As {@link moduleOfUnit}; undefined when the unit's equipment is none of this catalogue's or does not fit. */
export function findModuleOfUnit(unit: Unit, catalogue: Catalogue): Module | undefined {
  try {
    return moduleOfUnit(unit, catalogue);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}

function fit(host: Module, part: Module, unit: Unit): Module {
  if (part.build !== 'fitted')
    throw new Refusal({ code: 'has-own-number', unit: unit.number, part: part.title });
  const at = mountFor(host, part);
  if (!at)
    throw new Refusal({
      code: 'no-place-for',
      unit: unit.number,
      part: part.title,
      chassis: host.title,
    });
  const dx = at.x - (part.mountsOn?.x ?? 0);
  const dy = (at.y ?? 0) - (part.mountsOn?.y ?? 0);
  const own = new Set(host.zones.map(({ id }) => id));
  const move = <T extends { readonly x: number; readonly y: number }>(each: T): T => ({
    ...each,
    x: each.x + dx,
    y: each.y + dy,
  });
  return {
    ...host,
    length: Math.max(host.length, part.length + dx),
    width: Math.max(host.width, part.width),
    height: Math.max(host.height, part.height),
    capabilities: [...new Set([...host.capabilities, ...part.capabilities])],
    mounts: [
      ...host.mounts.filter((mount) => mount !== at),
      ...part.mounts.map((mount) => ({ ...mount, x: mount.x + dx })),
    ],
    gives: [...new Set([...host.gives, ...part.gives])],
    requires: [...new Set([...host.requires, ...part.requires])],
    specification: [...host.specification, ...part.specification],
    zones: [...host.zones, ...part.zones.filter(({ id }) => !own.has(id)).map(move)],
    places: [...host.places, ...part.places.map((each) => move(each))],
    shapes: [...host.shapes, ...part.shapes.map((each) => move(each))],
    checks: [...host.checks, ...part.checks],
    procedures: [
      ...host.procedures,
      ...part.procedures.map((each) => ({ ...each, clear: move(each.clear) })),
    ],
    contents: [...host.contents, ...part.contents],
    combinations: [...host.combinations, ...part.combinations],
    services: [...host.services, ...part.services],
    parts: [...(host.parts ?? []), part.id],
    switchedOff: [...(host.switchedOff ?? []), ...(part.switchedOff ?? [])],
  };
}

/** The free mount that a part goes on; undefined when there is none of its sort. */
export function mountFor(host: Module, part: Module, taken: readonly Mount[] = []) {
  return host.mounts.find((mount) => mount.sort === part.mountsOn?.sort && !taken.includes(mount));
}
