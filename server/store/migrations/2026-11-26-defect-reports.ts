import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/**
 * What each walk says of a defect, and the workshop's last word on it, apart from each other: how the defect stands follows from both
 * (core/repair). A defect of before is told once by the walk that reported it.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    create table defect_reports (
      organisation_id uuid not null,
      defect_id uuid not null,
      inspection_id uuid not null references inspections (id) on delete cascade,
      reported_at timestamptz not null,
      received_at timestamptz not null default clock_timestamp(),
      body jsonb not null,
      primary key (defect_id, inspection_id)
    );
    create index defect_reports_of_walk on defect_reports (inspection_id);
    alter table defects
      add column certificate_status text,
      add column certified_grade text,
      add column certificate_received_at timestamptz;
    update defects set certificate_status = status, certified_grade = grade, certificate_received_at = now()
      where status not in ('open', 'fixed', 'withdrawn');
    insert into defect_reports (organisation_id, defect_id, inspection_id, reported_at, body)
      select d.organisation_id, d.id, d.inspection_id, d.reported_at,
          jsonb_build_object('id', d.id, 'depot_id', d.depot_id, 'unit_id', d.unit_id, 'inspection_id', d.inspection_id,
            'key', d.key, 'title', d.title, 'place', d.place, 'symptom', d.symptom, 'extent', d.extent, 'grade', d.grade,
            'grade_rank', d.grade_rank, 'blocks', d.blocks, 'reasons', d.reasons, 'symptom_id', d.symptom_id,
            'system', d.system, 'condition', d.condition, 'bars', d.bars, 'most_kmh', d.most_kmh, 'further', d.further,
            'policy_ids', d.policy_ids, 'due_at', d.due_at, 'reported_metres', d.reported_metres, 'note', d.note,
            'fixed', d.fixed, 'spot', d.spot, 'photo_ids', d.photo_ids, 'status', case when d.status = 'fixed' then 'fixed' else 'open' end,
            'reported_at', d.reported_at, 'reported_by', d.reported_by)
        from defects d join inspections i on i.id = d.inspection_id where d.status <> 'withdrawn';
    alter table defect_reports enable row level security;
    create policy own_organisation on defect_reports
      using (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid)
      with check (organisation_id = nullif(current_setting('app.organisation', true), '')::uuid);
    grant select, insert, update, delete on defect_reports to ${SERVING_ROLE};
  `);
}
