import { clearDevice } from '../../testing/device';
import { answerFetch } from '../../testing/server-stand-in';
import { ApiProblem } from './api';

import { keepDraft, dropDraft, listDrafts, readDraft } from './drafts';
import { useSession } from './session';

const person = { id: 'a', name: 'Imre Dahl', role: 'driver', depotId: 'n', organisationId: 'h' };

beforeEach(async () => {
  await clearDevice();
  useSession.setState({ person: undefined, expired: false });
});

it('remembers who is signed in without asking the server', async () => {
  answerFetch(() => ({ status: 200, body: { person } }));
  await useSession.getState().signIn('Imre Dahl', '2140');
  useSession.setState({ person: undefined });
  answerFetch(() => 'offline');
  await useSession.getState().load();
  expect(useSession.getState().person).toEqual(person);
});

it('knows when nobody ever was', async () => {
  await useSession.getState().load();
  expect(useSession.getState().person).toBeNull();
});

it('passes the server’s sentence on', async () => {
  answerFetch(() => ({ status: 423, body: { code: 'locked', detail: 'Too many wrong PINs.' } }));
  await expect(useSession.getState().signIn('Imre Dahl', '0000')).rejects.toMatchObject({
    code: 'locked',
    detail: 'Too many wrong PINs.',
  });
  expect(useSession.getState().person).toBeUndefined();
});

it('survives an answer that is no JSON', async () => {
  globalThis.fetch = () =>
    Promise.resolve({
      ok: false,
      status: 502,
      json: () => Promise.reject(new SyntaxError('<html>')),
    } as unknown as Response);
  const failing = useSession.getState().signIn('Imre Dahl', '2140');
  await expect(failing).rejects.toBeInstanceOf(ApiProblem);
  await expect(failing).rejects.toMatchObject({ status: 502, code: 'unexpected' });
});

it('signs out without a network, and keeps the entries', async () => {
  useSession.setState({ person: person as never });
  await keepDraft('walk', 'check', { symptomId: 'x' });
  answerFetch(() => 'offline');
  await useSession.getState().signOut();
  expect(useSession.getState().person).toBeNull();
  expect(await readDraft('walk', 'check')).toEqual({ symptomId: 'x' });
});

it('keeps the draft of a fault until it is dropped', async () => {
  await keepDraft('walk', 'unit/check/place', { page: 'where' });
  await keepDraft('walk', 'unit/check/place', { page: 'how-much' });
  await keepDraft('other', 'unit/check', {});
  expect(await listDrafts('walk')).toEqual(['unit/check/place']);
  expect(await readDraft('walk', 'unit/check/place')).toEqual({ page: 'how-much' });
  await dropDraft('walk', 'unit/check/place');
  expect(await listDrafts('walk')).toEqual([]);
  expect(await listDrafts('other')).toHaveLength(1);
});
