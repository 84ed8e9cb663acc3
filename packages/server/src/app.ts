import { openApi } from '@dunlinmoss/contract/api';
import compression from 'compression';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import type { IncomingMessage, ServerResponse } from 'node:http';
import path from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

import { MonitorHub } from './live/hub';
import { jobRunner } from './jobs/jobs';
import type { JobRunner } from './jobs/runner';
import { Lifecycle } from './lifecycle';
import { Metrics } from './metrics';
import { admitted, bodyMoving, bodyWithin } from './overload';
import { MOST_ROW_BYTES } from './limits';
import { errorHandler, noSuchRoute, Refusal } from './problems';
import { LiveChanges } from './people/liveChanges';
import { OpenStreams } from './people/openStreams';
import { KnownSessions, whoseRequest } from './people/whose';
import { createRepositories } from './repositories/repositories';
import { answerRoutes } from './routes/answers';
import { archiveRoutes } from './routes/archive';
import { calculatorRoutes } from './routes/calculators';
import { changesRoute } from './routes/changes';
import { beginEvents, deviceRoutes, probeRoutes } from './routes/devices';
import { exchangeRoutes } from './routes/exchange';
import { loadsExchangeRoutes } from './routes/loadsExchange';
import { importRoutes } from './routes/imports';
import { logImportRoute, logRoutes } from './routes/log';
import { paperRoutes } from './routes/papers';
import { peopleRoutes } from './routes/people';
import { photoRoutes } from './routes/photos';
import { resourceRoutes } from './routes/resources';
import { securityText } from './securityText';
import { databaseStore, type PhotoStore } from './store/photoStore';
import { onlyMediaType, onlyOwnNames, onlyOwnPages } from './sameSite';
import { Routes } from './routes/declared';

/** An import carries everything a person has; all else is one row, or a batch of a log. */
const IMPORT_LIMIT = '32mb';

/** So long a browser asks for this name over TLS alone, once it has: told where a proxy says that it did. */
const HALF_A_YEAR_S = 15_552_000;

/** A body that is one row comes within this, ms; one that is long may stand still for so long. */
const BODY_MS = 10_000;
const LONG_BODY_IDLE_MS = 60_000;
/** Imports that are read as they come, at once: each holds a connection to the database for long. */
const LONG_AT_ONCE = 3;

export interface AppParts {
  readonly pool: Pool;
  readonly log: Logger;
  readonly ownerId: string;
  /** Names that it is reached by, beside localhost and addresses in digits. */
  readonly hosts: readonly string[];
  /** Where to tell of a hole in its security. */
  readonly contact?: string;
  /** Folder of the built web application; null serves the API alone. */
  readonly webRoot: string | null;
  /** Where photos lie; the database where nobody says. */
  readonly photos?: PhotoStore;
  /** Works on what takes long; one of its own, which looks for nothing by itself, where there is none. */
  readonly runner?: JobRunner;
  /** How many proxies stand before it, each of which says whom it speaks for. */
  readonly proxies?: number;
  /** How long a body of one row may take to come, ms. */
  readonly bodyMs?: number;
  /** When it stops, and what is ended then. */
  readonly life?: Lifecycle;
}

/** The whole server as one Express application. It keeps no state of its own. */
export function createApp({
  pool,
  log,
  ownerId,
  hosts,
  webRoot,
  bodyMs = BODY_MS,
  contact,
  proxies = 0,
  life = new Lifecycle(),
  photos = databaseStore(pool),
  runner = jobRunner({ pool, log, photos }),
}: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
  app.set('trust proxy', proxies);
  // Answers of the API are not to be stored, so nobody asks whether one has changed; files have marks of their own.
  app.set('etag', false);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // The web target of React Native writes its styles into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          upgradeInsecureRequests: null,
        },
      },
      // Served over plain HTTP on loopback, where these would only get in the way; below for whoever comes over TLS.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use((request, response, next) => {
    if (request.secure) response.set('Strict-Transport-Security', `max-age=${HALF_A_YEAR_S}`);
    next();
  });
  const hub = new MonitorHub(pool);
  const live = new LiveChanges(pool);
  life.onStop(() => hub.close());
  const streams = new OpenStreams(pool, ownerId);
  life.onStop(() => live.close());
  life.onStop(() => streams.close());
  life.onStop(() => runner.stop());
  const metrics = new Metrics({ pool, followers: () => hub.size + live.size });
  app.use(metrics.measure);
  app.use(pinoHttp({ logger: log, autoLogging: log.isLevelEnabled('info'), genReqId: requestId }));
  app.use(onlyOwnNames(hosts));
  // Smaller answers cost more to compress than to send.
  app.use(compression({ threshold: 8_192 }));
  app.get('/metrics', metrics.tell);
  app.use('/api', onlyOwnPages);
  const api = apiRoutes({ pool, ownerId, bodyMs, life, photos, runner, hub, live, streams });
  app.locals.routes = api.declared;
  app.use('/api/v1', api.router);
  app.use('/api', noSuchRoute);
  if (contact !== undefined) app.get('/.well-known/security.txt', securityText(contact));
  if (webRoot !== null) {
    for (const folder of HASHED) app.use(`/${folder}`, unchanging(path.join(webRoot, folder)));
    app.use(express.static(webRoot, { maxAge: 0, index: false }));
    // Every other address is the application's own: reload, back and share work.
    app.get('/{*path}', (_request, response) => {
      response.set('Cache-Control', 'no-cache').sendFile(path.join(webRoot, 'index.html'));
    });
  }
  app.use(noSuchRoute);
  app.use(errorHandler(log));
  return app;
}

