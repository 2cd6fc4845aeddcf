import type { RequestHandler } from 'express';
import { Problem } from './problems';

/**
 * A change that a browser sends for a page of another site is refused, beside what the cookie's own rule does. Who sends no origin is no
 * browser and has no cookie that it did not ask for.
 */
export const sameOrigin: RequestHandler = (request, _response, next) => {
  const { origin } = request.headers;
  if (request.method === 'GET' || request.method === 'HEAD' || origin === undefined) {
    next();
    return;
  }
  if (hostOf(origin) !== request.host)
    throw new Problem(
      403,
      'other-origin',
      'This was sent by a page of another site. Open Nazar itself and do it there.',
    );
  next();
};

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
