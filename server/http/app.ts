import { resolve } from 'node:path';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Knex } from 'knex';
import { pino } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Configuration } from '../configuration';
import type { JobState } from '../jobs/scheduler';
import type { SealKey } from '../report/seal-key';
import { authenticate } from './authenticate';
import { conditionsRouter } from './conditions';
import { contentRouter } from './content';
import { deskRouter } from './desk';
import { eventsRouter } from './events';
import { helpingRouter } from './helping';
import { jsonBody } from './json-body';
import { jobsRouter } from './jobs';
import { calendarRouter, logbookRouter } from './logbook';
import { photosRouter } from './photos';
import { answerErrors, notFound } from './problems';
import { referenceRouter } from './reference';
import { publicReportRouter, reportsRouter } from './reports';
import { rigsRouter } from './rigs';
import { rulesRouter } from './rules';
import { sameOrigin } from './same-origin';
import { sessionRouter } from './session';
import { tagsRouter } from './tags';
import { workshopRouter } from './workshop';

export interface AppParts {
  readonly db: Knex;
  readonly key: SealKey;
  readonly configuration: Configuration;
  /** How the server's own jobs do. */
  readonly jobs?: () => readonly JobState[];
}

/** What a page of ours may ask of the device: the camera for tags and photos, nothing else. */
const PERMISSIONS =
  'camera=(self), microphone=(), geolocation=(), payment=(), usb=(), serial=(), bluetooth=(), midi=(), display-capture=()';

/** The whole HTTP face: the API under /api, the built app under everything else. */
export function createApp({ db, key, configuration, jobs }: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set(
    'trust proxy',
    configuration.trustedProxies?.split(',').map((each) => each.trim()) ?? false,
  );
  app.use(
    pinoHttp({
      logger: pino({
        level: configuration.logLevel,
        redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
      }),
      autoLogging: { ignore: (request) => !request.url?.startsWith('/api/') },
    }),
  );
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // React Native for the web writes its styles into a style element.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          fontSrc: ["'self'"],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: configuration.secureCookies ? [] : null,
        },
      },
      strictTransportSecurity: configuration.secureCookies,
    }),
  );
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', PERMISSIONS);
    next();
  });
  app.use(compression());
  app.use('/api', apiRouter({ db, key, configuration, jobs }));
  if (configuration.appFolder) serveApp(app, resolve(configuration.appFolder));
  app.use(notFound);
  app.use(answerErrors);
  return app;
}

function apiRouter({ db, key, configuration, jobs = () => [] }: AppParts) {
  const router = express.Router();
  router.use(sameOrigin);
  router.use(cookieParser());
  router.get('/health', async (_request, response) => {
    await db.raw('select 1');
    // A job that fails does not make the server unfit to serve; whoever looks after it sees it here.
    response.json({ ok: true, jobs: jobs() });
  });
  router.use(jsonBody);
  router.use(sessionRouter(db, configuration));
  router.use(publicReportRouter(db));
  router.use(calendarRouter(db));
  router.use(authenticate(db));
  router.use(eventsRouter(db, key, configuration));
  router.use(referenceRouter(db));
  router.use(photosRouter(db));
  router.use(workshopRouter(db));
  router.use(helpingRouter(db));
  router.use(tagsRouter(db));
  router.use(conditionsRouter(db));
  router.use(jobsRouter(db));
  router.use(deskRouter(db));
  router.use(rigsRouter(db));
  router.use(rulesRouter(db));
  router.use(contentRouter(db));
  router.use(logbookRouter(db));
  router.use(reportsRouter(db));
  router.use(notFound);
  return router;
}

function serveApp(app: Express, folder: string): void {
  app.use(
    express.static(folder, {
      index: false,
      setHeaders(response, path) {
        // Names of built files hold a digest of their content; the rest must be asked for anew.
        const hashed = /[\\/](_expo|assets)[\\/]/.test(path);
        response.setHeader(
          'Cache-Control',
          hashed ? 'public, max-age=31536000, immutable' : 'no-cache',
        );
      },
    }),
  );
  app.get(/^\/(?!api\/)[^.]*$/, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: folder });
  });
}
