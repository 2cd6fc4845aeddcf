import type { Express } from 'express';
import { signature, walkSound, makeRig } from '@nazar/core/testing';
import request from 'supertest';
import { v4 as anyId } from 'uuid';
import { asWalkOf, people, type TestServer } from './test-server';

export interface Route {
  readonly method: string;
  /** As Express has it, with its parameters. */
  readonly path: string;
}

interface Layer {
  readonly route?: { readonly path: string | RegExp; readonly methods: Record<string, boolean> };
  readonly handle?: { readonly stack?: readonly Layer[] };
}

/** Every route of the API, read from the application itself: none can be forgotten. */
export function routesOf(app: Express): Route[] {
  const walk = (layers: readonly Layer[]): Route[] =>
    layers.flatMap(({ route, handle }) =>
      route && typeof route.path === 'string'
        ? Object.keys(route.methods).map((method) => ({ method, path: `/api${route.path}` }))
        : walk(handle?.stack ?? []),
    );
  const { stack } = app.router as unknown as { readonly stack: readonly Layer[] };
  return walk(stack).filter(({ path }) => path.startsWith('/api/'));
}

export interface Hostile {
  readonly method: string;
  readonly url: string;
  readonly type: string | undefined;
  readonly body: string | Buffer | undefined;
}

export type Random = () => number;

/** The same numbers for the same seed (mulberry32). */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const WORDS =
  'events name pin words unitIds unitId until policy policies policyId byClass usual title startsAt needs defectId inspectionId inspection content checks limits off own modules reason scope code zone required file text body id version after limit status from to since depotId rig phase key days outcome signature strokes photos job moduleId symptoms reading bands'.split(
    ' ',
  );
const TEXTS = [
  '',
  ' ',
  'a\u0000b',
  '\ud800',
  '\udfff tail',
  "'; drop table events; --",
  '=1+1',
  '../../etc/passwd',
  '%00',
  '%',
  '<script>',
  '2026-02-30',
  '9999999-01-01',
  '-1',
  '1e400',
  'null',
  'NaN',
  '９',
  '__proto__',
  'x'.repeat(9000),
];
const NUMBERS = [0, -1, 1.5, 1e15, 1e308, -1e308, 2 ** 53, 2 ** 31, 4_294_967_296, -0];
const TYPES = [
  'application/json',
  'application/json',
  'application/json',
  'application/json',
  'application/json; charset=nothing',
  'text/plain',
  'application/octet-stream',
  'multipart/form-data',
  'image/png',
  'garbage',
  undefined,
];

/** Half a pair has no form in an address. */
const inUrl = (text: string) =>
  encodeURIComponent(text.slice(0, 300).replace(/[\ud800-\udfff]/g, '?'));

