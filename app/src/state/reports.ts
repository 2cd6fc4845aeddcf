import type { ReportFile } from '@nazar/core/seal';
import { callApi, callJson } from './api';
import { keepValue, readValue } from './database';
import { useServerRead, type ServerRead } from './server-reads';

/** A report file as text: from the server, else as it was last seen here. */
export async function loadReportText(id: string): Promise<string> {
  try {
    const text = await (await callApi(`/reports/${id}`)).text();
    await keepValue(`report ${id}`, text);
    return text;
  } catch (error) {
    const kept = await readValue<string>(`report ${id}`);
    if (kept !== undefined) return kept;
    throw error;
  }
}

/** @param there whether the server can have it by now */
export function useReport(id: string, there: boolean): ServerRead<ReportFile> {
  return useServerRead(
    ['report', id],
    async () => JSON.parse(await loadReportText(id)) as ReportFile,
    { enabled: there },
  );
}

/** Public keys of the depot, to hold a seal against. */
export async function loadSealKeys(): Promise<string[]> {
  try {
    const { keys } = await callJson<{ keys: string[] }>('/keys');
    await keepValue('seal keys', keys);
    return keys;
  } catch {
    return (await readValue<string[]>('seal keys')) ?? [];
  }
}
