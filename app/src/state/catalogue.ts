import { CATALOGUE_VERSION, type Catalogue, type Module } from '@nazar/core/catalogue';
import { AS_SHIPPED, withDepotContent, type DepotContent } from '@nazar/core/depot-content';
import type { Payloads } from '@nazar/core/inspection';
import type { Unit } from '@nazar/core/rig';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo, useSyncExternalStore } from 'react';
import { ApiProblem, callFile, callJson } from './api';
import { keepValue, openDatabase, readValue } from './database';
import { useReference } from './reference';
import { FOR_EVER, serverReads } from './server-reads';

/*
 * What is asked of a vehicle comes one module at a time, when a rig needs it: the app starts without any. A module of one version
 * never changes, so whatever was read once is good for ever; it stays on the device too, for a walk that goes on without a network
 * after the app was updated.
 */

/** It is tried again by itself: a screen cannot do without it. */
const PATIENT = {
  ...FOR_EVER,
  structuralSharing: false,
  retry: (_count: number, error: Error) =>
    error instanceof ApiProblem && (error.status === 0 || error.status >= 500),
  retryDelay: (count: number) => Math.min(1_000 * 2 ** count, 15_000),
} as const;

const moduleQuery = (edition: string, id: string) => ({
  ...PATIENT,
  queryKey: ['module', edition, id],
  queryFn: () => readModule(edition, id),
});

/** Null where that edition has no such module. */
async function readModule(edition: string, id: string): Promise<Module | null> {
  const name = `module ${edition} ${id}`;
  const kept = () => readValue<Module>(name);
  const found =
    edition === CATALOGUE_VERSION
      ? ((await callFile<Module>(`/content/${edition}/${id}.json`).catch(unlessProblem)) ??
        (await kept()))
      : await kept();
  const module = found ?? (await readEdition(edition)).modules.find((each) => each.id === id);
  if (module) await keepValue(name, module);
  return module ?? null;
}

/** A version that the server keeps, because a walk was begun by it. */
const readEdition = (edition: string) =>
  serverReads.fetchQuery({
    ...FOR_EVER,
    queryKey: ['edition', edition],
    queryFn: () => callJson<Catalogue>(`/catalogue/${encodeURIComponent(edition)}`),
  });

/** Names of kept modules: everything between a blank and the sign behind it. */
const OF_MODULES = IDBKeyRange.bound('module ', 'module!');

/** Lets go of modules of former versions that no walk on this device was begun by. */
export async function forgetFormerModules(): Promise<void> {
  const walked = new Set<string>([CATALOGUE_VERSION]);
  const database = await openDatabase();
  for (const { event } of await database.getAll('events'))
    if (event.type === 'begun') walked.add((event.payload as Payloads['begun']).catalogueVersion);
  for (const name of await database.getAllKeys('values', OF_MODULES))
    if (!walked.has(name.split(' ')[1])) await database.delete('values', name);
}

function unlessProblem(error: unknown): undefined {
  if (!(error instanceof ApiProblem)) throw error;
}

/** One object for the same modules, so that what is derived from it is derived once. */
const catalogues = new Map<string, Catalogue>();

/**
 * The modules that units are made of, as they ship.
 * @param edition the version; that of this build where nothing is said
 * @returns undefined until all of them are here
 */
export function useModulesOf(
  units: readonly Pick<Unit, 'moduleId' | 'fitted'>[],
  edition: string = CATALOGUE_VERSION,
): Catalogue | undefined {
  return useModules(
    [...new Set(units.flatMap(({ moduleId, fitted = [] }) => [moduleId, ...fitted]))].sort(),
    edition,
  );
}

function useModules(ids: readonly string[], edition: string): Catalogue | undefined {
  const names = ids.join(' ');
  // Each touch on a walk asks again: the questions are made once.
  const queries = useMemo(
    () => (names === '' ? [] : names.split(' ').map((id) => moduleQuery(edition, id))),
    [names, edition],
  );
  const found = useQueries({ queries }, serverReads).map(({ data }) => data);
  if (found.some((module) => module === undefined)) return undefined;
  const modules = found.flatMap((module) => module ?? []);
  const name = `${edition} ${modules.map(({ id }) => id).join(' ')}`;
  let catalogue = catalogues.get(name);
  if (!catalogue) catalogues.set(name, (catalogue = { version: edition, modules }));
  return catalogue;
}

/** Whether content that a screen waits for could not be loaded so far. It is tried again by itself. */
export function useContentMissing(): boolean {
  return useSyncExternalStore(
    (changed) => serverReads.getQueryCache().subscribe(changed),
    () =>
      serverReads
        .getQueryCache()
        .findAll({ type: 'active' })
        .some(
          ({ queryKey: [name], state }) =>
            (name === 'module' || name === 'modules') &&
            state.data === undefined &&
            state.fetchFailureCount > 0,
        ),
  );
}

/** As {@link useModulesOf}, with what the depot changed. */
export function useCatalogueOf(units: readonly Unit[]): Catalogue | undefined {
  return asAsked(useModulesOf(units), useContentNow());
}

/**
 * Every module as the depot asks it, or as it would with other content.
 * @returns undefined until all are here
 */
export function useWholeCatalogue(content?: DepotContent): Catalogue | undefined {
  const now = useContentNow();
  const { data: ids } = useQuery(
    {
      ...PATIENT,
      queryKey: ['modules', CATALOGUE_VERSION],
      queryFn: async () =>
        (await callFile<readonly string[]>(`/content/${CATALOGUE_VERSION}/index.json`).catch(
          unlessProblem,
        )) ?? (await readEdition(CATALOGUE_VERSION)).modules.map(({ id }) => id),
    },
    serverReads,
  );
  const whole = useModules(ids ?? [], CATALOGUE_VERSION);
  return asAsked(ids && whole, content ?? now);
}

const useContentNow = (): DepotContent =>
  useReference((state) => state.reference?.content) ?? AS_SHIPPED;

const asAsked = (catalogue: Catalogue | undefined, content: DepotContent) =>
  catalogue && withDepotContent(catalogue, content);
