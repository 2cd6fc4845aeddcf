import type { Knex } from 'knex';

export interface NewPhoto {
  readonly id: string;
  readonly organisationId: string;
  readonly inspectionId: string;
  readonly sha256: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: Buffer;
}

/** Keeps a picture; the same picture sent again changes nothing. */
export async function insertPhoto(trx: Knex, photo: NewPhoto): Promise<void> {
  await trx('photos')
    .insert({
      id: photo.id,
      organisation_id: photo.organisationId,
      inspection_id: photo.inspectionId,
      sha256: photo.sha256,
      width: photo.width,
      height: photo.height,
      bytes: photo.bytes,
    })
    .onConflict('id')
    .ignore();
}

export async function findPhoto(trx: Knex, id: string): Promise<Buffer | undefined> {
  return (await trx('photos').where({ id }).first('bytes'))?.bytes;
}

export async function photoHashes(trx: Knex, inspectionId: string): Promise<Map<string, string>> {
  const rows = await trx('photos').where({ inspection_id: inspectionId }).select('id', 'sha256');
  return new Map(rows.map((row) => [row.id, row.sha256]));
}
