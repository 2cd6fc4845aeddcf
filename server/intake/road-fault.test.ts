import type { Payloads } from '@nazar/core/inspection';
import { faultOf, instanceOf, makeRig, signature, walkSound } from '@nazar/core/testing';
import { v4 as anyId } from 'uuid';
import { inOrganisation } from '../store/connection';
import {
  asWalkOf,
  eventAfter,
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

const { imre, tove, rasmus, ilka } = people;
const rig = makeRig();
const belt = instanceOf(rig, 'truck.cab.belt');
const found = () => faultOf(belt, 'belt-cut', { defectId: anyId() });

it('goes into the same log between sign-out and return, to the workshop and onto the report', async () => {
  const log = walkSound(rig);
  log.add('signed', { signature, headline: 'rolls' });
  const last = log.events[log.events.length - 1].at;
  const events = asWalkOf(imre, log.events, Date.now() - 3_600_000 - last);
  const id = events[0].inspectionId;
  expect((await server.send(imre, events)).filter(({ status }) => status !== 'stored')).toEqual([]);
  const add = async <T extends keyof Payloads>(who: typeof imre, type: T, payload: Payloads[T]) =>
    (await server.send(who, [eventAfter(who, id, type, payload, Date.now())]))[0];

  expect(await add(imre, 'found', found())).toMatchObject({ code: 'not-signed-out' });
  await add(imre, 'signed-out', { purpose: 'job', needs: [], conditions: [] });
  const fault = found();
  expect(await add(tove, 'found', fault)).toMatchObject({ code: 'other-walk' });
  expect(await add(imre, 'found', fault)).toMatchObject({ status: 'stored' });
  const rows = await inOrganisation(server.db, halvern.id, (trx) =>
    trx('defects').where({ id: fault.defectId }),
  );
  expect(rows).toMatchObject([{ status: 'open', symptom_id: 'belt-cut', inspection_id: id }]);

  const [report] = await inOrganisation(server.db, halvern.id, (trx) =>
    trx('reports').where({ inspection_id: id, unit_id: belt.unit.id }).select('id'),
  );
  const { body: file } = await (await server.as(ilka)).get(`/api/reports/${report.id}`).expect(200);
  // What was signed does not have it; what was added does.
  expect(file.report.defects).toEqual([]);
  const additions = file.additions.map(({ addition }: { addition: unknown }) => addition);
  expect(additions).toContainEqual(
    expect.objectContaining({
      kind: 'found',
      defect: fault.defectId,
      words: expect.stringMatching(/cut/i),
    }),
  );

  expect(await add(imre, 'returned', {})).toMatchObject({ status: 'stored' });
  expect(await add(imre, 'found', found())).toMatchObject({ code: 'already-returned' });
  const certified = {
    defectId: fault.defectId,
    outcome: 'repaired' as const,
    words: 'Belt replaced.',
    signature,
  };
  expect(await add(rasmus, 'certified', certified)).toMatchObject({ status: 'stored' });
});
