import { roadWeatherAt } from '@nazar/core/simulate';
import { Router } from 'express';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { personOf } from './authenticate';

const TEN_MINUTES = 600_000;

/**
 * GET /conditions → what the road weather station of the own depot reports: {station, at, airC, surfaceC (°C), precipitation,
 * wetPavement, dark, wind (m/s), simulated: true}. The station is a stand-in that ships with Nazar and says so; its
 * reports come every ten minutes.
 */
export function conditionsRouter(db: Knex): Router {
  const router = Router();
  router.get('/conditions', async (request, response) => {
    const person = personOf(request);
    const depot = await inOrganisation(db, person.organisationId, (trx) =>
      trx('depots').where({ id: person.depotId }).first('name'),
    );
    const at = Math.floor(Date.now() / TEN_MINUTES) * TEN_MINUTES;
    response.set('Cache-Control', 'no-store').json(roadWeatherAt(depot.name as string, at));
  });
  return router;
}
