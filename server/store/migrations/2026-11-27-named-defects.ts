import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** Of which unit the defects are that entries name is told with everything else that a batch needs: one trip to the database less. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    drop function open_inspection(uuid, uuid, uuid[], text[]);
    create function open_inspection(organisation uuid, inspection uuid, asked uuid[], faulted text[], named uuid[])
    returns jsonb
    language plpgsql volatile security invoker as $$
    declare
      log jsonb;
      rig uuid[];
    begin
      perform set_config('app.organisation', organisation::text, true);
      perform pg_advisory_xact_lock(hashtextextended(inspection::text, 0));
      select coalesce(jsonb_agg(jsonb_build_object(
               'id', id, 'inspectionId', inspection_id, 'deviceId', device_id, 'actorId', actor_id,
               'at', round(extract(epoch from at) * 1000), 'sequence', sequence, 'version', version,
               'type', type, 'payload', payload)), '[]')
        into log from events where inspection_id = inspection;
      rig := coalesce(
        (select array_agg(u::uuid) from jsonb_array_elements(log) e,
                jsonb_array_elements_text(e->'payload'->'unitIds') u where e->>'type' = 'begun'),
        asked);
      return jsonb_build_object(
        'log', log,
        'named', (select coalesce(jsonb_object_agg(id, unit_id), '{}') from defects where id = any(named)),
        'units', (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'depotId', depot_id, 'number', number, 'title', title, 'plate', plate,
            'moduleId', module_id, 'fitted', fitted, 'specification', specification, 'card', card)
            order by array_position(rig, id)), '[]') from units where id = any(rig)),
        'choice', (select jsonb_build_object('usual', d.policy_id, 'byClass', d.policies_by_class)
            from depots d join units u on u.depot_id = d.id where u.id = rig[1]),
        'own', (select coalesce(jsonb_agg(body::jsonb), '[]') from own_policies),
        'repairs', (select coalesce(jsonb_agg(jsonb_build_object(
            'defectId', id, 'key', key, 'certifiedAt', round(extract(epoch from certified_at) * 1000),
            'odometer', certified_metres)), '[]')
            from defects
           where cardinality(faulted) > 0 and unit_id = any(rig) and key = any(faulted)
             and certified_at is not null and status in ('repaired', 'no-repair-needed', 'closed')),
        'open', (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'unitId', unit_id, 'inspectionId', inspection_id, 'key', key, 'title', title,
            'place', place, 'grade', grade,
            'blocks', blocks, 'symptom', symptom, 'symptomId', symptom_id, 'system', system,
            'condition', condition, 'bars', bars, 'mostKmh', most_kmh, 'further', further,
            'reportedAt', round(extract(epoch from reported_at) * 1000),
            'until', case when status = 'deferred' then until end,
            'status', status, 'outcomeWords', outcome_words)), '[]')
            from defects
           where unit_id = any(rig) and inspection_id <> inspection
             and status in ('open', 'deferred', 'awaiting-agent', 'repaired', 'no-repair-needed')));
    end $$;
    revoke all on function open_inspection from public;
    grant execute on function open_inspection to ${SERVING_ROLE};
  `);
}
