/** Settings of the server, all from the environment. */
export interface Configuration {
  readonly host: string;
  readonly port: number;
  /** Where the crew’s pages are served, and nothing else, beside the application itself; null where they are not. */
  readonly crew: { readonly host: string; readonly port: number } | null;
  readonly database: {
    readonly host: string;
    readonly port: number;
    readonly name: string;
    readonly user: string;
    readonly password: string;
  };
  /** Folder of the built application; null serves the API alone. */
  readonly webFolder: string | null;
  readonly demoFolder: string | null;
  /** Fixed clock for pictures and tests, ISO 8601. */
  readonly now: string | null;
}

/** A setting that the server can't go by; its message is for whoever started it. */
export class ConfigurationError extends Error {}

const LOOPBACK: ReadonlySet<string> = new Set(['127.0.0.1', '::1', 'localhost']);

function hostOf(value: string | undefined): string {
  const host = value || '127.0.0.1';
  if (LOOPBACK.has(host)) return host;
  throw new ConfigurationError(
    `IDLE_HOST is ${host}, but the application is served on this machine alone: nobody signs in, so that whoever reached it could change everything. Leave IDLE_HOST out. Phones of a crew have a door of their own: IDLE_CREW_HOST.`,
  );
}

function portOf(value: string | undefined, fallback: number, name: string): number {
  if (value === undefined || value === '') return fallback;
  const port = Number(value);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new ConfigurationError(`${name} must be a port from 1 to 65535, but is ${value}`);
  return port;
}

export function readConfiguration(environment: NodeJS.ProcessEnv): Configuration {
  const password = environment['IDLE_PG_PASSWORD'];
  if (!password) throw new ConfigurationError('IDLE_PG_PASSWORD is not set: start the server with ./start');
  return {
    host: hostOf(environment['IDLE_HOST']),
    port: portOf(environment['IDLE_PORT'], 4180, 'IDLE_PORT'),
    crew: environment['IDLE_CREW_HOST']
      ? { host: environment['IDLE_CREW_HOST'], port: portOf(environment['IDLE_CREW_PORT'], 4181, 'IDLE_CREW_PORT') }
      : null,
    database: {
      host: '127.0.0.1',
      port: portOf(environment['IDLE_PG_PORT'], 54180, 'IDLE_PG_PORT'),
      name: environment['IDLE_PG_DATABASE'] || 'idle_marker',
      user: environment['IDLE_PG_USER'] || 'idle',
      password,
    },
    webFolder: environment['IDLE_WEB'] || null,
    demoFolder: environment['IDLE_DEMO'] || null,
    now: environment['IDLE_NOW'] || null,
  };
}
