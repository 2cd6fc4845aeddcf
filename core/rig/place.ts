import type { Catalogue, Module } from '../catalogue';
import type { Unit } from './compose';

export interface PlacedUnit {
  readonly unit: Unit;
  readonly module: Module;
  /** Metres from the rig's front to this unit's front. */
  readonly offset: number;
  readonly followed: boolean;
}

/** Sets each unit behind the one before it, joint to joint. Throws RangeError naming what does not fit. */
export function placeUnits(units: Unit[] | readonly Unit[], catalogue: Catalogue): PlacedUnit[] {
  if (units.length === 0) throw new RangeError('A rig needs at least one unit.');
  if (new Set(units.map((unit) => unit.id)).size !== units.length)
    throw new RangeError('The same unit stands twice in the rig.');
  const placed: PlacedUnit[] = [];
  let joint = 0;
  units.forEach((unit, index) => {
    const module = catalogue.modules.find((each) => each.id === unit.moduleId);
    if (!module) throw new RangeError(`Unit ${unit.number} has no equipment module here.`);
    if (index === 0 && !module.powered)
      throw new RangeError(`Unit ${unit.number} cannot drive by itself and stands in front.`);
    if (index > 0) {
      if (module.powered)
        throw new RangeError(`Unit ${unit.number} is driven, it cannot be towed.`);
      const before = placed[index - 1].module;
      const hook = before.joints.rear;
      const eye = module.joints.front;
      if (!hook) throw new RangeError(`Unit ${units[index - 1].number} has nothing to couple to.`);
      if (eye?.sort !== hook.sort)
        throw new RangeError(`Unit ${unit.number} does not fit the ${hook.sort} in front of it.`);
      joint = placed[index - 1].offset + hook.x - eye.x;
    }
    placed.push({
      unit,
      module,
      offset: joint,
      followed: index < units.length - 1,
    });
  });
  return placed;
}
