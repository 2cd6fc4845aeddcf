import { isWhole, sortsOfWheels, wheelPlaces, wheelShapes, wheelStops } from '../card';
import type { Card, Module, Place, RunningGear, Tank } from '../catalogue';

/** What of a card decides which places a unit has: units with the same share one module. */
export function shapeOfCard(card: Card | undefined): string[] {
  const { axles, tanks } = card ?? {};
  return [...(axles ? [JSON.stringify(axles)] : []), ...(tanks ? [JSON.stringify(tanks)] : [])];
}

/**
 * The module as this unit is: wheels, stops and drawing by the axles of its card, a place for each of its tanks. Of a card that cannot be
 * right nothing is taken; `findMisfits` says what is wrong with it.
 */
export function byCard(module: Module, card: Card | undefined): Module {
  if (!card) return module;
  const { axles, tanks } = card;
  const withTanks =
    tanks && isWhole({ tanks }, module)
      ? { ...module, places: withTankPlaces(module, tanks) }
      : module;
  return axles && module.runningGear && isWhole({ axles }, module)
    ? withAxles(withTanks, { ...module.runningGear, axles })
    : withTanks;
}

function withAxles(module: Module, gear: RunningGear): Module {
  const stops = wheelStops(gear);
  const at = new Map(wheelPlaces(gear).map((place) => [place.id, place]));
  const former = module.places.filter(({ axle }) => axle !== undefined);
  // What stands at a wheel for another reason too keeps its sorts.
  const wheels = new Set(sortsOfWheels(gear));
  const further = new Map(
    former.map(({ id, sorts }) => [id, sorts.filter((sort) => !wheels.has(sort))]),
  );
  return {
    ...module,
    runningGear: gear,
    zones: module.zones.map((zone) => ({ ...zone, x: stops.get(zone.id) ?? zone.x })),
    places: [
      ...[...at.values()].map((place) => ({
        ...place,
        sorts: [...place.sorts, ...(further.get(place.id) ?? [])],
      })),
      ...module.places.filter(({ axle }) => axle === undefined),
    ],
    shapes: [...module.shapes.filter(({ role }) => role !== 'wheel'), ...wheelShapes(gear)],
  };
}

/** A place for each tank, of the sort of what it holds. */
function withTankPlaces({ places, zones, width }: Module, tanks: readonly Tank[]): Place[] {
  const stop = (side: Tank['side']) => {
    const id = side === 'driver' ? 'driver-side' : 'curb-side';
    const towed = side === 'driver' ? 'driver-wheels' : 'curb-wheels';
    return zones.some((zone) => zone.id === id) ? id : towed;
  };
  const sorts = new Set(tanks.map(({ holds }) => `${holds}-tank`));
  return [
    ...places.filter((place) => !place.sorts.some((sort) => sorts.has(sort))),
    ...tanks.map(({ id, title, holds, at, side }) => ({
      id: `tank-${id}`,
      title,
      sorts: [`${holds}-tank`],
      zone: stop(side),
      x: at,
      y: (side === 'driver' ? -1 : 1) * (width / 2 - 0.2),
    })),
  ];
}
