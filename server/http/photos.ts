import { createHash } from 'node:crypto';
import { uuid } from '@nazar/core/fields';
import express, { Router } from 'express';
import type { Knex } from 'knex';
import { NotAPicture, reencode } from '../heavy/reencode';
import { inOrganisation } from '../store/connection';
import { findPhoto, keepPhoto } from '../store/photos';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { limitRate } from './rate-limits';

const MOST_BYTES = 8 * 1024 * 1024;

/**
 * PUT /photos/:id?inspection=… (image bytes) → 204; re-encoded, turned upright, without metadata.
 * 413 too-large above 8 MB, 422 not-a-picture, 409 not-your-picture for the id of somebody else's. GET /photos/:id → image/jpeg.
 */
export function photosRouter(db: Knex): Router {
  const router = Router();

  router.put(
    '/photos/:id',
    limitRate(db, 'photos', 120),
    express.raw({ type: () => true, limit: MOST_BYTES }),
    async (request, response) => {
      const person = personOf(request);
      const id = await uuid().required().validate(request.params.id);
      const inspectionId = await uuid().required().validate(request.query.inspection);
      const picture = await reencode(request.body).catch((error: unknown) => {
        throw error instanceof NotAPicture ? notAPicture() : error;
      });
      const kept = await inOrganisation(db, person.organisationId, (trx) =>
        keepPhoto(trx, {
          id,
          organisationId: person.organisationId,
          inspectionId,
          sentBy: person.id,
          sha256: createHash('sha256').update(picture.data).digest('hex'),
          width: picture.info.width,
          height: picture.info.height,
          bytes: picture.data,
        }),
      );
      if (!kept)
        throw new Problem(
          409,
          'not-your-picture',
          'This picture belongs to an entry of somebody else. Take the photo again.',
        );
      response.status(204).end();
    },
  );

  router.get('/photos/:id', async (request, response) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const bytes = await inOrganisation(db, person.organisationId, (trx) => findPhoto(trx, id));
    if (!bytes) throw new Problem(404, 'not-found', 'This picture is not here, or not yet.');
    response
      .set('Cache-Control', 'private, max-age=31536000, immutable')
      .type('image/jpeg')
      .send(bytes);
  });

  return router;
}

const notAPicture = () =>
  new Problem(
    422,
    'not-a-picture',
    'This file is no picture that can be read. Take the photo again.',
  );
