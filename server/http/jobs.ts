import { CAPABILITIES, type Capability } from '@nazar/core/catalogue';
import { plainText, rigUnits, uuid } from '@nazar/core/fields';
import { Router } from 'express';
import type { Knex } from 'knex';
import { v4 as newId } from 'uuid';
import { array, object, string } from 'yup';
import { inOrganisation } from '../store/connection';
import { cancelJob, insertJob, listJobs } from '../store/jobs';
import { listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { supervisorOf } from './supervisors';

const DAY = 86_400_000;

const jobSchema = object({
  title: plainText(80).required().min(2),
  needs: array(
    string()
      .oneOf([...CAPABILITIES])
      .required(),
  ).required(),
  unitIds: rigUnits(),
  startsAt: string()
    .required()
    .test('time', '${path} is no time', (value) => !Number.isNaN(Date.parse(value))),
}).noUnknown();

/**
 * Planned work of the own depot. GET /jobs → {jobs}: from twelve hours ago on, soonest first.
 * POST /jobs {title, needs, unitIds, startsAt} → 201 {id}; 422 not-your-units, 422 not-in-time. DELETE /jobs/:id → 204.
 * Planning is for supervisors (403).
 */
export function jobsRouter(db: Knex): Router {
  const router = Router();

  router.get('/jobs', async (request, response) => {
    const person = personOf(request);
    const jobs = await inOrganisation(db, person.organisationId, (trx) =>
      listJobs(trx, person.depotId),
    );
    response.set('Cache-Control', 'no-store').json({ jobs });
  });

  router.post('/jobs', async (request, response) => {
    const person = supervisorOf(request);
    const job = await jobSchema.validate(request.body, { strict: true });
    const away = Date.parse(job.startsAt) - Date.now();
    if (away < -DAY / 2 || away > 60 * DAY)
      throw new Problem(422, 'not-in-time', 'Plan a job between now and sixty days ahead.');
    const id = newId();
    await inOrganisation(db, person.organisationId, async (trx) => {
      const units = await listUnits(trx, person.depotId);
      if (job.unitIds.some((unitId) => !units.some((unit) => unit.id === unitId)))
        throw new Problem(422, 'not-your-units', 'A unit of this job is not of your depot.');
      await insertJob(
        trx,
        { organisationId: person.organisationId, depotId: person.depotId, personId: person.id },
        { id, ...job, needs: job.needs as Capability[] },
      );
    });
    response.status(201).json({ id });
  });

  router.delete('/jobs/:id', async (request, response) => {
    const person = supervisorOf(request);
    const id = await uuid().required().validate(request.params.id);
    const cancelled = await inOrganisation(db, person.organisationId, (trx) =>
      cancelJob(trx, person.depotId, id),
    );
    if (!cancelled) throw new Problem(404, 'not-found', 'There is no such job.');
    response.status(204).end();
  });

  return router;
}
