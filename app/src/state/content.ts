import { catalogue, type Catalogue } from '@nazar/core/catalogue';
import { AS_SHIPPED, withHouse, type HouseContent } from '@nazar/core/house';
import { create } from 'zustand';
import { ApiProblem, callApi, callJson } from './api';
import { keepValue, readValue } from './database';
import { useReference, type Reference } from './reference';

/** The catalogue as the depot asks it now. */
export function catalogueOf(reference: Reference | undefined): Catalogue {
  return withHouse(catalogue, reference?.content ?? AS_SHIPPED);
}

/** As {@link catalogueOf}, for a screen. */
export function useCatalogue(): Catalogue {
  return catalogueOf(useReference((state) => state.reference));
}

interface FormerContents {
  /** Versions that walks on this device were begun by and that hold no more. */
  readonly byVersion: ReadonlyMap<number, HouseContent>;
  readonly load: (version: number) => Promise<void>;
}

// Kept with every answer of the server, so that a walk can be gone on with without a network.
const nameFor = (version: number) => `content ${version}`;

export const useFormerContents = create<FormerContents>((set, get) => ({
  byVersion: new Map(),
  load: async (version) => {
    if (get().byVersion.has(version)) return;
    const content =
      (await readValue<HouseContent>(nameFor(version))) ??
      (await callJson<HouseContent>(`/content/${version}`).catch((error: unknown) => {
        if (error instanceof ApiProblem) return undefined;
        throw error;
      }));
    if (content) set(({ byVersion }) => ({ byVersion: new Map(byVersion).set(version, content) }));
  },
}));

interface FormerCatalogues {
  /** Versions that walks on this device were begun by before the app was updated. */
  readonly byVersion: ReadonlyMap<string, Catalogue>;
  readonly load: (version: string) => Promise<void>;
}

/** A walk is gone on with by the catalogue that it was begun by. */
export const useFormerCatalogues = create<FormerCatalogues>((set, get) => ({
  byVersion: new Map([[catalogue.version, catalogue]]),
  load: async (version) => {
    if (get().byVersion.has(version)) return;
    const name = `catalogue ${version}`;
    let found = await readValue<Catalogue>(name);
    if (!found) {
      const path = `/catalogue/${encodeURIComponent(version)}`;
      found = await callJson<Catalogue>(path).catch((error: unknown) => {
        if (error instanceof ApiProblem) return undefined;
        throw error;
      });
      if (found) await keepValue(name, found);
    }
    const kept = found;
    if (kept) set(({ byVersion }) => ({ byVersion: new Map(byVersion).set(version, kept) }));
  },
}));

export interface ContentVersion {
  readonly version: number;
  readonly at: string;
  readonly by: string;
  readonly words: string;
}

export interface ContentState {
  readonly content: HouseContent;
  /** Newest first. */
  readonly versions: readonly ContentVersion[];
}

export function loadContent(): Promise<ContentState> {
  return callJson<ContentState>('/content');
}

export function loadContentVersion(version: number): Promise<HouseContent> {
  return callJson<HouseContent>(`/content/${version}`);
}

/**
 * Makes the next version.
 * @param words what changes and why
 * @throws ApiProblem whose detail has one fault a line
 */
export async function changeContent(
  basedOn: number,
  content: HouseContent,
  words: string,
): Promise<void> {
  await callApi('/content', { method: 'PUT', json: { basedOn, content, words } });
}

/** Takes a catalogue file in, whole or not at all. @throws ApiProblem as {@link changeContent} */
export async function bringCatalogue(basedOn: number, file: unknown, words: string): Promise<void> {
  await callApi('/content/file', { method: 'POST', json: { basedOn, file, words } });
}
