type Handler = (path: string, init: RequestInit) => { status: number; body?: unknown } | 'offline';

export interface Call {
  readonly path: string;
  readonly method: string;
  readonly body: unknown;
}

/** Answers `fetch` in place of a server and keeps what was asked. */
export function answerFetch(handler: Handler): Call[] {
  const calls: Call[] = [];
  globalThis.fetch = (input: RequestInfo | URL, init: RequestInit = {}) => {
    const path = String(input).replace(/^\/api/, '');
    calls.push({
      path,
      method: init.method ?? 'GET',
      body: typeof init.body === 'string' ? (JSON.parse(init.body) as unknown) : init.body,
    });
    const answer = handler(path, init);
    if (answer === 'offline') return Promise.reject(new TypeError('Failed to fetch'));
    const { status, body } = answer;
    return Promise.resolve({
      ok: status < 400,
      status,
      json: () => Promise.resolve(body ?? {}),
      text: () => Promise.resolve(JSON.stringify(body)),
    } as Response);
  };
  return calls;
}
