import type { Knex } from 'knex';

export interface NewPhoto {
  readonly id: string;
  readonly organisationId: string;
  readonly inspectionId: string;
  /** Whose entry names it, or will. */
  readonly sentBy: string;
  readonly sha256: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: Buffer;
}

/**
 * Keeps a picture; the same picture sent again changes nothing. It belongs to the one whose entry names it: what somebody else has sent
 * under its id gives way to theirs.
 * @returns false when the id is another's
 */
export async function keepPhoto(trx: Knex, photo: NewPhoto): Promise<boolean> {
  const named = await namedBy(trx, photo);
  if (named !== undefined && named !== photo.sentBy) return false;
  const row = {
    id: photo.id,
    organisation_id: photo.organisationId,
    inspection_id: photo.inspectionId,
    sent_by: photo.sentBy,
    sha256: photo.sha256,
    width: photo.width,
    height: photo.height,
    bytes: photo.bytes,
  };
  // An id of another organisation is not seen here, and not taken.
  const inserted = await trx('photos').insert(row).onConflict('id').ignore().returning('id');
  if (inserted.length > 0) return true;
  const kept = await trx('photos').where({ id: photo.id }).first('sent_by', 'inspection_id');
  if (!kept) return false;
  const own = kept.sent_by === null || kept.sent_by === photo.sentBy;
  if (own) return kept.inspection_id === photo.inspectionId;
  if (named === undefined) return false;
  await trx('photos').where({ id: photo.id }).update(row);
  return true;
}

/** Whose entry of this walk names the picture. */
async function namedBy(
  trx: Knex,
  { id, inspectionId }: Pick<NewPhoto, 'id' | 'inspectionId'>,
): Promise<string | undefined> {
  const event = await trx('events')
    .where({ inspection_id: inspectionId })
    .whereRaw('payload @> ?', [JSON.stringify({ photos: [{ id }] })])
    .orderBy('received_at')
    .first('actor_id');
  return event?.actor_id;
}

export async function findPhoto(trx: Knex, id: string): Promise<Buffer | undefined> {
  return (await trx('photos').where({ id }).first('bytes'))?.bytes;
}

/** Digests of the pictures of a walk, of those that were sent by the one whose entry names them. */
export async function photoHashes(trx: Knex, inspectionId: string): Promise<Map<string, string>> {
  const { rows } = await trx.raw(
    `select p.id, p.sha256 from photos p
      where p.inspection_id = ? and (p.sent_by is null or exists (
        select from events e where e.inspection_id = p.inspection_id and e.actor_id = p.sent_by
          and e.payload @> jsonb_build_object('photos', jsonb_build_array(jsonb_build_object('id', p.id)))))`,
    [inspectionId],
  );
  return new Map((rows as { id: string; sha256: string }[]).map((row) => [row.id, row.sha256]));
}
