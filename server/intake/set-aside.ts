import type { EventAnswer, RefusalCode } from '@nazar/core/wire';
import type { Knex } from 'knex';
import { inOrganisation } from '../store/connection';
import type { Person } from '../store/sessions';
import { keepSetAside } from '../store/set-aside';

/** Not what a person may or may not do, but what cannot be read or kept at all: somebody has to look after it. */
const NEEDS_LOOKING_AFTER: ReadonlySet<RefusalCode> = new Set([
  'malformed',
  'unknown-type',
  'id-taken',
  'not-storable',
  'clock-ahead',
  'catalogue-unknown',
  'content-unknown',
  'no-rig',
]);
const LONGEST = 8_000;

/**
 * Keeps, beside the log, what could not be taken into it, so that a supervisor reads of it and not only the driver whose phone
 * holds it.
 */
export async function setAside(
  db: Knex,
  person: Person,
  batch: readonly unknown[],
  answers: readonly EventAnswer[],
): Promise<void> {
  const entries = answers.flatMap((answer, at) =>
    answer.status === 'refused' && NEEDS_LOOKING_AFTER.has(answer.code)
      ? [
          {
            // What no database keeps as text is escaped in JSON.
            eventId: JSON.stringify(answer.id).slice(1, -1),
            code: answer.code,
            detail: JSON.stringify(answer.detail).slice(1, -1),
            entry: JSON.stringify(batch[at] ?? null).slice(0, LONGEST),
          },
        ]
      : [],
  );
  if (entries.length === 0) return;
  await inOrganisation(db, person.organisationId, (trx) => keepSetAside(trx, person, entries));
}
