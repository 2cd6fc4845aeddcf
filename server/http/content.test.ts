import { type Catalogue, type Check } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { AS_SHIPPED, withDepotContent, type DepotContent } from '@nazar/core/depot-content';
import { composeRig } from '@nazar/core/rig';
import { signature, trailer, truck, walkSound } from '@nazar/core/testing';
import { keepCatalogueVersion } from '../store/catalogue-versions';
import { inOrganisation } from '../store/connection';
import {
  asWalkOf,
  halvern,
  people,
  quayTruck,
  startTestServer,
  type TestServer,
} from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const { imre, ilka, jonah, strangeSupervisor } = people;
const RADIO = 'truck.cab.radio';
const off = { check: RADIO, reason: 'no radio in any of ours', scope: {} };
const flag: Check = {
  id: 'house.flag',
  title: 'Look at the depot flag',
  zone: 'front',
  method: 'look',
  phases: ['pre-trip'],
  needs: [],
  helper: 'none',
  seconds: 3,
  criterion: 'Hangs straight.',
  symptoms: [{ id: 'gone', words: 'Gone', system: 'body', harm: 'watch', takes: ['road'] }],
  cautions: [],
  why: 'It tells whose truck it is.',
};

const change = async (content: Partial<DepotContent>, basedOn: number, words = 'as agreed') =>
  (await server.as(ilka))
    .put('/api/content')
    .send({ basedOn, words, content: { ...AS_SHIPPED, ...content } });
const present = async () => (await (await server.as(imre)).get('/api/content').expect(200)).body;

/** A sound walk by these rules, signed and sent; resolves with the answers and the report of the truck. */
async function walkBy(content: DepotContent, houseVersion?: number) {
  const rig = composeRig({
    units: [truck, trailer],
    phase: 'pre-trip',
    circumstances: [],
    catalogue: withDepotContent(catalogue, content),
  });
  const log = walkSound(rig);
  const begun = log.events[0] as { payload: object };
  begun.payload = { ...begun.payload, ...(houseVersion && { houseVersion }) };
  log.add('signed', { signature, headline: 'rolls' });
  const events = asWalkOf(imre, log.events);
  const answers = await server.send(imre, events);
  const codes = [...new Set(answers.map(({ status, code }: any) => code ?? status))];
  return { id: events[0].inspectionId, codes };
}
const reportOf = async (id: string) =>
  (await (await server.as(imre)).get(`/api/reports/${id}`).expect(200)).body.report;

it('is as it ships before anybody changes it', async () => {
  expect(await present()).toEqual({ content: AS_SHIPPED, versions: [] });
});

it('is changed by supervisors only', async () => {
  const driver = await server.as(imre);
  await driver
    .put('/api/content')
    .send({ basedOn: 0, words: 'nicer', content: AS_SHIPPED })
    .expect(403);
  await driver.post('/api/content/file').send({ basedOn: 0, words: 'nicer', file: {} }).expect(403);
});

it.each([
  [
    'a switched-off check that a rule asks for',
    { off: [{ ...off, check: 'truck.emergency.triangles' }] },
    /off\[0\].*49 CFR/,
  ],
  [
    'a limit looser than law',
    {
      stricter: [
        {
          check: 'truck.tyre.tread-steer',
          side: 'below',
          value: 2,
          unit: '32nds',
          reason: 'cheaper',
          scope: {},
        },
      ],
    },
    /stricter\[0\].*looser than law/,
  ],
  [
    'a check without a symptom',
    { own: [{ module: truck.moduleId, check: { ...flag, symptoms: [] }, scope: {} }] },
    /own\[0\].*symptoms/,
  ],
  [
    'a unit of another depot',
    { off: [{ ...off, scope: { unitId: quayTruck.id } }] },
    /not of your depot/,
  ],
])('is not changed by %s', async (_, content, words) => {
  const answer = await change(content as Partial<DepotContent>, 0);
  expect(answer.status).toBe(422);
  expect(answer.body.detail).toMatch(words);
  expect((await present()).versions).toEqual([]);
});

it('needs a reason in words', async () => {
  expect((await change({}, 0, '')).status).toBe(422);
});