/** Makes requests that nobody sends by mistake. */
export function makeHostile(routes: readonly Route[], known: readonly string[], random: Random) {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  const text = () => (random() < 0.3 ? pick(known) : random() < 0.2 ? anyId() : pick(TEXTS));
  const value = (depth: number): unknown => {
    const dice = random();
    if (dice < 0.3) return text();
    if (dice < 0.45) return pick(NUMBERS);
    if (dice < 0.55) return pick([null, true, false]);
    if (depth <= 0) return text();
    if (dice < 0.75)
      return Array.from({ length: Math.floor(random() * 5) }, () => value(depth - 1));
    return object(depth - 1);
  };
  const object = (depth: number): object =>
    Object.fromEntries(
      Array.from({ length: Math.floor(random() * 7) }, () => [
        random() < 0.9 ? pick(WORDS) : pick(TEXTS.slice(0, -1)),
        value(depth),
      ]),
    );
  /** Somewhere in something right, one thing is wrong. */
  const spoil = (whole: unknown): unknown => {
    if (Array.isArray(whole) && whole.length > 0 && random() < 0.8) {
      const at = Math.floor(random() * whole.length);
      return whole.map((each, index) => (index === at ? spoil(each) : each));
    }
    if (typeof whole === 'object' && whole !== null && random() < 0.85) {
      const keys = Object.keys(whole);
      if (keys.length > 0) {
        const at = pick(keys);
        return { ...whole, [at]: spoil((whole as Record<string, unknown>)[at]) };
      }
    }
    return value(2);
  };
  const rig = makeRig();
  const rightBody = (path: string): unknown => {
    if (path === '/api/events') {
      const log = walkSound(rig);
      log.add('signed', { signature, headline: 'rolls' });
      const events = asWalkOf(people.imre, log.events);
      const from = Math.floor(random() * events.length);
      return { events: [events[0], ...events.slice(from, from + 4)] };
    }
    if (path === '/api/rigs') return { title: 'Rig', unitIds: [pick(known), pick(known)] };
    if (path === '/api/jobs')
      return {
        title: 'Job',
        needs: ['tow'],
        unitIds: [pick(known)],
        startsAt: '2026-12-01T06:00:00Z',
      };
    if (path === '/api/holds')
      return { inspectionId: pick(known), words: 'Look at it', until: '2027-01-01' };
    if (path === '/api/content')
      return {
        version: 1,
        off: [{ check: 'truck.cab.horn', reason: 'Not here', scope: {} }],
        limits: [],
        own: [],
        modules: [],
      };
    return object(3);
  };
  return (): Hostile => {
    const { method, path } = pick(routes);
    const at = path.replace(/:(\w+)/g, () => inUrl(text()));
    const query =
      random() < 0.5
        ? `?${Array.from({ length: 1 + Math.floor(random() * 3) }, () => `${pick(WORDS)}${pick(['', '[]', '[a]', '[__proto__]'])}=${inUrl(text())}`).join('&')}`
        : '';
    if (method === 'get') return { method, url: at + query, type: undefined, body: undefined };
    const right = rightBody(path);
    const body =
      random() < 0.06
        ? pick(['', '{', '[[[[', '"', 'null', '1', '\u0000', '['.repeat(3000)])
        : JSON.stringify(random() < 0.7 ? spoil(right) : value(4));
    return { method, url: at + query, type: pick(TYPES), body };
  };
}

export interface Broken {
  readonly request: Hostile;
  readonly status: number;
  readonly text: string;
}

/**
 * Sends so many of them, each as somebody of another role or as nobody.
 * @returns what the server answered with an error of its own, and how often each status came
 */
export async function attack(
  server: TestServer,
  count: number,
  seed: number,
): Promise<{ readonly broken: readonly Broken[]; readonly statuses: ReadonlyMap<number, number> }> {
  const random = randomFrom(seed);
  const routes = routesOf(server.app);
  const units = await server.owner('units').select('id');
  const known = [
    ...units.map(({ id }) => id as string),
    ...Object.values(people).map(({ id }) => id),
  ];
  const next = makeHostile(routes, known, random);
  const persons = [people.imre, people.rasmus, people.ilka, people.stranger];
  const broken: Broken[] = [];
  const statuses = new Map<number, number>();
  for (let index = 0; index < count; index += 1) {
    // The limits on the number of requests are tried elsewhere; here they would only hide what lies behind them.
    if (index % 25 === 0) await server.owner('rate_counters').delete();
    const hostile = next();
    const who = persons[Math.floor(random() * (persons.length + 1))] as
      (typeof persons)[0] | undefined;
    const agent = who ? await server.as(who) : request(server.app);
    const sent = agent[hostile.method as 'get'](hostile.url);
    if (hostile.type) void sent.set('Content-Type', hostile.type);
    const answer = await (hostile.body === undefined ? sent : sent.send(hostile.body)).buffer(true);
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
    if (answer.status >= 500)
      broken.push({ request: hostile, status: answer.status, text: answer.text });
    // Whoever was signed out by a request of their own signs in again.
    if (answer.status === 401 && who) server.forget(who);
    if (hostile.method === 'delete' && hostile.url.startsWith('/api/session') && who)
      server.forget(who);
  }
  return { broken, statuses };
}