/** Folders of the build in which the names of files change with what is in them. */
const HASHED = ['_expo', 'assets'];

/** Files that never change, compressed as they lie beside themselves. */
const unchanging = (folder: string) =>
  expressStaticGzip(folder, {
    enableBrotli: true,
    orderPreference: ['br', 'gz'],
    index: false,
    serveStatic: { immutable: true, maxAge: '365d', fallthrough: false },
  });

const REQUEST_ID = /^[A-Za-z0-9._-]{1,64}$/;

/** One name for a request through all logs: the proxy's where it gave one, told back with the answer. */
function requestId(request: IncomingMessage, response: ServerResponse): string {
  const given = request.headers['x-request-id'];
  const id = typeof given === 'string' && REQUEST_ID.test(given) ? given : randomUUID();
  response.setHeader('X-Request-Id', id);
  return id;
}

interface ApiParts extends Required<Pick<AppParts, 'pool' | 'ownerId' | 'bodyMs' | 'life' | 'photos' | 'runner'>> {
  readonly hub: MonitorHub;
  readonly live: LiveChanges;
  readonly streams: OpenStreams;
}

function apiRoutes({ pool, ownerId, bodyMs, life, photos, runner, hub, live, streams }: ApiParts): Routes {
  const repositories = createRepositories(pool);
  const description = openApi();
  const api = new Routes();
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  api.get('/openapi.json', 'nobody', (_request, response) => {
    response.json(description);
  });
  // It runs: who answers this needs no start anew. Whether it can be sent work is another question.
  api.get('/health', 'nobody', (_request, response) => {
    response.json({ ok: true });
  });
  api.get('/ready', 'nobody', async (_request, response) => {
    if (life.stopping) throw new Refusal('stopping');
    await pool.query('SELECT 1');
    response.json({ ok: true });
  });
  const sessions = new KnownSessions();
  api.use(whoseRequest(pool, ownerId, sessions));
  // A stream is open for as long as somebody looks at it, so it takes nobody's place.
  const devices = deviceRoutes({ pool, repositories, hub, streams });
  api.mount(devices.streams, '/devices/rigs/:id');
  api.get('/changes/stream', 'viewer', (request, response) => {
    streams.enter(request, response);
    beginEvents(response);
    live.follow(request.ownerId, response);
  });
  // These read their own bodies: tables, photos, archives.
  api.use(['/import', '/photos', '/papers'], bodyMoving(bodyMs));
  api.use(['/archive', '/import/log', '/import/loads'], bodyMoving(LONG_BODY_IDLE_MS));
  api.use(['/import/log', '/import/loads'], admitted(LONG_AT_ONCE, LONG_AT_ONCE));
  api.mount(archiveRoutes(pool, runner));
  api.mount(loadsExchangeRoutes(pool, repositories, runner));
  api.mount(logImportRoute(pool, repositories, runner));
  api.mount(photoRoutes(pool, photos));
  api.use(['/import', '/papers'], onlyMediaType('application/json'), express.json({ limit: IMPORT_LIMIT }));
  api.use(bodyWithin(bodyMs));
  api.use(onlyMediaType('application/json'));
  api.use(express.json({ limit: MOST_ROW_BYTES }));
  // Whose body has come is worked on in turn; one that trickles in takes nobody's place.
  api.use(admitted());
  // What is asked for most comes first.
  api.mount(resourceRoutes(repositories));
  api.mount(peopleRoutes(pool, ownerId, sessions));
  api.mount(calculatorRoutes(), '/calc');
  api.mount(probeRoutes(), '/devices/probe');
  api.mount(devices.rest, '/devices/rigs/:id');
  api.mount(changesRoute(pool, repositories));
  api.mount(answerRoutes(repositories));
  api.mount(exchangeRoutes(pool, repositories, runner));
  api.mount(logRoutes(pool, repositories));
  api.mount(importRoutes(pool));
  api.mount(paperRoutes(pool, runner));
  return api;
}
