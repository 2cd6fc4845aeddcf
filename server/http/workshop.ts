import { plainText, uuid } from '@nazar/core/inspection';
import { Router } from 'express';
import type { Knex } from 'knex';
import { number, object } from 'yup';
import { inOrganisation } from '../store/connection';
import { countOpenDefects, listOpenDefects } from '../store/defects';
import { personOf } from './authenticate';
import { Problem } from './problems';

const querySchema = object({
  limit: number().integer().min(1).max(200).default(50),
  rank: number().integer().min(0).max(3),
  reportedAt: plainText(40),
  id: uuid(),
}).noUnknown();

/**
 * GET /defects?limit&rank&reportedAt&id → {defects, counts, more}: open defects of the own
 * depot, worst first, then oldest; the last row of a page is the cursor of the next. Mechanics and supervisors only (403).
 */
export function workshopRouter(db: Knex): Router {
  const router = Router();
  router.get('/defects', async (request, response) => {
    const person = personOf(request);
    if (person.role === 'driver')
      throw new Problem(
        403,
        'workshop-only',
        'This list is for the workshop. Your own units are on Today.',
      );
    const query = await querySchema.validate(request.query);
    const { rank, reportedAt, id, limit } = query;
    const cursor =
      rank !== undefined && reportedAt !== undefined && id !== undefined
        ? { gradeRank: rank, reportedAt, id }
        : undefined;
    const answer = await inOrganisation(db, person.organisationId, async (trx) => ({
      defects: await listOpenDefects(trx, person.depotId, limit + 1, cursor),
      counts: cursor ? undefined : await countOpenDefects(trx, person.depotId),
    }));
    response.set('Cache-Control', 'no-store').json({
      defects: answer.defects.slice(0, limit),
      counts: answer.counts,
      more: answer.defects.length > limit,
    });
  });
  return router;
}
