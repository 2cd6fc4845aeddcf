/** What the surroundings decide; everything else is in code or in the database. */
export interface Configuration {
  readonly databaseUrl: string;
  readonly port: number;
  readonly host: string;
  /** PEM file with the Ed25519 private key that seals reports. */
  readonly sealKeyFile: string;
  /** Folder of the built app; undefined serves the interface only to tests. */
  readonly appFolder?: string;
  readonly sessionHours: number;
  readonly secureCookies: boolean;
  readonly logLevel: string;
  /** How far the clock of a device may be ahead of the server's, minutes. */
  readonly clockAheadMinutes?: number;
  /** Proxies whose word on the address of a caller counts, as Express takes them; nobody's where nothing is said. */
  readonly trustedProxies?: string;
}

/** @throws {Error} naming the variable that is missing. */
export function readConfiguration(env: NodeJS.ProcessEnv): Configuration {
  return {
    databaseUrl: required(env, 'DATABASE_URL'),
    sealKeyFile: required(env, 'SEAL_KEY_FILE'),
    port: Number(env.PORT ?? 4600),
    host: env.HOST ?? '127.0.0.1',
    appFolder: env.APP_FOLDER,
    sessionHours: Number(env.SESSION_HOURS ?? 14),
    secureCookies: env.SECURE_COOKIES === 'true',
    logLevel: env.LOG_LEVEL ?? 'info',
    trustedProxies: env.TRUSTED_PROXIES,
    clockAheadMinutes: Number(env.CLOCK_AHEAD_MINUTES ?? 10),
  };
}

function required(env: NodeJS.ProcessEnv, name: string): string {
  const value = env[name];
  if (!value) throw new Error(`Set ${name} in the environment.`);
  return value;
}
