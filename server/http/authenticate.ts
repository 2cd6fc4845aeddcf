import type { Request, RequestHandler } from 'express';
import type { Knex } from 'knex';
import { findSession, type Person } from '../store/sessions';
import { Problem } from './problems';

export const SESSION_COOKIE = 'nazar_session';

declare module 'express-serve-static-core' {
  interface Request {
    person?: Person;
  }
}

/** Lets only signed-in people past; 401 says to sign in again. */
export function authenticate(db: Knex): RequestHandler {
  return async (request, _response, next) => {
    const token: unknown = request.cookies?.[SESSION_COOKIE];
    const person = typeof token === 'string' ? await findSession(db, token) : undefined;
    if (!person)
      throw new Problem(
        401,
        'sign-in-needed',
        'Sign in again. What you entered is kept on this device.',
      );
    request.person = person;
    next();
  };
}

/** The person behind an authenticated request. */
export function personOf(request: Request): Person {
  if (!request.person) throw new Problem(401, 'sign-in-needed', 'Sign in again.');
  return request.person;
}
