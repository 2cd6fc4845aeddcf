import { findModuleOfUnit } from '@nazar/core/rig';
import { type Service } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { serviceDue, type ServiceDue } from '@nazar/core/trend';
import type { Knex } from 'knex';
import { lastServices, odometersOf } from '../store/services';
import type { DepotUnit } from '../store/units';

export interface UnitService {
  readonly unitId: string;
  readonly service: Service;
  readonly due: ServiceDue;
  readonly last?: {
    readonly at: string;
    readonly words: string;
    readonly by: string;
    readonly metres?: number;
  };
}

/** Every service of these units with when it is due next, from calendar and use. */
export async function servicesOf(
  trx: Knex,
  units: readonly DepotUnit[],
  now: Date,
): Promise<UnitService[]> {
  const ids = units.map(({ id }) => id);
  const last = await lastServices(trx, ids);
  const odometers = await odometersOf(trx, ids);
  return units.flatMap((unit) => {
    const module = findModuleOfUnit(unit, catalogue);
    return (module?.services ?? []).map((service): UnitService => {
      const done = last.get(`${unit.id}/${service.id}`);
      return {
        unitId: unit.id,
        service,
        due: serviceDue({
          service,
          last: done,
          odometer: odometers.get(unit.id) ?? [],
          // No unit of this world has an hour meter that walks read yet.
          hours: [],
          now: now.getTime(),
        }),
        ...(done && {
          last: {
            at: new Date(done.at).toISOString(),
            words: done.words,
            by: done.by,
            metres: done.odometer,
          },
        }),
      };
    });
  });
}
