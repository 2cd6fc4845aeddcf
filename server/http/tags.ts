import { catalogue } from '@nazar/core/content';
import { findModuleOfUnit } from '@nazar/core/rig';
import { plainText, uuid } from '@nazar/core/fields';
import type { StopTag } from '@nazar/core/wire';
import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { boolean, object } from 'yup';
import { renderTags } from '../report/pdf/render-tags';
import { inOrganisation } from '../store/connection';
import { changeTag, ensureTags, listTags } from '../store/tags';
import { listUnits, type DepotUnit } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { supervisorOf } from './supervisors';

const schema = object({ required: boolean(), renew: boolean() }).noUnknown();

/**
 * Tags of a unit of the own depot, one for each stop, made when they are first asked for.
 * GET /units/:id/tags → {tags: [{unitId, zoneId, title, code, required, phases}]}. GET /units/:id/tags.pdf → the sheet to print and
 * cut. PUT /units/:id/tags/:zone {required?, renew?} → 204: must it be read on every walk; a new code for one that was lost;
 * supervisors. 404 for a unit of another depot or a stop it does not have.
 */
export function tagsRouter(db: Knex): Router {
  const router = Router();

  const load = async (trx: Knex, request: Request) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const unit = (await listUnits(trx, person.depotId)).find((each) => each.id === id);
    if (!unit) throw new Problem(404, 'not-found', 'This unit is not of your depot.');
    return { unit, tags: await tagsOf(trx, person.organisationId, unit) };
  };

  router.get('/units/:id/tags', async (request, response) => {
    const { tags } = await inOrganisation(db, personOf(request).organisationId, (trx) =>
      load(trx, request),
    );
    response.set('Cache-Control', 'no-store').json({ tags } satisfies { tags: readonly StopTag[] });
  });

  router.get('/units/:id/tags.pdf', async (request, response) => {
    const { organisationId } = personOf(request);
    const { unit, tags } = await inOrganisation(db, organisationId, (trx) => load(trx, request));
    const pdf = await renderTags({ unit, tags });
    response
      .set('Content-Disposition', `inline; filename="tags-${unit.number.replace(/\W/g, '')}.pdf"`)
      .type('application/pdf')
      .send(pdf);
  });

  router.put('/units/:id/tags/:zone', async (request, response) => {
    const { organisationId } = supervisorOf(request);
    const change = await schema.validate(request.body, { strict: true });
    const zoneId = await plainText(60).required().validate(request.params.zone);
    await inOrganisation(db, organisationId, async (trx) => {
      const { unit } = await load(trx, request);
      if (!(await changeTag(trx, unit.id, zoneId, change)))
        throw new Problem(404, 'not-found', 'This unit has no such stop.');
    });
    response.status(204).end();
  });

  return router;
}

async function tagsOf(trx: Knex, organisationId: string, unit: DepotUnit): Promise<StopTag[]> {
  const zones = findModuleOfUnit(unit, catalogue)?.zones ?? [];
  await ensureTags(
    trx,
    organisationId,
    zones.map(({ id }) => ({ unitId: unit.id, zoneId: id })),
  );
  const tags = await listTags(trx, [unit.id]);
  return zones.flatMap(({ id, title, tagged }) => {
    const tag = tags.find(({ zoneId }) => zoneId === id);
    return tag ? [{ ...tag, title, phases: tagged ?? [] }] : [];
  });
}
