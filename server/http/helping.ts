import { fold, helperCode, permitEvent, readCode, type AnyEvent } from '@nazar/core/inspection';
import { Router } from 'express';
import type { Knex } from 'knex';
import { object, string } from 'yup';
import { inOrganisation } from '../store/connection';
import { listOpenWalks, openInspection } from '../store/open-inspection';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { limitRate } from './rate-limits';

const schema = object({ code: string().required().max(20) }).noUnknown();

/**
 * POST /helping {code} → {inspectionId, driver, events}: the walk of the own depot that is under way with this code, for the
 * phone of a helper; joining is an entry of its own (`joined`). 404 no-such-walk, 409 own-walk, helper-there. Few tries a minute.
 */
export function helpingRouter(db: Knex): Router {
  const router = Router();
  router.post('/helping', limitRate(db, 'helping', 20), async (request, response) => {
    const person = personOf(request);
    const { code } = await schema.validate(request.body, { strict: true });
    const wanted = readCode(code);
    const walks = await inOrganisation(db, person.organisationId, (trx) =>
      listOpenWalks(trx, person.depotId),
    );
    const walk = walks.find(({ id }) => helperCode(id) === wanted);
    if (!walk)
      throw new Problem(
        404,
        'no-such-walk',
        'No walk with this code is under way here. Have the driver read it out again, and see that the walk is saved.',
      );
    if (walk.driverId === person.id)
      throw new Problem(
        409,
        'own-walk',
        'This is your own walk. The helper signs in as themselves.',
      );
    const { log } = await db.transaction((trx) =>
      openInspection(trx, person.organisationId, walk.id),
    );
    const inspection = fold(walk.id, log);
    const { helper } = inspection.course;
    const back = helper?.phone === true && helper.actorId === person.id;
    if (!back && permitEvent(inspection, joinedBy(person.name)) === 'helper-there')
      throw new Problem(
        409,
        'helper-there',
        `${helper?.name ?? ''} helps on this walk already. They must leave before somebody else comes.`,
      );
    response
      .set('Cache-Control', 'no-store')
      .json({ inspectionId: walk.id, driver: walk.driver, back, events: log });
  });
  return router;
}

/** As the entry of somebody who comes, to ask whether it would be permitted. */
function joinedBy(name: string) {
  const payload = { name, phone: true };
  return { type: 'joined', payload } as AnyEvent & { type: 'joined'; payload: typeof payload };
}
