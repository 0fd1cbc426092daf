import path from 'node:path';

/** What can be set from outside, by environment variables; the README lists them. */
export interface Settings {
  port: number;
  dataFolder: string;
  databaseUrl: string | null;
  demo: boolean;
  /** The folder of the built web pages, or null to serve the API alone. */
  webFolder: string | null;
  /** Whether cookies are sent over HTTPS only. */
  secureCookies: boolean;
}

/** Reads the settings; throws an Error that names the variable when one cannot be used. */
export function readSettings(env: NodeJS.ProcessEnv, webFolder: string | null): Settings {
  const port = Number(env.PORT ?? 4780);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT must be a number from 0 to 65535, and is "${env.PORT}".`);
  }
  const demo = env.ELDERLEAF_DEMO === '1';
  return {
    port,
    dataFolder: path.resolve(env.ELDERLEAF_DATA ?? (demo ? '.data/demo' : '.data/team')),
    databaseUrl: env.DATABASE_URL || null,
    demo,
    webFolder,
    secureCookies: env.ELDERLEAF_HTTPS === '1',
  };
}
