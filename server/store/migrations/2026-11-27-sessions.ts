import type { Knex } from 'knex';
import { SERVING_ROLE } from '../connection';

/** Where somebody is signed in, so that they can see it and end what they do not know or have lost. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    alter table sessions
      add column id uuid not null default gen_random_uuid(),
      add column opened_at timestamptz not null default now(),
      add column device text not null default '';
    create index sessions_of_person on sessions (person_id);

    -- Who is behind a request, in one trip: it is asked before anything else, and before the organisation is known.
    create function person_of_session(hash text) returns table (
      id uuid, "organisationId" uuid, "depotId" uuid, name text, role text)
    language sql stable security definer set search_path = public as $$
      select p.id, p.organisation_id, p.depot_id, p.name, p.role
        from sessions s join people p on p.id = s.person_id and p.organisation_id = s.organisation_id
       where s.token_hash = hash and s.expires_at > now()
    $$;
    revoke all on function person_of_session from public;
    grant execute on function person_of_session to ${SERVING_ROLE};
  `);
}
