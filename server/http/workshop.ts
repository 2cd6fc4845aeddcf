import { plainText, uuid } from '@nazar/core/fields';
import type { DefectFile, DefectPage } from '@nazar/core/wire';
import { Router } from 'express';
import type { Knex } from 'knex';
import { boolean, number, object } from 'yup';
import { inOrganisation } from '../store/connection';
import { stepsOfDefect } from '../store/defect-steps';
import { countOpenDefects, findDefect, listOpenDefects } from '../store/defects';
import { listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';

const querySchema = object({
  limit: number().integer().min(1).max(200).default(50),
  rank: number().integer().min(0).max(3),
  needed: boolean(),
  reportedAt: plainText(40),
  id: uuid(),
}).noUnknown();

function refuseDrivers(role: string): void {
  if (role === 'driver')
    throw new Problem(
      403,
      'workshop-only',
      'This list is for the workshop. Your own units are on Today.',
    );
}

/**
 * GET /defects?limit&rank&needed&reportedAt&id → {defects, counts, more}: what to mend first in the own depot: worst
 * grade, then needed by a job of the next day, then oldest; the last row of a page is the cursor of the next.
 * GET /defects/:id → {defect, steps, formerRepair}: its life so far and the repair that did not hold, if it is a return.
 * Mechanics and supervisors only (403); 404 when it is not of the own depot.
 */
export function workshopRouter(db: Knex): Router {
  const router = Router();
  router.get('/defects', async (request, response) => {
    const person = personOf(request);
    refuseDrivers(person.role);
    const query = await querySchema.validate(request.query);
    const { rank, needed, reportedAt, id, limit } = query;
    const cursor =
      rank !== undefined && reportedAt !== undefined && id !== undefined
        ? { gradeRank: rank, needed: needed ?? false, reportedAt, id }
        : undefined;
    const answer = await inOrganisation(db, person.organisationId, async (trx) => ({
      defects: await listOpenDefects(trx, person.depotId, limit + 1, cursor),
      counts: cursor ? undefined : await countOpenDefects(trx, person.depotId),
    }));
    response.set('Cache-Control', 'no-store').json({
      defects: answer.defects.slice(0, limit),
      counts: answer.counts,
      more: answer.defects.length > limit,
    } satisfies DefectPage);
  });

  router.get('/defects/:id', async (request, response) => {
    const person = personOf(request);
    refuseDrivers(person.role);
    const id = await uuid().required().validate(request.params.id);
    const answer = await inOrganisation<DefectFile | undefined>(
      db,
      person.organisationId,
      async (trx) => {
        const defect = await findDefect(trx, id);
        const units = await listUnits(trx, person.depotId);
        if (!defect || !units.some((unit) => unit.id === defect.unitId)) return undefined;
        const former = defect.returnOf ? await findDefect(trx, defect.returnOf) : undefined;
        return { defect, steps: await stepsOfDefect(trx, id), formerRepair: former ?? null };
      },
    );
    if (!answer) throw new Problem(404, 'not-found', 'This defect is not here.');
    response.set('Cache-Control', 'no-store').json(answer);
  });
  return router;
}
