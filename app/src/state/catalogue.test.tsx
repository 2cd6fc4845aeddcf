import { clearDevice } from '../../testing/device';
import { CATALOGUE_VERSION } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { trailer, truck } from '@nazar/core/testing';
import { act, renderHook, waitFor } from '@testing-library/react';
import { answerFetch } from '../../testing/server-stand-in';
import {
  forgetFormerModules,
  useContentMissing,
  useModulesOf,
  useWholeCatalogue,
} from './catalogue';
import { keepValue, readValue, openDatabase } from './database';
import { appendEntries } from './log';
import { serverReads } from './server-reads';

const FORMER = '2020.1.1';
const moduleOf = (id: string) => catalogue.modules.find((each) => each.id === id);

/** A server that has the files of this build, and what of a former one. */
const serve = (former: readonly string[] = []) =>
  answerFetch((path) => {
    const file = /^\/content\/([^/]+)\/(.+)\.json$/.exec(path);
    if (file?.[1] === CATALOGUE_VERSION) {
      const [, , id] = file;
      if (id === 'index') return { status: 200, body: catalogue.modules.map((each) => each.id) };
      return { status: 200, body: moduleOf(id) };
    }
    if (path === `/catalogue/${FORMER}`)
      return { status: 200, body: { version: FORMER, modules: former.map(moduleOf) } };
    return { status: 404, body: { code: 'unknown', detail: 'Not here.' } };
  });

const offline = () =>
  answerFetch(() => {
    throw new TypeError('no network');
  });

const ids = (hook: { current: { modules: readonly { id: string }[] } | undefined }) =>
  hook.current?.modules.map(({ id }) => id);

beforeEach(async () => {
  serverReads.clear();
  await clearDevice();
});

it('asks for the modules of a rig, and for no other', async () => {
  const calls = serve();
  const { result } = renderHook(() => useModulesOf([truck, trailer]));
  expect(result.current).toBeUndefined();
  await waitFor(() => expect(ids(result)).toEqual(['straight-truck-air', 'tag-trailer-air']));
  expect(calls.map(({ path }) => path)).toHaveLength(2);
});

it('gives the same object for the same modules, so that a rig is joined once', async () => {
  serve();
  const { result } = renderHook(() => [useModulesOf([truck]), useModulesOf([truck])]);
  await waitFor(() => expect(result.current[0]).toBeDefined());
  expect(result.current[0]).toBe(result.current[1]);
});

it('needs no network for what was here once', async () => {
  serve();
  const first = renderHook(() => useModulesOf([truck]));
  await waitFor(() => expect(first.result.current).toBeDefined());
  first.unmount();
  serverReads.clear();
  offline();
  const { result } = renderHook(() => useModulesOf([truck]));
  await waitFor(() => expect(ids(result)).toEqual(['straight-truck-air']));
});

it('waits for the network where a module was never here, and never calls a rig complete without it', async () => {
  offline();
  const { result } = renderHook(() => [useModulesOf([truck]), useContentMissing()] as const);
  expect(result.current).toEqual([undefined, false]);
  await act(() => new Promise((done) => setTimeout(done, 50)));
  // And it says so.
  expect(result.current).toEqual([undefined, true]);
});

it('opens the version that a walk was begun by, and keeps it for a day without a network', async () => {
  const calls = serve(['straight-truck-air']);
  const { result } = renderHook(() => useModulesOf([truck], FORMER));
  await waitFor(() => expect(result.current?.version).toBe(FORMER));
  expect(calls.map(({ path }) => path)).toEqual([`/catalogue/${FORMER}`]);
  expect(await readValue(`module ${FORMER} straight-truck-air`)).toBeDefined();
});

it('leaves a module out that the version never had', async () => {
  serve([]);
  const { result } = renderHook(() => useModulesOf([truck], FORMER));
  await waitFor(() => expect(ids(result)).toEqual([]));
});

it('has the whole catalogue where a screen asks for it', async () => {
  serve();
  const { result } = renderHook(() => useWholeCatalogue());
  await waitFor(() => expect(ids(result)).toHaveLength(catalogue.modules.length));
});

it('forgets modules of versions that no walk on this device was begun by', async () => {
  for (const edition of ['2019.1.1', FORMER, CATALOGUE_VERSION])
    await keepValue(`module ${edition} winch`, {});
  await keepValue('person', 'Imre Dahl');
  await appendEntries([
    {
      inspectionId: 'walk',
      actorId: 'imre',
      type: 'begun',
      payload: { catalogueVersion: FORMER } as never,
    },
  ]);
  await forgetFormerModules();
  expect((await (await openDatabase()).getAllKeys('values')).sort()).toEqual([
    'device',
    `module ${FORMER} winch`,
    `module ${CATALOGUE_VERSION} winch`,
    'person',
  ]);
});
