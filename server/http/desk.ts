import { fold } from '@nazar/core/inspection';
import { uuid } from '@nazar/core/validation';
import { Router } from 'express';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { deskWalks, paceOfDepot } from '../store/desk';
import { listJobs } from '../store/jobs';
import { openInspection } from '../store/open-inspection';
import { listOutings } from '../store/outings';
import { listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';

/**
 * GET /desk → {walks, outings, jobs, pace}: signed walks of the last day and a half, what is out, what is planned, and the
 * share of stops that were faster than they can be walked {stops, hasty, places}, of the own depot. GET /inspections/:id/events → {events}: the log of a walk of the own depot, for looking at it on another device; 404
 * otherwise. Supervisors and mechanics read every walk, a driver the own and
 * the one they help on.
 */
export function deskRouter(db: Knex): Router {
  const router = Router();

  router.get('/desk', async (request, response) => {
    const person = personOf(request);
    if (person.role === 'driver')
      throw new Problem(403, 'supervisors-only', 'The desk is for supervisors.');
    const answer = await inOrganisation(db, person.organisationId, async (trx) => {
      const units = await listUnits(trx, person.depotId);
      return {
        walks: await deskWalks(trx, person.depotId),
        outings: await listOutings(
          trx,
          units.map(({ id }) => id),
        ),
        jobs: await listJobs(trx, person.depotId),
        pace: await paceOfDepot(trx, person.depotId),
      };
    });
    response.set('Cache-Control', 'no-store').json(answer);
  });

  router.get('/inspections/:id/events', async (request, response) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const { log, units } = await db.transaction((trx) =>
      openInspection(trx, person.organisationId, id, []),
    );
    const begun = log.find((event) => event.type === 'begun');
    const own = begun?.actorId === person.id;
    const helper = fold(id, log).course.helper;
    const helps = helper?.phone === true && helper.actorId === person.id;
    const ofDepot = units.length > 0 && units.every((unit) => unit.depotId === person.depotId);
    if (!begun || !ofDepot || (person.role === 'driver' && !own && !helps))
      throw new Problem(404, 'not-found', 'This walk is not here.');
    response.set('Cache-Control', 'no-store').json({ events: log });
  });

  return router;
}
