import type { ReportFile } from '@nazar/core/seal';
import { callApi } from './api';
import { keepValue, readValue } from './database';

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

export function parseReport(text: string): ReportFile {
  return JSON.parse(text) as ReportFile;
}

/** Public keys of the depot, to hold a seal against. */
export async function loadSealKeys(): Promise<string[]> {
  try {
    const { keys } = (await (await callApi('/keys')).json()) as { keys: string[] };
    await keepValue('seal keys', keys);
    return keys;
  } catch {
    return (await readValue<string[]>('seal keys')) ?? [];
  }
}
