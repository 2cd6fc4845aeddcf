import { AS_SHIPPED, type DepotContent } from '@nazar/core/depot-content';
import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';

/** Versions are never changed, so one that was read once need not be read again. */
const read = new LRUCache<string, DepotContent>({ max: 200 });

/** The changes of a depot that hold now; those of version 0 where there are none. */
export async function presentContent(trx: Knex, depotId: string): Promise<DepotContent> {
  const row = await trx('house_contents')
    .where({ depot_id: depotId })
    .orderBy('version', 'desc')
    .first('version');
  return row ? ((await contentOf(trx, depotId, row.version)) ?? AS_SHIPPED) : AS_SHIPPED;
}

/** One version, as walks name it; undefined when the depot never had it. */
export async function contentOf(
  trx: Knex,
  depotId: string,
  version: number,
): Promise<DepotContent | undefined> {
  if (version === 0) return AS_SHIPPED;
  // Row-level security lets through the own organisation alone; the cache must do no less.
  const [own] = (await trx.raw(`select current_setting('app.organisation', true) as id`)).rows;
  const name = `${own.id} ${depotId} ${version}`;
  const known = read.get(name);
  if (known) return known;
  const row = await trx('house_contents').where({ depot_id: depotId, version }).first('body');
  if (!row) return undefined;
  const content = { ...(row.body as DepotContent), version };
  read.set(name, content);
  return content;
}

export interface ContentVersion {
  readonly version: number;
  readonly at: string;
  readonly by: string;
  readonly words: string;
}

/** Newest first. */
export async function listContentVersions(
  trx: Knex,
  depotId: string,
  limit: number,
): Promise<ContentVersion[]> {
  const rows = await trx('house_contents as c')
    .leftJoin('people as p', 'p.id', 'c.made_by')
    .where('c.depot_id', depotId)
    .orderBy('c.version', 'desc')
    .limit(limit)
    .select('c.version', 'c.made_at', 'c.words', 'p.name');
  return rows.map((row) => ({
    version: row.version as number,
    at: row.made_at.toISOString() as string,
    by: (row.name as string | null) ?? '',
    words: row.words as string,
  }));
}

export interface NewContent {
  readonly organisationId: string;
  readonly depotId: string;
  readonly byId: string;
  readonly words: string;
  readonly content: DepotContent;
}

/** False when somebody made this version meanwhile. */
export async function insertContent(trx: Knex, made: NewContent): Promise<boolean> {
  const rows = await trx('house_contents')
    .insert({
      depot_id: made.depotId,
      version: made.content.version,
      organisation_id: made.organisationId,
      body: JSON.stringify(made.content),
      words: made.words,
      made_by: made.byId,
    })
    .onConflict(['depot_id', 'version'])
    .ignore()
    .returning('version');
  return rows.length > 0;
}
