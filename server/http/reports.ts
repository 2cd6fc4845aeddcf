import { uuid } from '@nazar/core/fields';
import { reportSchema } from '@nazar/core/report';
import { toFileText } from '@nazar/core/seal';
import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { doHeavy } from '../heavy/pool';
import { toCsv } from '../report/report-csv';
import type { Paper } from '../report/pdf/render-report';
import { inOrganisation } from '../store/connection';
import { findPhoto } from '../store/photos';
import { findReport, listSealKeys } from '../store/reports';
import { personOf } from './authenticate';
import { Problem } from './problems';

/** GET /keys → {keys: hex[]} and GET /schema/report → JSON Schema: public, so that anybody can check a report. */
export function publicReportRouter(db: Knex): Router {
  const router = Router();
  router.get('/keys', async (_request, response) => {
    response.json({ keys: await listSealKeys(db) });
  });
  router.get('/schema/report', (_request, response) => {
    response.type('application/schema+json').send(JSON.stringify(reportSchema, null, 2));
  });
  return router;
}

/**
 * GET /reports/:id → the report file (open format); ?download gives it a file name.
 * GET /reports/:id/pdf?paper=a4|letter → the same on paper; without a choice as the organisation measures.
 * GET /reports/:id/defects.csv and /readings.csv → tables (RFC 4180). 404 when it is not of the own organisation.
 */
export function reportsRouter(db: Knex): Router {
  const router = Router();
  const load = async (request: Request) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const file = await inOrganisation(db, person.organisationId, (trx) => findReport(trx, id));
    if (!file) throw new Problem(404, 'not-found', 'This report is not here.');
    const { inspectionId: _, ...rest } = file;
    return { person, ...rest };
  };

  router.get('/reports/:id', async (request, response) => {
    const { person: _, ...file } = await load(request);
    const { report } = file;
    if (request.query.download !== undefined) response.attachment(`${fileName(report)}.json`);
    response.type('application/json').send(toFileText(file));
  });

  router.get('/reports/:id/pdf', async (request, response) => {
    const { person, report, seal, additions } = await load(request);
    const photos = await inOrganisation(db, person.organisationId, async (trx) => {
      const found = new Map<string, Buffer>();
      const all = [
        ...report.defects.flatMap((defect) => defect.photos),
        ...additions.flatMap(({ addition }) => addition.photos ?? []),
      ];
      for (const { id } of all) {
        const bytes = await findPhoto(trx, id);
        if (bytes) found.set(id, bytes);
      }
      return found;
    });
    const habit = await db('organisations')
      .where({ id: person.organisationId })
      .first('units_habit');
    const pdf = await doHeavy('report-pdf', {
      report,
      seal,
      additions,
      photos,
      habit: habit.units_habit,
      paper: paperOf(request.query.paper) ?? (habit.units_habit === 'customary' ? 'letter' : 'a4'),
    });
    response
      .set('Content-Disposition', `inline; filename="${fileName(report)}.pdf"`)
      .type('application/pdf')
      .send(Buffer.from(pdf));
  });

  router.get('/reports/:id/:table.csv', async (request, response) => {
    const { report } = await load(request);
    const { table } = request.params;
    if (table !== 'defects' && table !== 'readings')
      throw new Problem(404, 'not-found', 'There is a table of defects and one of readings.');
    response
      .attachment(`${fileName(report)}-${table}.csv`)
      .type('text/csv')
      .send(toCsv(report, table));
  });

  return router;
}

function paperOf(value: unknown): Paper | undefined {
  return value === 'a4' || value === 'letter' ? value : undefined;
}

function fileName(report: { units: readonly { number: string }[]; signedAt: string }): string {
  const units = report.units.map((unit) => unit.number).join('-');
  return `report-${units}-${report.signedAt.slice(0, 10)}`.replace(/[^\w.-]/g, '');
}
