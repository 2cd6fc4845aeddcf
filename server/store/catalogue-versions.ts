import { type Catalogue } from '@nazar/core/catalogue';
import { catalogue as present } from '@nazar/core/content';
import { hashOf } from '@nazar/core/seal';
import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';

/** Versions are never changed, so one that was read once need not be read again; they are large, and few are walked by at a time. */
const read = new LRUCache<string, Catalogue>({ max: 4 });

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

/** The catalogue of a version, as walks name it; undefined when this server never had it. */
export async function catalogueOf(db: Knex, version: string): Promise<Catalogue | undefined> {
  if (version === present.version) return present;
  const known = read.get(version);
  if (known) return known;
  const row = await db('catalogue_versions').where({ version }).first('body');
  if (!row) return undefined;
  const catalogue = row.body as Catalogue;
  read.set(version, catalogue);
  return catalogue;
}
