import type { Catalogue, Module, Mount } from '../catalogue';
import { Refusal } from '../words';
import type { Unit } from './unit';
import { moduleOfUnit, mountFor } from './fit';

export interface PlacedUnit {
  readonly unit: Unit;
  /** Chassis or attachment with all that is fitted to it. */
  readonly module: Module;
  /** Metres from the rig's front to this unit's front. */
  readonly offset: number;
  /** Metres to the driver's right; other than 0 only for what is mounted at a side. */
  readonly aside: number;
  /** Metres above the ground: more than 0 for what stands on a deck. */
  readonly lift: number;
  /** Another unit is coupled behind this one. */
  readonly followed: boolean;
  /** It rolls on its own wheels behind another, or is carried by one that does: its road is the rig's towing. */
  readonly towed: boolean;
  /** The unit that carries it; undefined for what rolls on its own wheels. */
  readonly hostId?: string;
}

interface Standing {
  readonly unit: Unit;
  readonly module: Module;
  readonly offset: number;
  readonly aside: number;
  readonly lift: number;
  readonly towed: boolean;
  readonly hostId?: string;
  readonly taken: Mount[];
}

/**
 * Sets each unit where it belongs: behind the one before it, joint to joint, or on the nearest unit before it that
 * has a free mount for it.
 * @throws {Refusal} naming the unit and what does not fit
 */
export function placeUnits(units: readonly Unit[], catalogue: Catalogue): PlacedUnit[] {
  if (units.length === 0) throw new Refusal({ code: 'rig-empty' });
  if (new Set(units.map((unit) => unit.id)).size !== units.length)
    throw new Refusal({ code: 'unit-twice' });
  const standing: Standing[] = [];
  for (const unit of units) {
    const module = moduleOfUnit(unit, catalogue);
    standing.push(
      standing.length === 0
        ? first(unit, module)
        : module.build === 'attachment'
          ? mount(unit, module, standing)
          : couple(unit, module, standing),
    );
  }
  const last = standing.findLast(({ hostId }) => hostId === undefined);
  // What is mounted in front of a bumper lengthens the rig forward: its nose becomes the front.
  const nose = Math.min(...standing.map(({ offset }) => offset));
  return standing.map(({ taken: _taken, ...each }) => ({
    ...each,
    offset: each.offset - nose,
    followed: each.hostId === undefined && each.unit !== last?.unit,
  }));
}

function first(unit: Unit, module: Module): Standing {
  if (!module.powered) throw new Refusal({ code: 'front-cannot-drive', unit: unit.number });
  return { unit, module, offset: 0, aside: 0, lift: 0, towed: false, taken: [] };
}

function couple(unit: Unit, module: Module, standing: readonly Standing[]): Standing {
  if (module.powered) throw new Refusal({ code: 'driven-not-towed', unit: unit.number });
  const before = standing.findLast(({ hostId }) => hostId === undefined) ?? standing[0];
  const hook = before.module.joints.rear;
  const eye = module.joints.front;
  if (!hook) throw new Refusal({ code: 'nothing-to-couple-to', unit: before.unit.number });
  if (eye?.sort !== hook.sort)
    throw new Refusal({ code: 'coupling-differs', unit: unit.number, hook: hook.sort });
  requireSupplies(unit, module, before);
  return {
    unit,
    module,
    offset: before.offset + hook.x - eye.x,
    aside: 0,
    lift: 0,
    towed: true,
    taken: [],
  };
}

function mount(unit: Unit, module: Module, standing: readonly Standing[]): Standing {
  const host = standing.findLast((each) => mountFor(each.module, module, each.taken));
  const at = host && mountFor(host.module, module, host.taken);
  if (!host || !at)
    throw new Refusal({ code: 'no-free-mount', unit: unit.number, part: module.title });
  requireSupplies(unit, module, host);
  host.taken.push(at);
  return {
    unit,
    module,
    offset: host.offset + at.x - (module.mountsOn?.x ?? 0),
    aside: host.aside + (at.y ?? 0) - (module.mountsOn?.y ?? 0),
    lift: host.lift + (at.z ?? 0),
    towed: host.towed,
    hostId: host.unit.id,
    taken: [],
  };
}

function requireSupplies(unit: Unit, module: Module, from: Standing): void {
  const has = new Set([...module.gives, ...from.module.gives]);
  const lacking = module.requires.filter((each) => !has.has(each));
  if (lacking.length > 0)
    throw new Refusal({
      code: 'lacks-supplies',
      unit: unit.number,
      other: from.unit.number,
      supplies: lacking,
    });
}
