import { fold } from '@nazar/core/inspection';
import { uuid } from '@nazar/core/fields';
import type { Desk } from '@nazar/core/wire';
import { Router } from 'express';
import type { Knex } from 'knex';
import { number, object } from 'yup';
import { inOrganisation } from '../store/connection';
import { deskWalks, paceOfDepot } from '../store/desk';
import { listJobs } from '../store/jobs';
import { listOutings } from '../store/outings';
import { readArrivals } from '../store/read-log';
import { forgetSetAside, listSetAside } from '../store/set-aside';
import { findUnits, listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';

const arrivalSchema = object({
  after: number().integer().min(0).max(Number.MAX_SAFE_INTEGER).default(0),
});

/**
 * GET /desk → {walks, outings, jobs, pace, setAside}: signed walks of the last day and a half, what is out, what is planned, the
 * share of stops that were faster than they can be walked {stops, hasty, places}, and entries that could not be taken in, of the own
 * depot. DELETE /set-aside/:id → 204: a supervisor has looked after one; 404 otherwise. GET /inspections/:id/events?after=N → {events, cursor}: the log of a walk of the own depot, for looking at it on another device, or
 * only what came in behind the cursor of the last answer; 404 otherwise. Supervisors and mechanics read every walk, a driver the own and
 * the one they help on.
 */
export function deskRouter(db: Knex): Router {
  const router = Router();

  router.get('/desk', async (request, response) => {
    const person = personOf(request);
    if (person.role === 'driver')
      throw new Problem(403, 'supervisors-only', 'The desk is for supervisors.');
    const answer: Desk = await inOrganisation(db, person.organisationId, async (trx) => {
      const units = await listUnits(trx, person.depotId);
      return {
        walks: await deskWalks(trx, person.depotId),
        outings: await listOutings(
          trx,
          units.map(({ id }) => id),
        ),
        jobs: await listJobs(trx, person.depotId),
        pace: await paceOfDepot(trx, person.depotId),
        setAside: await listSetAside(trx, person.depotId),
      };
    });
    response.set('Cache-Control', 'no-store').json(answer);
  });

  router.delete('/set-aside/:id', async (request, response) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    if (person.role !== 'supervisor')
      throw new Problem(403, 'supervisors-only', 'Only a supervisor does this.');
    const forgotten = await inOrganisation(db, person.organisationId, (trx) =>
      forgetSetAside(trx, person.depotId, id),
    );
    if (!forgotten) throw new Problem(404, 'not-found', 'This entry is not here any more.');
    response.status(204).end();
  });

  router.get('/inspections/:id/events', async (request, response) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const { after } = await arrivalSchema.validate(request.query);
    const answer = await inOrganisation(db, person.organisationId, async (trx) => {
      const { events } = await readArrivals(trx, id, 0, ['begun', 'joined', 'parted']);
      const { begun, course } = fold(id, events);
      if (!begun) return undefined;
      const isOwn = begun.actorId === person.id;
      const helps = course.helper?.phone === true && course.helper.actorId === person.id;
      const units = await findUnits(trx, begun.unitIds);
      const ofDepot = units.length > 0 && units.every(({ depotId }) => depotId === person.depotId);
      if (!ofDepot || (person.role === 'driver' && !isOwn && !helps)) return undefined;
      return readArrivals(trx, id, after);
    });
    if (!answer) throw new Problem(404, 'not-found', 'This walk is not here.');
    response.set('Cache-Control', 'no-store').json(answer);
  });

  return router;
}
