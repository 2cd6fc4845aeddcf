import { verifyReport, type ReportFile } from '@nazar/core/seal';
import { faultOf, instanceOf, makeRig, signature, truck, walkSound } from '@nazar/core/testing';
import request from 'supertest';
import sharp from 'sharp';
import { v4 as anyId } from 'uuid';
import { inOrganisation } from '../store/connection';
import {
  asWalkOf,
  halvern,
  people,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const rig = makeRig();
const nuts = instanceOf(rig, 'wheel.nuts/steer-left');

async function walk(
  change: (log: ReturnType<typeof walkSound>) => void = () => undefined,
): Promise<string> {
  const log = walkSound(rig, ['dark']);
  change(log);
  log.add('signed', { signature, headline: 'rolls' });
  const events = asWalkOf(people.imre, log.events);
  await server.send(people.imre, events);
  return events[0].inspectionId;
}

async function download(id: string): Promise<string> {
  const agent = await server.as(people.imre);
  return (await agent.get(`/api/reports/${id}?download`).expect(200)).text;
}

async function pdfOf(id: string): Promise<string> {
  const agent = await server.as(people.imre);
  const answer = await agent
    .get(`/api/reports/${id}/pdf`)
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    });
  expect(answer.headers['content-type']).toBe('application/pdf');
  return (answer.body as Buffer).toString('latin1');
}

const pagesOf = (pdf: string) => (pdf.match(/\/Type \/Page\b/g) ?? []).length;

describe('a sealed report', () => {
  it('verifies against the depot’s public key', async () => {
    const text = await download(await walk());
    const { keys } = (await request(server.app).get('/api/keys').expect(200)).body;
    expect(keys).toEqual([server.key.publicKey]);
    expect(verifyReport(text, keys)).toMatchObject({ outcome: 'intact', notes: [] });
  });

  it('is chained to the one before, for each unit', async () => {
    const first = JSON.parse(await download(await walk())) as ReportFile;
    const second = JSON.parse(await download(await walk())) as ReportFile;
    const [link] = second.seal.chain;
    expect(second.seal.chain).toHaveLength(1);
    expect(link.previous).toBe(first.seal.hash);
    expect(link.sequence).toBe(first.seal.chain[0].sequence + 1);
    // The trailer has a report and a chain of its own, which the truck's report names.
    const trailerOf = async ({ report }: ReportFile) =>
      JSON.parse(await download(report.rig?.units[1].report ?? '')) as ReportFile;
    const [former, latter] = [await trailerOf(first), await trailerOf(second)];
    expect(latter.report.units.map(({ number }) => number)).toEqual(['931']);
    expect(latter.seal.chain[0]).toEqual({
      unit: latter.report.units[0].id,
      sequence: former.seal.chain[0].sequence + 1,
      previous: former.seal.hash,
    });
  });

  it('keeps an unbroken chain when many are sealed at once', async () => {
    await Promise.all(Array.from({ length: 6 }, () => walk()));
    const rows = await inOrganisation(server.owner, halvern.id, (trx) =>
      trx('reports').where({ unit_id: truck.id }).select('seal'),
    );
    const links = rows
      .map(({ seal }) => ({ hash: seal.hash, ...seal.chain[0] }))
      .sort((a, b) => a.sequence - b.sequence);
    links.forEach((link, index) => {
      expect(link.sequence).toBe(index + 1);
      if (index > 0) expect(link.previous).toBe(links[index - 1].hash);
    });
  });

  it('gets additions, each with a seal of its own', async () => {
    const defectId = anyId();
    const id = await walk((log) => log.add('faulted', faultOf(nuts, 'nut-one', { defectId })));
    await server.send(people.rasmus, [
      {
        id: anyId(),
        inspectionId: id,
        deviceId: anyId(),
        actorId: people.rasmus.id,
        at: Date.UTC(2026, 10, 26),
        sequence: 1,
        version: 1,
        type: 'certified',
        payload: { defectId, outcome: 'repaired', words: 'New nut, torqued', signature },
      },
    ]);
    await walk((log) => log.add('acknowledged', { defectId }));
    const text = await download(id);
    const file = JSON.parse(text) as ReportFile;
    expect(file.additions.map(({ addition }) => [addition.kind, addition.by.name])).toEqual(
      expect.arrayContaining([
        ['certified', 'Rasmus Feld'],
        ['acknowledged', 'Imre Dahl'],
      ]),
    );
    expect(verifyReport(text, [server.key.publicKey]).outcome).toBe('intact');
  });

  it('cannot be changed by the role that serves, nor its log', async () => {
    const id = await walk();
    const attempts = [
      `update reports set body = '{}' where id = '${id}'`,
      `delete from reports where id = '${id}'`,
      `update events set payload = '{}' where inspection_id = '${id}'`,
      `delete from events where inspection_id = '${id}'`,
      `update readings set value = 1`,
      `drop table reports`,
    ];
    for (const sql of attempts)
      await expect(inOrganisation(server.db, halvern.id, (trx) => trx.raw(sql))).rejects.toThrow(
        /permission denied|must be owner/,
      );
  });

  it('is found by nobody of another organisation, and not without a sign-in', async () => {
    const id = await walk();
    const stranger = await server.as(people.stranger);
    await stranger.get(`/api/reports/${id}`).expect(404);
    await stranger.get(`/api/reports/${id}/pdf`).expect(404);
    await request(server.app).get(`/api/reports/${id}`).expect(401);
  });

  it('asked for by a number that is none is told so', async () => {
    const agent = await server.as(people.imre);
    const answer = await agent.get('/api/reports/12').expect(422);
    expect(answer.body.detail).toMatch(/identifier/);
  });

  it('publishes its schema', async () => {
    const answer = await request(server.app).get('/api/schema/report').expect(200);
    expect(JSON.parse(answer.text)).toMatchObject({ $id: 'nazar-report-2.schema.json' });
  });
});