describe('version by version', () => {
  const first: DepotContent = { ...AS_SHIPPED, version: 1, off: [off] };
  const second: DepotContent = {
    ...first,
    version: 2,
    own: [{ module: truck.moduleId, check: flag, scope: {} }],
  };
  let before: string;

  it('is kept, told to every phone, and written down', async () => {
    before = (await walkBy(AS_SHIPPED)).id;
    expect((await change({ off: [off] }, 0)).status).toBe(201);
    expect(await present()).toMatchObject({
      content: first,
      versions: [{ version: 1, by: 'Ilka Moors', words: 'as agreed' }],
    });
    const { body } = await (await server.as(imre)).get('/api/reference').expect(200);
    expect(body.content).toEqual(first);
    const { body: rules } = await (await server.as(ilka)).get('/api/rules').expect(200);
    expect(rules.changes[0]).toMatchObject({ what: 'content', by: 'Ilka Moors' });
  });

  it('is not overwritten by somebody who read an older one', async () => {
    const answer = await change({ off: [] }, 0);
    expect(answer.status).toBe(409);
    expect(answer.body.detail).toMatch(/Read it again/);
    expect((await change({ off: [off], own: second.own }, 1)).status).toBe(201);
  });

  it('decides what a walk must answer', async () => {
    const short = await walkBy(first, 2);
    expect(short.codes).toEqual(['stored', 'not-complete']);
    const whole = await walkBy(second, 2);
    expect(whole.codes).toEqual(['stored']);
    const report = await reportOf(whole.id);
    expect(report.house).toBe(2);
    expect(report.notAsked).toEqual([{ title: expect.any(String), reason: off.reason }]);
    expect(report.answers.map(({ check }: any) => check)).toContain(flag.id);
    expect(report.answers.map(({ check }: any) => check)).not.toContain(RADIO);
  });

  it('lets a walk be finished by the version that it was begun by', async () => {
    expect((await walkBy(first, 1)).codes).toEqual(['stored']);
    expect((await walkBy(AS_SHIPPED)).codes).toEqual(['stored']);
  });

  it('refuses one that was begun by a version which never was', async () => {
    expect((await walkBy(AS_SHIPPED, 9)).codes).toContain('content-unknown');
  });

  it('leaves an old report as it was', async () => {
    const report = await reportOf(before);
    expect(report.house).toBeUndefined();
    expect(report.notAsked).toBeUndefined();
    expect(report.answers.map(({ check }: any) => check)).toContain(RADIO);
  });

  it('can be read again, each', async () => {
    const driver = await server.as(imre);
    expect((await driver.get('/api/content/1').expect(200)).body).toEqual(first);
    expect((await driver.get('/api/content/0').expect(200)).body).toEqual(AS_SHIPPED);
    await driver.get('/api/content/77').expect(404);
    await driver.get('/api/content/none').expect(422);
  });

  it('cannot be changed in the database by whoever serves', async () => {
    await expect(
      inOrganisation(server.db, halvern.id, (trx) =>
        trx('house_contents').update({ words: 'other' }),
      ),
    ).rejects.toThrow(/permission denied/);
  });

  it('is nothing to another depot or organisation', async () => {
    for (const person of [jonah, strangeSupervisor]) {
      const { body } = await (await server.as(person)).get('/api/content').expect(200);
      expect(body.content.version).toBe(0);
      await (await server.as(person)).get('/api/content/1').expect(404);
    }
  });
});

describe('a catalogue file', () => {
  const exported = async () =>
    JSON.parse((await (await server.as(imre)).get('/api/content/file').expect(200)).text);
  const bring = async (file: unknown, basedOn: number) =>
    (await server.as(ilka))
      .post('/api/content/file')
      .send({ basedOn, words: 'from the file', file });

  it('goes out and comes in again as the same', async () => {
    const file = await exported();
    const { version } = (await present()).content;
    expect((await bring(file, version)).status).toBe(201);
    const { content } = await present();
    expect(content.version).toBe(version + 1);
    expect(content.off).toEqual([off]);
    expect(content.modules).toEqual([]);
  });

  it('with one fault is refused whole, with the place', async () => {
    const file = await exported();
    file.modules[0].title = 'Renamed';
    file.modules[1].checks[0].symptoms = [];
    file.modules[2].id = 'hovercraft';
    const { version } = (await present()).content;
    const answer = await bring(file, version);
    expect(answer.status).toBe(422);
    expect(answer.body.code).toBe('content-faults');
    expect(answer.body.detail).toMatch(/symptoms/);
    expect((await present()).content.version).toBe(version);
  });

  it('that is none is refused with a sentence', async () => {
    const answer = await bring({ format: 'shopping-list' }, 3);
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toBe('format: this is no nazar-catalogue');
  });
});

describe('a catalogue of before', () => {
  const former: Catalogue = {
    ...catalogue,
    version: '2026.10-former',
    // It did not ask for the radio yet.
    modules: catalogue.modules.map((module) => ({
      ...module,
      checks: module.checks.filter(({ id }) => id !== RADIO),
    })),
  };

  /** A sound walk of a phone that has not been updated. */
  async function walkByFormer() {
    const rig = composeRig({
      units: [truck, trailer],
      phase: 'pre-trip',
      circumstances: [],
      catalogue: former,
    });
    const log = walkSound(rig);
    const begun = log.events[0] as { payload: object };
    begun.payload = { ...begun.payload, catalogueVersion: former.version };
    log.add('signed', { signature, headline: 'rolls' });
    const events = asWalkOf(imre, log.events);
    const answers = await server.send(imre, events);
    return {
      id: events[0].inspectionId,
      asked: rig.instances.length,
      codes: [...new Set(answers.map(({ status, code }: any) => code ?? status))],
    };
  }

  it('that this server never had is refused with a sentence, and the walk stays on the phone', async () => {
    expect((await walkByFormer()).codes).toEqual(['catalogue-unknown', 'not-begun']);
    await (await server.as(imre)).get(`/api/catalogue/${former.version}`).expect(404);
  });

  it('that it had is what a walk is judged by that was begun by it', async () => {
    await keepCatalogueVersion(server.owner, former);
    const { id, asked, codes } = await walkByFormer();
    expect(codes).toEqual(['stored']);
    const row = await inOrganisation(server.db, halvern.id, (trx) =>
      trx('inspections').where({ id }).first(),
    );
    expect(row).toMatchObject({ total: asked, answered: asked });
    expect(row.report_id).not.toBeNull();
    expect(await reportOf(id)).toMatchObject({ catalogue: former.version });
    const { body } = await (
      await server.as(imre)
    )
      .get(`/api/catalogue/${former.version}`)
      .expect(200);
    expect(body.version).toBe(former.version);
  });
});
