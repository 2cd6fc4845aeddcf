import { findModuleOfUnit } from '@nazar/core/rig';
import { catalogue } from '@nazar/core/content';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { insertJob } from '../store/jobs';
import { insertServiceDone, odometersOf } from '../store/services';
import type { Chance } from './chance';
import { demoId, organisation, people, unitByNumber, units } from './world';

const DAY = 86_400_000;

/** Work planned for tonight and tomorrow, by unit numbers. */
const JOBS = [
  { title: 'Sand to the hill road', numbers: ['214', '931'], needs: ['tow'], inHours: 6 },
  { title: 'Sign posts, north shore', numbers: ['223'], needs: [], inHours: 9 },
  { title: 'Deliveries, west side', numbers: ['305', '941'], needs: ['tow'], inHours: 7 },
  { title: 'Pallets to the ferry', numbers: ['307'], needs: [], inHours: 26 },
] as const;

/** Services done in the past months, and the jobs of tonight. Run after the walks, whose odometers it reads. */
export async function seedUpkeep(db: Knex, now: Date, chance: Chance): Promise<void> {
  await inOrganisation(db, organisation.id, async (trx) => {
    const odometers = await odometersOf(
      trx,
      units.map(({ id }) => id),
    );
    for (const unit of units) {
      const mechanic = people.find(
        ({ role, depotId }) => role === 'mechanic' && depotId === unit.depotId,
      );
      const module = findModuleOfUnit(unit, catalogue);
      for (const service of module?.services ?? []) {
        if (!mechanic || ('hours' in service.every && chance.share() < 0.5)) continue;
        const usual = 'days' in service.every ? service.every.days : 60;
        const ago = usual * chance.about(0.6, 0.25);
        const at = now.getTime() - Math.max(0.2, ago) * DAY;
        const readings = odometers.get(unit.id) ?? [];
        const then = readings.findLast((reading) => reading.at <= at) ?? readings[0];
        await insertServiceDone(trx, {
          id: demoId(`service ${unit.number} ${service.id}`),
          organisationId: organisation.id,
          unitId: unit.id,
          serviceId: service.id,
          at: new Date(at).toISOString(),
          metres: then && Math.max(0, then.value - chance.whole(0, 6000) * 1000),
          words: chance.pick([
            'Done by the list.',
            'Done, nothing found.',
            'Done, filters changed.',
          ]),
          byId: mechanic.id,
        });
      }
    }
    for (const job of JOBS) {
      const ofJob = job.numbers.map(unitByNumber);
      const planner = people.find(
        ({ role, depotId }) => role === 'supervisor' && depotId === ofJob[0].depotId,
      );
      if (planner)
        await insertJob(
          trx,
          {
            organisationId: organisation.id,
            depotId: planner.depotId,
            personId: planner.id,
          },
          {
            id: demoId(`job ${job.title}`),
            title: job.title,
            needs: job.needs,
            unitIds: ofJob.map(({ id }) => id),
            startsAt: new Date(now.getTime() + job.inHours * 3_600_000).toISOString(),
          },
        );
    }
  });
}
