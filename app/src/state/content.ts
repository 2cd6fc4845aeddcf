import type { ContentState } from '@nazar/core/wire';
import { AS_SHIPPED, type DepotContent } from '@nazar/core/depot-content';
import { callApi, callJson } from './api';
import { readValue } from './database';
import { useReference } from './reference';
import { FOR_EVER, useServerRead, type ServerRead } from './server-reads';

/**
 * What the depot had changed of the catalogue when a walk was begun.
 * @returns undefined until it is here
 */
export function useContentOf(version: number | undefined): DepotContent | undefined {
  const now = useReference((state) => state.reference?.content);
  const asShipped = version === undefined || version === 0;
  const { value: former } = useServerRead(
    ['content', version],
    // Kept with every answer of the server, so that a walk can be gone on with without a network.
    async () =>
      (await readValue<DepotContent>(`content ${version}`)) ??
      callJson<DepotContent>(`/content/${version}`),
    { ...FOR_EVER, enabled: !asShipped && version !== now?.version },
  );
  if (asShipped) return AS_SHIPPED;
  return version === now?.version ? now : former;
}

export function useContent(): ServerRead<ContentState> {
  return useServerRead(['content'], () => callJson<ContentState>('/content'));
}

export function loadContentVersion(version: number): Promise<DepotContent> {
  return callJson<DepotContent>(`/content/${version}`);
}

/**
 * Makes the next version.
 * @param words what changes and why
 * @throws ApiProblem whose detail has one fault a line
 */
export async function changeContent(
  basedOn: number,
  content: DepotContent,
  words: string,
): Promise<void> {
  await callApi('/content', { method: 'PUT', json: { basedOn, content, words } });
}

/** Takes a catalogue file in, whole or not at all. @throws ApiProblem as {@link changeContent} */
export async function bringCatalogue(basedOn: number, file: unknown, words: string): Promise<void> {
  await callApi('/content/file', { method: 'POST', json: { basedOn, file, words } });
}
