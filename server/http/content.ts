import { catalogue } from '@nazar/core/content';
import type { DepotContent } from '@nazar/core/depot-content';
import { plainText } from '@nazar/core/fields';
import { sayFault, toCatalogueFile } from '@nazar/core/validation';
import type { ContentState } from '@nazar/core/wire';
import { Router } from 'express';
import type { Knex } from 'knex';
import { v4 as newId } from 'uuid';
import { mixed, number, object } from 'yup';
import { inOrganisation } from '../store/connection';
import {
  contentOf,
  insertContent,
  listContentVersions,
  presentContent,
} from '../store/depot-contents';
import { doHeavy } from '../heavy/pool';
import { catalogueOf } from '../store/catalogue-versions';
import { insertRuleChange } from '../store/rules';
import type { Person } from '../store/sessions';
import { listUnits } from '../store/units';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { supervisorOf } from './supervisors';

const changeSchema = object({
  /** The version that was read and changed. */
  basedOn: number().integer().min(0).required(),
  words: plainText(300).min(3, 'say in a few words what changes and why').required(),
  content: mixed<object>().required(),
}).noUnknown();
const fileSchema = changeSchema.omit(['content']).shape({ file: mixed<object>().required() });

/**
 * What a depot changed of the catalogue.
 * GET /catalogue/:version → the catalogue of that version as it shipped, 404. GET /content → {content, versions}. GET /content/:version → that version, 404. GET /content/file → the whole catalogue as
 * one JSON file. PUT /content {basedOn, words, content} → 201 {version}. POST /content/file {basedOn, words, file} → 201
 * {version}: the file is checked whole, and nothing of it is taken in when there is a fault.
 * 422 content-faults with every fault and its place, one a line; 409 changed-meanwhile. Changes are for supervisors (403).
 */
export function contentRouter(db: Knex): Router {
  const router = Router();

  router.get('/content', async (request, response) => {
    const person = personOf(request);
    const answer: ContentState = await inOrganisation(db, person.organisationId, async (trx) => ({
      content: await presentContent(trx, person.depotId),
      versions: await listContentVersions(trx, person.depotId, 20),
    }));
    response.set('Cache-Control', 'no-store').json(answer);
  });

  router.get('/content/file', async (request, response) => {
    const person = personOf(request);
    const content = await inOrganisation(db, person.organisationId, (trx) =>
      presentContent(trx, person.depotId),
    );
    response
      .set('Content-Disposition', `attachment; filename="catalogue-${content.version}.json"`)
      .json(toCatalogueFile(catalogue, content));
  });

  router.get('/catalogue/:version', async (request, response) => {
    const version = await plainText(40).required().validate(request.params.version);
    const found = await catalogueOf(db, version);
    if (!found) throw new Problem(404, 'not-found', 'This server never had such a catalogue.');
    // It is never changed.
    response.set('Cache-Control', 'private, max-age=31536000, immutable').json(found);
  });

  router.get('/content/:version', async (request, response) => {
    const person = personOf(request);
    const version = await number().integer().min(0).required().validate(request.params.version);
    const content = await inOrganisation(db, person.organisationId, (trx) =>
      contentOf(trx, person.depotId, version),
    );
    if (!content) throw new Problem(404, 'not-found', 'There is no such version.');
    response.json(content);
  });

  router.put('/content', async (request, response) => {
    const person = supervisorOf(request);
    const { basedOn, words, content } = await changeSchema.validate(request.body, { strict: true });
    const faults = await doHeavy('content-faults', {
      ...(content as DepotContent),
      version: basedOn,
    });
    if (faults.length > 0)
      throw new Problem(422, 'content-faults', faults.map(sayFault).join('\n'));
    const version = await keep(db, person, basedOn, words, content as DepotContent);
    response.status(201).json({ version });
  });

  router.post('/content/file', async (request, response) => {
    const person = supervisorOf(request);
    const { basedOn, words, file } = await fileSchema.validate(request.body, { strict: true });
    const found = await doHeavy('catalogue-file', file);
    if (!found.ok) throw new Problem(422, 'content-faults', found.faults.map(sayFault).join('\n'));
    const version = await keep(db, person, basedOn, words, found.content);
    response.status(201).json({ version });
  });

  return router;
}

/** Adds the next version; what was made meanwhile is never overwritten. */
async function keep(
  db: Knex,
  person: Person,
  basedOn: number,
  words: string,
  changed: DepotContent,
): Promise<number> {
  const { organisationId, depotId, id: byId } = person;
  return inOrganisation(db, organisationId, async (trx) => {
    const before = await presentContent(trx, depotId);
    const units = new Set((await listUnits(trx, depotId)).map(({ id }) => id));
    const stranger = [...changed.off, ...changed.own, ...changed.stricter].find(
      ({ scope }) => scope.unitId !== undefined && !units.has(scope.unitId),
    );
    if (stranger)
      throw new Problem(422, 'content-faults', 'A rule names a unit that is not of your depot.');
    const content = { ...changed, version: before.version + 1 };
    const isNew =
      before.version === basedOn &&
      (await insertContent(trx, { organisationId, depotId, byId, words, content }));
    if (!isNew)
      throw new Problem(
        409,
        'changed-meanwhile',
        'Somebody changed the content while you had it open. Read it again, then change it.',
      );
    await insertRuleChange(trx, {
      id: newId(),
      organisationId,
      depotId,
      byId,
      what: 'content',
      before: basedOn,
      after: content.version,
    });
    return content.version;
  });
}
