import type { Catalogue } from '@nazar/core/catalogue';
import { hashOf } from '@nazar/core/seal';
import type { Knex } from 'knex';

/**
 * Keeps what was asked under this version for ever.
 * @throws {Error} when the version was used with other content: it needs a new number.
 */
export async function keepCatalogueVersion(db: Knex, catalogue: Catalogue): Promise<void> {
  const body = JSON.stringify(catalogue);
  const hash = hashOf(JSON.parse(body));
  await db.raw(
    `insert into catalogue_versions (version, hash, body) values (?, ?, ?) on conflict do nothing`,
    [catalogue.version, hash, body],
  );
  const kept = await db('catalogue_versions').where({ version: catalogue.version }).first('hash');
  if (kept.hash !== hash)
    throw new Error(
      `Catalogue version ${catalogue.version} was already used with other content. Give it a new version.`,
    );
}
