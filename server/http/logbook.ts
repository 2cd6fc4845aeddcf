import { findModuleOfUnit } from '@nazar/core/rig';
import { catalogue } from '@nazar/core/content';
import { plainText, uuid } from '@nazar/core/fields';
import { findChainFaults } from '@nazar/core/seal';
import type { Logbook, LogbookPage } from '@nazar/core/wire';
import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { v4 as newId } from 'uuid';
import { number, object, string } from 'yup';
import { toCalendar } from '../feeds/calendar';
import { servicesOf } from '../feeds/services-due';
import { findFeedOwner, renewFeed } from '../store/calendar-feeds';
import { inOrganisation } from '../store/connection';
import { defectsOfUnit } from '../store/defects';
import { outingsOfUnit, rigChangesOfUnit, readingCourses, walksOfUnit } from '../store/logbook';
import { chainOfUnit } from '../store/reports';
import { listHolds } from '../store/retention';
import { insertServiceDone, odometersOf } from '../store/services';
import { listUnits, type DepotUnit } from '../store/units';
import { weakSpotsOf } from '../store/weak-spots';
import { personOf } from './authenticate';
import { Problem } from './problems';
import { limitRate } from './rate-limits';
import { supervisorOf } from './supervisors';

const PAGE = 40;

const doneSchema = object({
  at: string().test(
    'time',
    '${path} is no time',
    (value) => value === undefined || !Number.isNaN(Date.parse(value)),
  ),
  metres: number().min(0).max(5e9),
  hours: number().min(0).max(1e6),
  words: plainText(500).required().min(2, 'say what was done'),
}).noUnknown();

/**
 * GET /units/:id/logbook?before → {unit, walks, defects, outings, rigChanges, readings, services, weakSpots, chain, holds}; `before`
 * (ISO time) asks for the next page of walks and defects. POST /units/:id/services/:service {words, at?, metres?, hours?} →
 * 201, mechanics and supervisors. GET /units/:id/services.ics → iCalendar. POST /calendar → {path}: a new secret address
 * for the depot's calendar, the former one stops working; supervisors. 404 for a unit of another depot.
 */
export function logbookRouter(db: Knex): Router {
  const router = Router();

  const findUnit = async (trx: Knex, request: Request): Promise<DepotUnit> => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const unit = (await listUnits(trx, person.depotId)).find((each) => each.id === id);
    if (!unit) throw new Problem(404, 'not-found', 'This unit is not of your depot.');
    return unit;
  };

  router.get('/units/:id/logbook', async (request, response) => {
    const person = personOf(request);
    const before = await plainText(40).validate(request.query.before);
    const answer = await inOrganisation<Logbook | LogbookPage>(
      db,
      person.organisationId,
      async (trx) => {
        const unit = await findUnit(trx, request);
        const walks = await walksOfUnit(trx, unit.id, PAGE + 1, before);
        const defects = await defectsOfUnit(trx, unit.id, PAGE, before);
        const page = { walks: walks.slice(0, PAGE), defects, more: walks.length > PAGE };
        if (before) return page;
        const { entries, head } = await chainOfUnit(trx, unit.id);
        return {
          ...page,
          unit,
          outings: await outingsOfUnit(trx, unit.id, PAGE),
          rigChanges: await rigChangesOfUnit(trx, unit.id, PAGE),
          readings: await readingCourses(trx, unit.id),
          services: await servicesOf(trx, [unit], new Date()),
          weakSpots: (await weakSpotsOf(trx, person.depotId)).filter(
            (spot) => spot.unitId === unit.id,
          ),
          chain: {
            length: entries.length,
            removed: entries.filter(({ removed }) => removed).length,
            faults: findChainFaults(entries, head),
          },
          holds: (await listHolds(trx, person.depotId)).filter((hold) => hold.unitId === unit.id),
        };
      },
    );
    response.set('Cache-Control', 'no-store').json(answer);
  });

  router.post('/units/:id/services/:service', async (request, response) => {
    const person = personOf(request);
    if (person.role === 'driver')
      throw new Problem(403, 'workshop-only', 'Services are recorded by the workshop.');
    const done = await doneSchema.validate(request.body, { strict: true });
    await inOrganisation(db, person.organisationId, async (trx) => {
      const unit = await findUnit(trx, request);
      const module = findModuleOfUnit(unit, catalogue);
      const service = module?.services.find(({ id }) => id === request.params.service);
      if (!service) throw new Problem(404, 'not-found', 'This unit has no such service.');
      const at = done.at ? new Date(done.at) : new Date();
      if (at.getTime() > Date.now() + 60_000)
        throw new Problem(422, 'in-the-future', 'A service cannot be done in the future.');
      const latest = (await odometersOf(trx, [unit.id])).get(unit.id)?.at(-1)?.value;
      await insertServiceDone(trx, {
        id: newId(),
        organisationId: person.organisationId,
        unitId: unit.id,
        serviceId: service.id,
        at: at.toISOString(),
        // Without a reading of its own the last one of a walk is the best there is.
        metres: done.metres ?? latest,
        hours: done.hours,
        words: done.words,
        byId: person.id,
      });
    });
    response.status(201).json({ ok: true });
  });

  router.get('/units/:id/services.ics', async (request, response) => {
    const person = personOf(request);
    const now = new Date();
    const text = await inOrganisation(db, person.organisationId, async (trx) => {
      const unit = await findUnit(trx, request);
      return toCalendar(unit.number, [unit], await servicesOf(trx, [unit], now), now);
    });
    response.attachment('services.ics').type('text/calendar').send(text);
  });

  router.post('/calendar', async (request, response) => {
    const person = supervisorOf(request);
    const secret = await inOrganisation(db, person.organisationId, (trx) =>
      renewFeed(trx, {
        organisationId: person.organisationId,
        depotId: person.depotId,
        personId: person.id,
      }),
    );
    response.status(201).json({ path: `/api/calendar/${secret}.ics` });
  });

  return router;
}

/** GET /calendar/:secret.ics → services of the depot; nothing but the secret opens it. 404 for a wrong one. */
export function calendarRouter(db: Knex): Router {
  const router = Router();
  router.get('/calendar/:secret.ics', limitRate(db, 'calendar', 60), async (request, response) => {
    const secret = String(request.params.secret);
    const owner = /^[\w-]{20,60}$/.test(secret) ? await findFeedOwner(db, secret) : undefined;
    if (!owner) throw new Problem(404, 'not-found', 'There is no such calendar.');
    const now = new Date();
    const text = await inOrganisation(db, owner.organisationId, async (trx) => {
      const depot = await trx('depots').where({ id: owner.depotId }).first('name');
      const units = await listUnits(trx, owner.depotId);
      return toCalendar(depot.name, units, await servicesOf(trx, units, now), now);
    });
    response.set('Cache-Control', 'private, max-age=900').type('text/calendar').send(text);
  });
  return router;
}
