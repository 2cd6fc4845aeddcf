import { createHash, randomBytes } from 'node:crypto';
import { plainText, uuid } from '@nazar/core/fields';
import type { OpenSession } from '@nazar/core/wire';
import { hash, verify } from '@node-rs/argon2';
import { Router, type Request } from 'express';
import type { Knex } from 'knex';
import { object } from 'yup';
import type { Configuration } from '../configuration';
import { countTry, forgetCounter } from '../store/rate-counters';
import { findSignIn, isKnownDevice, nameKey, rememberDevice } from '../store/sign-ins';
import {
  closeSession,
  endSession,
  findPerson,
  listSessions,
  openSession,
  type Person,
} from '../store/sessions';
import { authenticate, personOf, SESSION_COOKIE } from './authenticate';
import { Problem } from './problems';
import { limitFailures } from './rate-limits';

const WRONG_TRIES = 5;
const LOCK_MINUTES = 15;
const DEVICE_COOKIE = 'nazar_device';
const DEVICE_DAYS = 180;

const signInSchema = object({
  name: plainText(80).required('Type your name.'),
  pin: plainText(12)
    .matches(/^\d{4,12}$/, 'The PIN is four to twelve digits.')
    .required('Type your PIN.'),
}).noUnknown();

const wrong = () =>
  new Problem(401, 'wrong-pin', 'Name and PIN do not belong together. Check both and try again.');

/** What the app keeps about who is signed in. */
function publicPerson({ id, name, role, depotId, organisationId }: Person) {
  return { id, name, role, depotId, organisationId };
}

/**
 * POST /session {name, pin} → person; sets the cookie. 401 wrong-pin, 423 locked, 429 too-many.
 * GET /session → person. DELETE /session → 204. GET /sessions → {sessions: [{id, device, openedAt, here}]}: where the person is signed
 * in. DELETE /sessions/:id → 204: ends one of their own; 404 for any other.
 */
export function sessionRouter(db: Knex, configuration: Configuration): Router {
  const router = Router();
  // A name nobody has takes as long as one with a wrong PIN.
  const nobody = hash('0000', { memoryCost: 19_456, timeCost: 2 });

  const inLine = limitFailures(db, 'sign-in', 20, 4);

  router.post('/session', async (request, response) => {
    const device = deviceOf(request);
    const { name, person } = await inLine(request, async () => {
      const tried = await signInSchema.validate(request.body, { strict: true, abortEarly: true });
      // Counted before the PIN is looked at, so that tries side by side all count; a name that nobody has is answered like any other.
      const counter = await counterOf(db, tried.name, device);
      const { hits, resetAt } = await countTry(db, counter, LOCK_MINUTES * 60_000);
      if (hits > WRONG_TRIES) throw locked(resetAt);
      const signIn = await findSignIn(db, tried.name);
      if (!(await verify(signIn?.pinHash ?? (await nobody), tried.pin)) || !signIn)
        throw hits >= WRONG_TRIES ? locked(resetAt) : wrong();
      await forgetCounter(db, counter);
      const found = await findPerson(db, signIn.organisationId, signIn.personId);
      if (!found) throw wrong();
      return { name: tried.name, person: found };
    });
    const token = device ?? randomBytes(32).toString('base64url');
    await rememberDevice(db, token, name, DEVICE_DAYS);
    const session = await openSession(
      db,
      person,
      configuration.sessionHours,
      kindOfDevice(request.get('user-agent')),
    );
    response.cookie(DEVICE_COOKIE, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: configuration.secureCookies,
      maxAge: DEVICE_DAYS * 86_400_000,
      path: '/api/session',
    });
    response.cookie(SESSION_COOKIE, session, {
      httpOnly: true,
      sameSite: 'strict',
      secure: configuration.secureCookies,
      maxAge: configuration.sessionHours * 3_600_000,
      path: '/',
    });
    response.json({ person: publicPerson(person) });
  });

  router.get('/session', authenticate(db), (request, response) => {
    response.json({ person: publicPerson(personOf(request)) });
  });

  router.delete('/session', async (request, response) => {
    const token: unknown = request.cookies?.[SESSION_COOKIE];
    if (typeof token === 'string') await closeSession(db, token);
    response.clearCookie(SESSION_COOKIE, { path: '/' }).status(204).end();
  });

  router.get('/sessions', authenticate(db), async (request, response) => {
    const token = request.cookies[SESSION_COOKIE] as string;
    const sessions = await listSessions(db, personOf(request).id, token);
    response
      .set('Cache-Control', 'no-store')
      .json({ sessions } satisfies { sessions: readonly OpenSession[] });
  });

  router.delete('/sessions/:id', authenticate(db), async (request, response) => {
    const id = await uuid().required().validate(request.params.id);
    if (!(await endSession(db, personOf(request).id, id)))
      throw new Problem(404, 'not-found', 'This sign-in has ended already.');
    response.status(204).end();
  });

  return router;
}

const KINDS: readonly (readonly [RegExp, string])[] = [
  [/iPhone/, 'iPhone'],
  [/iPad/, 'iPad'],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS/, 'Mac'],
  [/CrOS/, 'Chrome OS'],
  [/Linux/, 'Linux'],
];

/** Enough to know one’s own devices apart; nothing more of what a browser tells is kept. */
function kindOfDevice(userAgent = ''): string {
  return KINDS.find(([pattern]) => pattern.test(userAgent))?.[1] ?? '';
}

function deviceOf(request: Request): string | undefined {
  const token: unknown = request.cookies?.[DEVICE_COOKIE];
  return typeof token === 'string' && /^[\w-]{43}$/.test(token) ? token : undefined;
}

/**
 * Where wrong PINs are counted: on a device on which this person has signed in before, for that device alone; everywhere else, for the
 * name. So whoever guesses from elsewhere locks nobody out of their own phone.
 */
async function counterOf(db: Knex, name: string, device: string | undefined): Promise<string> {
  const known = device !== undefined && (await isKnownDevice(db, device, name));
  const of = known ? `${device} ${nameKey(name)}` : nameKey(name);
  return `pin:${createHash('sha256').update(of).digest('hex')}`;
}

function locked(until: Date): Problem {
  const minutes = Math.max(1, Math.ceil((until.getTime() - Date.now()) / 60_000));
  return new Problem(
    423,
    'locked',
    `Too many wrong PINs. Try again in ${minutes} min, or ask the office for a new PIN.`,
    { 'Retry-After': String(minutes * 60) },
  );
}
