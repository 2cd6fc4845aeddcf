import { uuid } from '@nazar/core/inspection';
import { reportSchema, toFileText } from '@nazar/core/report';
import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { renderReport } from '../report/pdf/render-report';
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
 * GET /reports/:id/pdf → the same on paper. 404 when it is not of the own organisation.
 */
export function reportsRouter(db: Knex): Router {
  const router = Router();
  const load = async (request: Request) => {
    const person = personOf(request);
    const id = await uuid().required().validate(request.params.id);
    const file = await inOrganisation(db, person.organisationId, (trx) => findReport(trx, id));
    if (!file) throw new Problem(404, 'not-found', 'This report is not here.');
    return { person, report: file.report, seal: file.seal, additions: file.additions };
  };

  router.get('/reports/:id', async (request, response) => {
    const { report, seal, additions } = await load(request);
    if (request.query.download !== undefined) response.attachment(`${fileName(report)}.json`);
    response.type('application/json').send(toFileText({ report, seal, additions }));
  });

  router.get('/reports/:id/pdf', async (request, response) => {
    const { person, report, seal, additions } = await load(request);
    const photos = await inOrganisation(db, person.organisationId, async (trx) => {
      const found = new Map<string, Buffer>();
      for (const { id } of report.defects.flatMap((defect) => defect.photos)) {
        const bytes = await findPhoto(trx, id);
        if (bytes) found.set(id, bytes);
      }
      return found;
    });
    const habit = await db('organisations')
      .where({ id: person.organisationId })
      .first('units_habit');
    const pdf = await renderReport({ report, seal, additions, photos, habit: habit.units_habit });
    response
      .set('Content-Disposition', `inline; filename="${fileName(report)}.pdf"`)
      .type('application/pdf')
      .send(pdf);
  });

  return router;
}

function fileName(report: { units: readonly { number: string }[]; signedAt: string }): string {
  const units = report.units.map((unit) => unit.number).join('-');
  return `report-${units}-${report.signedAt.slice(0, 10)}`.replace(/[^\w.-]/g, '');
}
