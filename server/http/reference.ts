import { Router } from 'express';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import { readReference } from '../store/reference';
import { personOf } from './authenticate';

/**
 * GET /reference → everything a driver's phone needs to walk without a network: depot,
 * units, usual rigs, open defects, repairs to read, last readings, last reports, keys.
 */
export function referenceRouter(db: Knex): Router {
  const router = Router();
  router.get('/reference', async (request, response) => {
    const person = personOf(request);
    const reference = await inOrganisation(db, person.organisationId, (trx) =>
      readReference(trx, person),
    );
    response.set('Cache-Control', 'no-store').json(reference);
  });
  return router;
}
