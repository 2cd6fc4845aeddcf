import { type Module, type Phase } from '../catalogue';
import { catalogue } from '../content';
import { composeRig, type Rig, type Unit } from '../rig';

let number = 0;
const unit = (module: Module, fitted: readonly string[] = []): Unit => ({
  id: `every-${(number += 1)}`,
  number: String(number),
  title: module.title,
  plate: '',
  moduleId: module.id,
  fitted,
  specification: {},
});

/** What stands between a chassis and what is fitted to it: the drive of its pump, or the body that it sits in. */
const BETWEEN = [[], ['power-take-off'], ['power-take-off', 'dump-body'], ['platform-body']];

/** So many different hosts of each module are enough to see it with and without air, with a hood and with a cab that tilts. */
const HOSTS = 3;

export interface NamedUnits {
  readonly title: string;
  readonly units: readonly Unit[];
}

/** Every module of the catalogue in rigs that it can be part of: by itself, on what carries it, behind what tows it. */
export function rigsOfEveryModule(): { readonly module: string; readonly rigs: NamedUnits[] }[] {
  const { modules } = catalogue;
  const chassis = modules.filter(({ build }) => build === 'chassis');
  const driven = chassis.filter(({ powered }) => powered);
  return modules.map((module) => {
    const candidates: Unit[][] = [];
    if (module.build === 'fitted')
      for (const host of chassis)
        for (const between of BETWEEN) candidates.push([unit(host, [...between, module.id])]);
    else if (module.build === 'attachment') {
      for (const host of driven)
        for (const between of BETWEEN) candidates.push([unit(host, between), unit(module)]);
      for (const trailer of chassis.filter(({ powered }) => !powered))
        for (const host of driven) candidates.push([unit(host), unit(trailer), unit(module)]);
    } else {
      candidates.push([unit(module)]);
      if (!module.powered) for (const host of driven) candidates.push([unit(host), unit(module)]);
    }
    const hosts = new Set<string>();
    const rigs = candidates.flatMap((units) => {
      const host = units[0].moduleId;
      if (hosts.has(host) || hosts.size === HOSTS || !makesARig(units)) return [];
      hosts.add(host);
      const title = units.flatMap(({ moduleId, fitted = [] }) => [moduleId, ...fitted]).join(' + ');
      return [{ title, units }];
    });
    return { module: module.id, rigs };
  });
}

/** As {@link composeRig}, by the catalogue that ships. */
export const rigOfUnits = (units: readonly Unit[], phase: Phase): Rig =>
  composeRig({ units, phase, circumstances: [], catalogue });

function makesARig(units: readonly Unit[]): boolean {
  try {
    rigOfUnits(units, 'pre-trip');
    return true;
  } catch (error) {
    if (error instanceof RangeError) return false;
    throw error;
  }
}
