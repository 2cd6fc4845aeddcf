import { CODE_LETTERS } from '@nazar/core/inspection';
import { randomInt } from 'node:crypto';
import type { Knex } from 'knex';

/** What is printed for one stop of one unit. */
export interface Tag {
  readonly unitId: string;
  readonly zoneId: string;
  /** Six letters and digits, one of a kind in the organisation. */
  readonly code: string;
  /** The house wants it read on every walk. */
  readonly required: boolean;
}

const LENGTH = 6;

function makeCode(): string {
  return Array.from({ length: LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join(
    '',
  );
}

const toTag = (row: {
  unit_id: string;
  zone_id: string;
  code: string;
  required: boolean;
}): Tag => ({
  unitId: row.unit_id,
  zoneId: row.zone_id,
  code: row.code,
  required: row.required,
});

export async function listTags(trx: Knex, unitIds: readonly string[]): Promise<Tag[]> {
  const rows = await trx('tags')
    .whereIn('unit_id', [...unitIds])
    .orderBy(['unit_id', 'zone_id']);
  return rows.map(toTag);
}

export async function findTag(trx: Knex, unitId: string, zoneId: string): Promise<Tag | undefined> {
  const row = await trx('tags').where({ unit_id: unitId, zone_id: zoneId }).first();
  return row && toTag(row);
}

/** Whose tag a code is. */
export async function findTagByCode(
  trx: Knex,
  code: string,
): Promise<{ readonly number: string; readonly title: string } | undefined> {
  return trx('tags')
    .join('units', 'units.id', 'tags.unit_id')
    .where({ code })
    .first('units.number', 'units.title');
}

/** Makes the tags that are missing; those that are printed already stay as they are. */
export async function ensureTags(
  trx: Knex,
  organisationId: string,
  stops: readonly { readonly unitId: string; readonly zoneId: string }[],
): Promise<void> {
  if (stops.length === 0) return;
  await trx('tags')
    .insert(
      stops.map(({ unitId, zoneId }) => ({
        unit_id: unitId,
        zone_id: zoneId,
        organisation_id: organisationId,
        code: makeCode(),
      })),
    )
    .onConflict(['unit_id', 'zone_id'])
    .ignore();
}

/** Whether a tag must be read on every walk; or a new code, for one that was lost or copied. */
export async function changeTag(
  trx: Knex,
  unitId: string,
  zoneId: string,
  change: { readonly required?: boolean; readonly renew?: boolean },
): Promise<Tag | undefined> {
  const tag = trx('tags').where({ unit_id: unitId, zone_id: zoneId });
  const changes = {
    ...(change.required !== undefined && { required: change.required }),
    ...(change.renew && { code: makeCode(), made_at: trx.fn.now() }),
  };
  // An update of nothing is an error to the database; asked for nothing, the tag stays as it is.
  const [row] =
    Object.keys(changes).length === 0
      ? await tag.select('*')
      : await tag.update(changes).returning('*');
  return row && toTag(row);
}
