import type { Catalogue } from '@nazar/core/catalogue';
import {
  composeRig,
  findModuleOfUnit,
  type CheckInstance,
  type Rig,
  type Unit,
} from '@nazar/core/rig';

/** One unit as a drawing of its own; a towed one stands without a truck, with the places of its checks. */
export function unitAlone(unit: Unit, catalogue: Catalogue): Rig | undefined {
  const module = findModuleOfUnit(unit, catalogue);
  if (!module) return undefined;
  if (module.powered)
    return composeRig({ units: [unit], phase: 'pre-trip', circumstances: [], catalogue });
  const instances = module.checks.flatMap((check): CheckInstance[] => {
    const places = check.each
      ? module.places.filter(({ sorts }) => sorts.includes(check.each as string))
      : [undefined];
    const zone = module.zones.find(({ id }) => id === check.zone);
    return places.map((place) => ({
      key: place ? `${unit.id}/${check.id}/${place.id}` : `${unit.id}/${check.id}`,
      unit,
      check,
      place,
      figures: unit.specification,
      zoneKey: `${unit.id}/${check.zone}`,
      x: place?.x ?? Math.min(Math.max(zone?.x ?? 0, 0), module.length),
      y: place?.y ?? 0,
    }));
  });
  return {
    units: [{ unit, module, offset: 0, aside: 0, lift: 0, followed: false, towed: true }],
    length: module.length,
    width: module.width,
    height: module.height,
    towing: false,
    combinationAir: false,
    zones: [],
    instances,
    barred: [],
    capabilities: [],
  };
}
