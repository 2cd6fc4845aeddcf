import { plainText } from '@nazar/core/validation';
import { hash, verify } from '@node-rs/argon2';
import { Router } from 'express';
import type { Knex } from 'knex';
import { object } from 'yup';
import type { Configuration } from '../configuration';
import { clearWrongTries, countWrongTry, findSignIn } from '../store/sign-ins';
import { closeSession, findPerson, openSession, type Person } from '../store/sessions';
import { authenticate, personOf, SESSION_COOKIE } from './authenticate';
import { Problem } from './problems';
import { limitRate } from './rate-limits';

const WRONG_TRIES = 5;
const LOCK_MINUTES = 15;

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
 * GET /session → person. DELETE /session → 204.
 */
export function sessionRouter(db: Knex, configuration: Configuration): Router {
  const router = Router();
  // A name nobody has takes as long as one with a wrong PIN.
  const nobody = hash('0000', { memoryCost: 19_456, timeCost: 2 });

  router.post('/session', limitRate(db, 'sign-in', 20), async (request, response) => {
    const { name, pin } = await signInSchema.validate(request.body, {
      strict: true,
      abortEarly: true,
    });
    const signIn = await findSignIn(db, name);
    if (!signIn) {
      await verify(await nobody, pin);
      throw wrong();
    }
    if (signIn.lockedUntil && signIn.lockedUntil > new Date()) throw locked(signIn.lockedUntil);
    if (!(await verify(signIn.pinHash, pin))) {
      const tries = await countWrongTry(db, name, WRONG_TRIES, LOCK_MINUTES);
      throw tries.lockedUntil && tries.lockedUntil > new Date()
        ? locked(tries.lockedUntil)
        : wrong();
    }
    await clearWrongTries(db, name);
    const person = await findPerson(db, signIn.organisationId, signIn.personId);
    if (!person) throw wrong();
    const token = await openSession(db, person, configuration.sessionHours);
    response.cookie(SESSION_COOKIE, token, {
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

  return router;
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
