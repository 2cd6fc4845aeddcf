import { catalogue } from '@nazar/core/content';
import { composeRig, findMisfits } from '@nazar/core/rig';
import { Refusal, say } from '@nazar/core/words';
import { plainText, rigUnits, uuid } from '@nazar/core/fields';
import { Router } from 'express';
import type { Knex } from 'knex';
import { v4 as newId } from 'uuid';
import { object } from 'yup';
import { inOrganisation } from '../store/connection';
import { deleteRig, insertRig, insertRigChange, listRigs } from '../store/rigs';
import { listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';

const rigSchema = object({
  title: plainText(80).required().min(2),
  unitIds: rigUnits(),
}).noUnknown();

/**
 * Usual rigs of the own depot; anybody of the depot builds them, and takes them apart.
 * POST /rigs {title, unitIds} → 201 {id}, or 200 {id} of the same rig when it is there already; 422 not-your-units,
 * 422 no-rig with the reason why the units do not join or what their cards say against it. DELETE /rigs/:id → 204, 404.
 */
export function rigsRouter(db: Knex): Router {
  const router = Router();

  router.post('/rigs', async (request, response) => {
    const person = personOf(request);
    const { title, unitIds } = await rigSchema.validate(request.body, { strict: true });
    const by = { organisationId: person.organisationId, personId: person.id };
    const place = { organisationId: person.organisationId, depotId: person.depotId };
    const kept = await inOrganisation(db, person.organisationId, async (trx) => {
      const ofDepot = await listUnits(trx, person.depotId);
      const units = unitIds.flatMap((id) => ofDepot.find((unit) => unit.id === id) ?? []);
      if (units.length !== unitIds.length)
        throw new Problem(422, 'not-your-units', 'A unit of this rig is not of your depot.');
      try {
        const rig = composeRig({ units, phase: 'pre-trip', circumstances: [], catalogue });
        const { units_habit: habit } = await trx('organisations')
          .where({ id: person.organisationId })
          .first('units_habit');
        const misfits = findMisfits(rig);
        if (misfits.length > 0)
          throw new Problem(422, 'no-rig', misfits.map(({ says }) => say(says, habit)).join(' '));
      } catch (error) {
        if (error instanceof Refusal) throw new Problem(422, 'no-rig', say(error.says, 'metric'));
        throw error;
      }
      const same = (await listRigs(trx, person.depotId)).find(
        (rig) => rig.unitIds.join() === unitIds.join(),
      );
      if (same) return { id: same.id, isNew: false };
      const id = newId();
      await insertRig(trx, place, { id, title, unitIds });
      await insertRigChange(trx, by, 'joined', { id, title, unitIds });
      return { id, isNew: true };
    });
    response.status(kept.isNew ? 201 : 200).json({ id: kept.id });
  });

  router.delete('/rigs/:id', async (request, response) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const by = { organisationId: person.organisationId, personId: person.id };
    const gone = await inOrganisation(db, person.organisationId, async (trx) => {
      const rig = await deleteRig(trx, person.depotId, id);
      if (rig) await insertRigChange(trx, by, 'taken-apart', rig);
      return rig;
    });
    if (!gone) throw new Problem(404, 'not-found', 'There is no such rig.');
    response.status(204).end();
  });

  return router;
}
