import { ADDITION_TYPES } from '@nazar/core/inspection';
import type { EventAnswer } from '@nazar/core/wire';
import { Router } from 'express';
import type { Knex } from 'knex';
import { setAside } from '../intake/set-aside';
import { takeIn } from '../intake/take-in';
import { sealAdditions, sealInspection } from '../report/seal-pending';
import type { Configuration } from '../configuration';
import type { SealKey } from '../report/seal-key';
import { inOrganisation } from '../store/connection';
import type { Person } from '../store/sessions';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { limitRate } from './rate-limits';

export const MOST_EVENTS = 1000;

interface Sent {
  readonly type?: unknown;
  readonly inspectionId?: unknown;
  readonly payload?: { readonly defectId?: unknown };
}

/**
 * POST /events {events: [...]} → {answers: [{id, status, code?, detail?}], serverTime}.
 * Each event is answered for itself. A signed walk is sealed before the answer; what cannot be taken in is kept for the supervisor.
 * 413 too-many-events above 1000, 422 when there is no list.
 */
export function eventsRouter(
  db: Knex,
  key: SealKey,
  { clockAheadMinutes }: Pick<Configuration, 'clockAheadMinutes'>,
): Router {
  const router = Router();
  router.post('/events', limitRate(db, 'events', 240), async (request, response) => {
    const person = personOf(request);
    const events: unknown = (request.body as { events?: unknown } | undefined)?.events;
    if (!Array.isArray(events)) throw new Problem(422, 'no-events', 'There is no list of entries.');
    if (events.length > MOST_EVENTS)
      throw new Problem(413, 'too-many-events', `Send at most ${MOST_EVENTS} entries at once.`);
    const answers = await takeIn(db, person, events, {
      aheadMinutes: clockAheadMinutes,
      onSetAside: (error, { id, inspectionId, type }) =>
        request.log?.error({ err: error, id, inspectionId, type }, 'entry set aside'),
    });
    const taken = (events as Sent[]).filter((_, at) => answers[at].status !== 'refused');
    await sealWhatFollows(db, key, person, taken);
    await setAside(db, person, events, answers);
    response.json({ answers: answers satisfies readonly EventAnswer[], serverTime: Date.now() });
  });
  return router;
}

/** A repeated delivery seals as well: the first may have died between storing and sealing. */
async function sealWhatFollows(
  db: Knex,
  key: SealKey,
  person: Person,
  taken: readonly Sent[],
): Promise<void> {
  const inspectionsWith = (...types: string[]) => [
    ...new Set(
      taken
        .filter(({ type }) => types.includes(type as string))
        .map(({ inspectionId }) => inspectionId as string),
    ),
  ];
  const now = new Date();
  for (const id of inspectionsWith('signed'))
    await sealInspection(db, key, person.organisationId, id, now);
  const inEveryReport = taken
    .filter(({ type }) => ['acknowledged', 'certified', 'countersigned'].includes(type as string))
    .map(({ payload }) => payload?.defectId as string);
  const reportedIn =
    inEveryReport.length === 0
      ? []
      : await inOrganisation(db, person.organisationId, (trx) =>
          trx('defect_reports').whereIn('defect_id', inEveryReport).distinct('inspection_id'),
        );
  for (const id of new Set([
    ...inspectionsWith(...ADDITION_TYPES),
    ...reportedIn.map((row) => row.inspection_id as string),
  ]))
    await sealAdditions(db, key, person.organisationId, id, now);
}
