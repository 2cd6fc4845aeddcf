import { VEHICLE_CLASSES, type VehicleClass } from '@nazar/core/catalogue';
import { policies, policyById, type Policy, type PolicyChoice } from '@nazar/core/grading';
import { plainText, uuid } from '@nazar/core/fields';
import { findPolicyFaults, sayFault } from '@nazar/core/validation';
import type { HouseRules } from '@nazar/core/wire';
import { Router } from 'express';
import type { Knex } from 'knex';
import { v4 as newId } from 'uuid';
import { object, type ObjectShape } from 'yup';
import { inOrganisation } from '../store/connection';
import { insertHold, liftHold, listHolds, retentionStanding } from '../store/retention';
import {
  findPolicyChoice,
  insertOwnPolicy,
  insertRuleChange,
  isPolicyChosen,
  listKeptPolicies,
  listOwnPolicies,
  listRuleChanges,
  retireOwnPolicy,
  savePolicyChoice,
} from '../store/rules';
import { listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { supervisorOf } from './supervisors';

/** All of them are read with every batch of entries, also those that were taken away. */
const MOST_OWN_POLICIES = 100;

const byClassShape: ObjectShape = Object.fromEntries(
  VEHICLE_CLASSES.map((name) => [name, plainText(40)]),
);
const choiceSchema = object({
  usual: plainText(40).required(),
  byClass: object(byClassShape).noUnknown().required(),
}).noUnknown();

/**
 * House rules of the own depot.
 * GET /rules → {choice, policies, own, changes, retention, holds}.
 * PUT /rules/policies {usual, byClass} → 204; 422 unknown-policy. POST /rules/policies (a policy) → 201; 422 policy-faults
 * with every fault and its place, 409 policy-exists, too-many-policies. DELETE /rules/policies/:id → 204: it may be chosen no more,
 * and what names it is read by it for ever; 409 policy-in-use, 404. POST /holds {unitId, words} → 201 {id}; DELETE /holds/:id → 204.
 * Everything but reading is for supervisors (403).
 */
export function rulesRouter(db: Knex): Router {
  const router = Router();

  router.get('/rules', async (request, response) => {
    const person = personOf(request);
    const answer = await inOrganisation(db, person.organisationId, async (trx) => ({
      choice: await findPolicyChoice(trx, person.depotId),
      own: await listOwnPolicies(trx),
      changes: await listRuleChanges(trx, person.depotId, 20),
      retention: await retentionStanding(trx, person.depotId),
      holds: await listHolds(trx, person.depotId),
    }));
    response.set('Cache-Control', 'no-store').json({ ...answer, policies } satisfies HouseRules);
  });

  router.put('/rules/policies', async (request, response) => {
    const person = supervisorOf(request);
    const { usual, byClass } = await choiceSchema.validate(request.body, { strict: true });
    const choice: PolicyChoice = {
      usual,
      byClass: byClass as Partial<Record<VehicleClass, string>>,
    };
    await inOrganisation(db, person.organisationId, async (trx) => {
      const own = await listOwnPolicies(trx);
      for (const id of [usual, ...Object.values(choice.byClass)]) requirePolicy(id, own);
      const before = await findPolicyChoice(trx, person.depotId);
      await savePolicyChoice(trx, person.depotId, choice);
      await insertRuleChange(trx, {
        id: newId(),
        organisationId: person.organisationId,
        depotId: person.depotId,
        byId: person.id,
        what: 'policies',
        before,
        after: choice,
      });
    });
    response.status(204).end();
  });

  router.post('/rules/policies', async (request, response) => {
    const person = supervisorOf(request);
    const faults = findPolicyFaults(request.body);
    if (faults.length > 0) throw new Problem(422, 'policy-faults', faults.map(sayFault).join('\n'));
    const policy = request.body as Policy;
    const isNew = await inOrganisation(db, person.organisationId, async (trx) => {
      if ((await listKeptPolicies(trx)).length >= MOST_OWN_POLICIES)
        throw new Problem(
          409,
          'too-many-policies',
          `${MOST_OWN_POLICIES} policies of your own were brought already. Grade by one of them.`,
        );
      const inserted = await insertOwnPolicy(trx, person.organisationId, person.id, policy);
      if (inserted)
        await insertRuleChange(trx, {
          id: newId(),
          organisationId: person.organisationId,
          depotId: person.depotId,
          byId: person.id,
          what: 'policy-brought',
          before: null,
          after: policy.id,
        });
      return inserted;
    });
    if (!isNew)
      throw new Problem(
        409,
        'policy-exists',
        `There is a policy ${policy.id} already. Reports name it, so it is never changed; give the new one another id.`,
      );
    response.status(201).json({ id: policy.id });
  });

  router.delete('/rules/policies/:id', async (request, response) => {
    const person = supervisorOf(request);
    const id = await plainText(40).required().validate(request.params.id);
    await inOrganisation(db, person.organisationId, async (trx) => {
      if (await isPolicyChosen(trx, id))
        throw new Problem(
          409,
          'policy-in-use',
          'A depot grades by this policy. Choose another one there first.',
        );
      if (!(await retireOwnPolicy(trx, id)))
        throw new Problem(404, 'not-found', 'There is no such policy of your own.');
      await insertRuleChange(trx, {
        id: newId(),
        organisationId: person.organisationId,
        depotId: person.depotId,
        byId: person.id,
        what: 'policy-taken-away',
        before: id,
        after: null,
      });
    });
    response.status(204).end();
  });

  router.post('/holds', async (request, response) => {
    const person = supervisorOf(request);
    const { unitId, words } = await object({
      unitId: uuid().required(),
      words: plainText(300).required().min(3, 'say why it is held'),
    })
      .noUnknown()
      .validate(request.body, { strict: true });
    const id = newId();
    await inOrganisation(db, person.organisationId, async (trx) => {
      const units = await listUnits(trx, person.depotId);
      if (!units.some((unit) => unit.id === unitId))
        throw new Problem(404, 'not-found', 'This unit is not of your depot.');
      await insertHold(trx, {
        id,
        organisationId: person.organisationId,
        unitId,
        words,
        byId: person.id,
      });
    });
    response.status(201).json({ id });
  });

  router.delete('/holds/:id', async (request, response) => {
    const person = supervisorOf(request);
    const id = await uuid().required().validate(request.params.id);
    const lifted = await inOrganisation(db, person.organisationId, (trx) =>
      liftHold(trx, person.depotId, id, person.id),
    );
    if (!lifted) throw new Problem(404, 'not-found', 'There is no such hold.');
    response.status(204).end();
  });

  return router;
}

function requirePolicy(id: string, own: readonly Policy[]): void {
  try {
    policyById(id, own);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new Problem(422, 'unknown-policy', `There is no policy ${id}. Bring it first.`);
  }
}