describe('on paper', () => {
  it('is one tagged page with embedded fonts when nothing is wrong', async () => {
    const pdf = await pdfOf(await walk());
    expect(pdf.startsWith('%PDF-1.7')).toBe(true);
    expect(pagesOf(pdf)).toBe(1);
    expect(pdf).toContain('/StructTreeRoot');
    expect(pdf).toContain('/MarkInfo');
    expect(pdf).toContain('/Lang (en)');
    expect((pdf.match(/\/FontFile2/g) ?? []).length).toBeGreaterThanOrEqual(2);
  });

  it('is the same bytes every time', async () => {
    const id = await walk();
    expect(await pdfOf(id)).toBe(await pdfOf(id));
  });

  it('shows the photos of the faults', async () => {
    const photo = anyId();
    const picture = await sharp({
      create: { width: 900, height: 600, channels: 3, background: '#445' },
    })
      .jpeg()
      .toBuffer();
    const log = walkSound(rig);
    log.add(
      'faulted',
      faultOf(nuts, 'nut-one', {
        defectId: anyId(),
        photos: [{ id: photo, width: 900, height: 600 }],
      }),
    );
    log.add('signed', { signature, headline: 'stays' });
    const events = asWalkOf(people.imre, log.events);
    const agent = await server.as(people.imre);
    await agent
      .put(`/api/photos/${photo}?inspection=${events[0].inspectionId}`)
      .set('Content-Type', 'image/jpeg')
      .send(picture)
      .expect(204);
    await server.send(people.imre, events);
    const file = JSON.parse(await download(events[0].inspectionId)) as ReportFile;
    expect(file.report.defects[0].photos[0].sha256).toMatch(/^[0-9a-f]{64}$/);
    expect(await pdfOf(events[0].inspectionId)).toContain('/Subtype /Image');
  });
});
