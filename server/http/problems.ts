import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import { ValidationError } from 'yup';
import { TooBusy } from '../heavy/pool';
import { isDatabaseGone } from '../store/connection';

/** Errors a route can answer with; `detail` is a sentence that a person can act on. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly detail: string,
    readonly headers: Readonly<Record<string, string>> = {},
  ) {
    super(detail);
  }
}

/** RFC 9457 problem details with a stable code. */
export function sendProblem(response: Response, problem: Problem): void {
  response
    .status(problem.status)
    .set(problem.headers)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: `urn:nazar:problem:${problem.code}`,
        title: problem.code.replaceAll('-', ' '),
        status: problem.status,
        code: problem.code,
        detail: problem.detail,
      }),
    );
}

export const notFound: RequestHandler = () => {
  throw new Problem(404, 'not-found', 'There is nothing at this address.');
};

/** Whatever went wrong, as a problem; nothing internal leaks. */
export const answerErrors: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) {
    next(error);
    return;
  }
  const problem = toProblem(error);
  if (problem.status >= 500) request.log?.error({ err: error }, problem.code);
  sendProblem(response, problem);
};

function toProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof ValidationError) return new Problem(422, 'invalid', error.errors.join('; '));
  if (isDatabaseGone(error))
    return new Problem(
      503,
      'database-away',
      'The records cannot be reached just now. Your entries stay on this device and are sent again by themselves.',
      { 'Retry-After': '5' },
    );
  if (error instanceof TooBusy)
    return new Problem(
      503,
      'too-busy',
      'The server has too much of this to do just now. Try again in a minute; nothing is lost.',
      { 'Retry-After': '60' },
    );
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.parse.failed')
    return new Problem(400, 'not-json', 'What was sent is not readable as JSON.');
  if (type === 'entity.too.large')
    return new Problem(413, 'too-large', 'What was sent is too large. Send it in smaller parts.');
  if (status && status >= 400 && status < 500)
    return new Problem(status, 'refused', 'What was sent cannot be read.');
  return new Problem(
    500,
    'unexpected',
    'Something went wrong on the server. Your entries stay on this device; try again later.',
  );
}
