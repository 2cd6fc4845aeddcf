import { writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { dirname, join } from 'node:path';
import { catalogue } from '@nazar/core/content';
import type { Knex } from 'knex';
import { pino } from 'pino';
import { readConfiguration, type Configuration } from './configuration';
import { closeHeavy } from './heavy/pool';
import { createApp } from './http/app';
import { openSealKey } from './report/seal-key';
import { ownJobs } from './jobs/jobs';
import { makeScheduler } from './jobs/scheduler';
import { keepCatalogueVersion } from './store/catalogue-versions';
import { connectServing } from './store/connection';
import { listSealKeys, rememberSealKey } from './store/reports';

/** Starts one stateless server process and stops it cleanly on a signal. */
async function main(): Promise<void> {
  const configuration = readConfiguration(process.env);
  const db = connectServing(configuration.databaseUrl);
  const key = openSealKey(configuration.sealKeyFile);
  await keepCatalogueVersion(db, catalogue);
  await rememberSealKey(db, key.publicKey);
  await publishKeys(db, configuration);
  const logger = pino({ level: configuration.logLevel });
  const scheduler = makeScheduler({
    jobs: ownJobs(db, key),
    now: () => new Date(),
    log: {
      info: (words) => logger.info(words),
      error: (details, words) => logger.error(details, words),
    },
  });
  const server = createServer(createApp({ db, key, configuration, jobs: scheduler.states }));
  // Longer than a phone or proxy keeps an idle connection, so that no request is sent into one being closed.
  server.keepAliveTimeout = 75_000;
  await scheduler.start();
  server.listen(configuration.port, configuration.host, () => {
    process.stdout.write(`listening on http://${configuration.host}:${configuration.port}\n`);
  });
  server.on('error', (error) => {
    process.stderr.write(`${error.message}\n`);
    process.exitCode = 1;
    stop();
  });
  const stop = () => {
    scheduler.stop();
    server.closeIdleConnections();
    server.close(() => void db.destroy());
    void closeHeavy();
    setTimeout(() => server.closeAllConnections(), 2000).unref();
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);
}

/** The public keys beside the private one, so that a report can be checked here without a server. */
async function publishKeys(db: Knex, { sealKeyFile }: Configuration): Promise<void> {
  const keys = await listSealKeys(db);
  writeFileSync(join(dirname(sealKeyFile), 'public-keys.json'), JSON.stringify({ keys }, null, 1));
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exitCode = 1;
});
