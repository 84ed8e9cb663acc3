import path from 'node:path';

import { z } from 'zod';

/** The first person: whose rows these are before others are let in. */
const DEFAULT_OWNER = '01900000-0000-7000-8000-000000000001';

const port = z.coerce.number().int().min(1).max(65535);

const environment = z.object({
  DUNLINMOSS_HOST: z.string().min(1).default('127.0.0.1'),
  DUNLINMOSS_HOSTS: z
    .string()
    .default('')
    .transform((names) =>
      names
        .toLowerCase()
        .split(',')
        .map((name) => name.trim())
        .filter(Boolean),
    )
    .pipe(z.array(z.string().regex(/^[a-z0-9.-]+$/, 'expected names with commas between, without ports'))),
  DUNLINMOSS_PORT: port.default(4680),
  DUNLINMOSS_DB_HOST: z.string().min(1).default('127.0.0.1'),
  DUNLINMOSS_DB_PORT: port,
  DUNLINMOSS_DB_USER: z.string().min(1),
  DUNLINMOSS_DB_PASSWORD: z.string(),
  DUNLINMOSS_DB_NAME: z.string().regex(/^[a-z0-9_]+$/, 'expected small letters, digits and _'),
  DUNLINMOSS_OWNER: z.uuid().default(DEFAULT_OWNER),
  DUNLINMOSS_WEB_ROOT: z.string().default(path.resolve(__dirname, '../../app/dist')),
  DUNLINMOSS_CONTACT: z
    .url('expected an address such as mailto:somebody@farm.example')
    .default('mailto:root@localhost'),
  DUNLINMOSS_PHOTOS: z.string().startsWith('/', 'expected the path of a folder, from / on').optional(),
  DUNLINMOSS_PROXIES: z.coerce.number().int().min(0).max(10).default(0),
  DUNLINMOSS_LOG: z.enum(['silent', 'error', 'warn', 'info', 'debug']).default('warn'),
});

export interface Config {
  readonly host: string;
  /** Names that it is reached by, beside localhost and addresses in digits. */
  readonly hosts: readonly string[];
  readonly port: number;
  readonly database: DatabaseConfig;
  readonly ownerId: string;
  readonly webRoot: string;
  /** Folder that photos lie in; null for the database itself. */
  readonly photos: string | null;
  /** Where to tell of a hole in its security, as an address. */
  readonly contact: string;
  /** How many proxies stand before it. */
  readonly proxies: number;
  readonly logLevel: string;
}

export interface DatabaseConfig {
  readonly host: string;
  readonly port: number;
  readonly user: string;
  readonly password: string;
  readonly database: string;
}

/** Reads the configuration, or throws an error that names each variable and what it should be. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const result = environment.safeParse(env);
  if (!result.success) {
    const lines = result.error.issues.map((issue) => `  ${issue.path.join('.')}: ${issue.message}`);
    throw new Error(`The configuration can't be used:\n${lines.join('\n')}`);
  }
  const value = result.data;
  return {
    host: value.DUNLINMOSS_HOST,
    hosts: value.DUNLINMOSS_HOSTS,
    port: value.DUNLINMOSS_PORT,
    database: {
      host: value.DUNLINMOSS_DB_HOST,
      port: value.DUNLINMOSS_DB_PORT,
      user: value.DUNLINMOSS_DB_USER,
      password: value.DUNLINMOSS_DB_PASSWORD,
      database: value.DUNLINMOSS_DB_NAME,
    },
    ownerId: value.DUNLINMOSS_OWNER,
    webRoot: value.DUNLINMOSS_WEB_ROOT,
    photos: value.DUNLINMOSS_PHOTOS ?? null,
    contact: value.DUNLINMOSS_CONTACT,
    proxies: value.DUNLINMOSS_PROXIES,
    logLevel: value.DUNLINMOSS_LOG,
  };
}
