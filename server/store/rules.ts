import type { HouseRules } from '@nazar/core/wire';
import type { Policy, PolicyChoice } from '@nazar/core/grading';
import type { Knex } from 'knex';

/** What a depot grades its classes of vehicle by. */
export async function findPolicyChoice(trx: Knex, depotId: string): Promise<PolicyChoice> {
  const row = await trx('depots').where({ id: depotId }).first('policy_id', 'policies_by_class');
  return { usual: row.policy_id, byClass: row.policies_by_class };
}

export async function savePolicyChoice(
  trx: Knex,
  depotId: string,
  { usual, byClass }: PolicyChoice,
): Promise<void> {
  await trx('depots')
    .where({ id: depotId })
    .update({ policy_id: usual, policies_by_class: JSON.stringify(byClass) });
}

/** All that the organisation has ever brought, also what was taken away: walks and reports name it. */
export async function listKeptPolicies(trx: Knex): Promise<Policy[]> {
  const rows = await trx('own_policies').orderBy('id').select('body');
  return rows.map((row) => row.body as Policy);
}

/** Those that may be chosen; what was taken away is not among them. */
export async function listOwnPolicies(trx: Knex): Promise<Policy[]> {
  const rows = await trx('own_policies').whereNull('retired_at').orderBy('id').select('body');
  return rows.map((row) => row.body as Policy);
}

/** Whether any depot of the organisation grades by it. */
export async function isPolicyChosen(trx: Knex, id: string): Promise<boolean> {
  const row = await trx('depots')
    .where({ policy_id: id })
    .orWhereRaw('exists (select from jsonb_each_text(policies_by_class::jsonb) where value = ?)', [
      id,
    ])
    .first('id');
  return row !== undefined;
}

/** It may be chosen no more. Returns whether there was one. */
export async function retireOwnPolicy(trx: Knex, id: string): Promise<boolean> {
  const count = await trx('own_policies')
    .where({ id })
    .whereNull('retired_at')
    .update({ retired_at: trx.fn.now() });
  return count > 0;
}

/** False when another policy of this name is there already: a policy is never changed, only followed by another. */
export async function insertOwnPolicy(
  trx: Knex,
  organisationId: string,
  personId: string,
  policy: Policy,
): Promise<boolean> {
  const rows = await trx('own_policies')
    .insert({
      organisation_id: organisationId,
      id: policy.id,
      body: JSON.stringify(policy),
      brought_by: personId,
    })
    .onConflict(['organisation_id', 'id'])
    .ignore()
    .returning('id');
  if (rows.length > 0) return true;
  // Taken away by mistake, the very same one is brought back.
  const back = await trx('own_policies')
    .where({ id: policy.id })
    .whereNotNull('retired_at')
    .whereRaw('body::jsonb = ?::jsonb', [JSON.stringify(policy)])
    .update({ retired_at: null });
  return back > 0;
}

export interface RuleChange {
  readonly id: string;
  readonly organisationId: string;
  readonly depotId: string;
  readonly byId: string;
  readonly what: string;
  readonly before: unknown;
  readonly after: unknown;
}

export async function insertRuleChange(trx: Knex, change: RuleChange): Promise<void> {
  await trx('rule_changes').insert({
    id: change.id,
    organisation_id: change.organisationId,
    depot_id: change.depotId,
    by_id: change.byId,
    what: change.what,
    before: JSON.stringify(change.before ?? null),
    after: JSON.stringify(change.after ?? null),
  });
}

export async function listRuleChanges(trx: Knex, depotId: string, limit: number) {
  const rows = await trx('rule_changes as c')
    .leftJoin('people as p', 'p.id', 'c.by_id')
    .where('c.depot_id', depotId)
    .orderBy('c.at', 'desc')
    .limit(limit)
    .select('c.at', 'c.what', 'c.before', 'c.after', 'p.name');
  return rows.map((row) => ({
    at: row.at.toISOString() as string,
    what: row.what as HouseRules['changes'][number]['what'],
    before: row.before as unknown,
    after: row.after as unknown,
    by: (row.name as string | null) ?? '',
  }));
}
