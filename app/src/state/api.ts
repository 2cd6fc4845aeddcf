/** An answer of the server that is not the wished one, or none at all. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly detail: string,
  ) {
    super(detail);
  }
}

/** Code of a problem when the server could not be reached. */
export const OFFLINE = 'offline';

interface Request {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly json?: unknown;
  readonly body?: BodyInit;
  readonly type?: string;
}

/** The one door to the server. Throws {@link ApiProblem}; status 0 when there is no network. */
export async function callApi(path: string, request: Request = {}): Promise<Response> {
  const { method = 'GET', json, body, type } = request;
  return ask(`/api${path}`, {
    method,
    credentials: 'same-origin',
    headers:
      json === undefined
        ? type
          ? { 'Content-Type': type }
          : {}
        : { 'Content-Type': 'application/json' },
    body: json === undefined ? body : JSON.stringify(json),
  });
}

/** A file that ships with the app. @throws {@link ApiProblem} as {@link callApi} */
export async function callFile<T>(path: string): Promise<T> {
  return (await ask(path)).json() as Promise<T>;
}

async function ask(url: string, request?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(url, request);
  } catch {
    throw new ApiProblem(0, OFFLINE, '');
  }
  if (response.ok) return response;
  const problem = (await response.json().catch(() => ({}))) as { code?: string; detail?: string };
  throw new ApiProblem(response.status, problem.code ?? 'unexpected', problem.detail ?? '');
}

export async function callJson<T>(path: string, request: Request = {}): Promise<T> {
  return (await callApi(path, request)).json() as Promise<T>;
}
