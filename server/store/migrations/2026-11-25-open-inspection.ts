import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/**
 * Everything that must be known before entries are taken in, in one trip: names the
 * organisation, waits for other writers of the same inspection, then reads its log, the units of
 * its rig and what is open on them. Each statement inside sees what was committed while it waited.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create function open_inspection(organisation uuid, inspection uuid, asked uuid[]) returns jsonb
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
        'units', (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'depotId', depot_id, 'number', number, 'title', title, 'plate', plate,
            'moduleId', module_id, 'specification', specification)
            order by array_position(rig, id)), '[]') from units where id = any(rig)),
        'open', (select coalesce(jsonb_agg(jsonb_build_object(
            'id', id, 'unitId', unit_id, 'key', key, 'title', title, 'place', place, 'grade', grade,
            'blocks', blocks, 'symptom', symptom, 'status', status, 'outcomeWords', outcome_words)), '[]')
            from defects
           where unit_id = any(rig) and inspection_id <> inspection
             and status in ('open', 'deferred', 'repaired', 'no-repair-needed')));
    end $$;
    revoke all on function open_inspection from public;
    grant execute on function open_inspection to ${SERVING_ROLE};
  `);
}
