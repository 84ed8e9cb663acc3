import { openApi } from '@dunlinmoss/contract/api';
import compression from 'compression';
import express, { Router, type Express } from 'express';
import helmet from 'helmet';
import type { Pool } from 'mysql2/promise';
import path from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

import { MonitorHub } from './devices/hub';
import { admitted, bodyMoving, bodyWithin } from './overload';
import { MOST_ROW_BYTES } from './limits';
import { requireOwner } from './owner';
import { errorHandler, noSuchRoute } from './problems';
import { createRepositories } from './repositories/repositories';
import { answerRoutes } from './routes/answers';
import { archiveRoutes } from './routes/archive';
import { calculatorRoutes } from './routes/calculators';
import { deviceRoutes, probeRoutes } from './routes/devices';
import { exchangeRoutes } from './routes/exchange';
import { loadsExchangeRoutes } from './routes/loadsExchange';
import { logImportRoute, logRoutes } from './routes/log';
import { photoRoutes } from './routes/photos';
import { resourceRoutes } from './routes/resources';
import { securityText } from './securityText';
import { onlyMediaType, onlyOwnNames, onlyOwnPages } from './sameSite';

/** An import carries everything a person has; all else is one row, or a batch of a log. */
const IMPORT_LIMIT = '32mb';

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
  /** How long a body of one row may take to come, ms. */
  readonly bodyMs?: number;
}

/** The whole server as one Express application. It keeps no state of its own. */
export function createApp({ pool, log, ownerId, hosts, webRoot, bodyMs = BODY_MS, contact }: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('query parser', 'simple');
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
      // Served over plain HTTP on loopback, where these would only get in the way.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(pinoHttp({ logger: log, autoLogging: log.isLevelEnabled('info') }));
  app.use(onlyOwnNames(hosts));
  // Smaller answers cost more to compress than to send.
  app.use(compression({ threshold: 8_192 }));
  app.use('/api', onlyOwnPages);
  app.use('/api/v1', apiRoutes(pool, ownerId, bodyMs));
  app.use('/api', noSuchRoute);
  if (contact !== undefined) app.get('/.well-known/security.txt', securityText(contact));
  if (webRoot !== null) {
    app.use(
      '/_expo',
      express.static(path.join(webRoot, '_expo'), { immutable: true, maxAge: '365d', fallthrough: false }),
    );
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

function apiRoutes(pool: Pool, ownerId: string, bodyMs: number): Router {
  const repositories = createRepositories(pool);
  const description = openApi();
  const api = Router();
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  api.get('/openapi.json', (_request, response) => {
    response.json(description);
  });
  api.get('/health', async (_request, response) => {
    await pool.query('SELECT 1');
    response.json({ ok: true });
  });
  api.use(requireOwner(ownerId));
  // A stream is open for as long as somebody looks at it, so it takes nobody's place.
  const devices = deviceRoutes(pool, repositories, new MonitorHub());
  api.use('/devices/rigs/:id', devices.streams);
  // These read their own bodies: tables, photos, archives.
  api.use(['/import', '/photos'], bodyMoving(bodyMs));
  api.use(['/archive', '/import/log', '/import/loads'], bodyMoving(LONG_BODY_IDLE_MS));
  api.use(['/import/log', '/import/loads'], admitted(LONG_AT_ONCE, LONG_AT_ONCE));
  api.use(archiveRoutes(pool, repositories));
  api.use(loadsExchangeRoutes(pool, repositories));
  api.use(logImportRoute(pool, repositories));
  api.use(photoRoutes(pool));
  api.use('/import', onlyMediaType('application/json'), express.json({ limit: IMPORT_LIMIT }));
  api.use(bodyWithin(bodyMs));
  api.use(onlyMediaType('application/json'));
  api.use(express.json({ limit: MOST_ROW_BYTES }));
  // Whose body has come is worked on in turn; one that trickles in takes nobody's place.
  api.use(admitted());
  // What is asked for most comes first.
  api.use(resourceRoutes(repositories));
  api.use('/calc', calculatorRoutes());
  api.use('/devices/probe', probeRoutes());
  api.use('/devices/rigs/:id', devices.rest);
  api.use(answerRoutes(repositories));
  api.use(exchangeRoutes(pool, repositories));
  api.use(logRoutes(pool, repositories));
  return api;
}
