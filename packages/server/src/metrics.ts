import type { RequestHandler } from 'express';
import type { Pool } from 'mysql2/promise';
import { Gauge, Histogram, Registry } from 'prom-client';

import { Refusal } from './problems';

/** Steps of the histogram, s: from what is read out of memory to what is cut off. */
const STEPS_S = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10, 60];
const ID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/gi;

/** An address without what is somebody's in it: ids are `:id`, and what there is not is one of many. */
export function routeOf(address: string, status: number): string {
  if (status === 404) return 'nothing';
  const path = address.split('?')[0]!.replace(ID, ':id');
  return path.startsWith('/api/') ? path : 'files';
}

interface Sizes {
  /** Phones that follow something, now. */
  readonly followers: () => number;
  readonly pool: Pool;
}

/** What is measured of a server, in the exposition format that collectors of metrics read. */
export class Metrics {
  readonly registry = new Registry();
  private readonly took = new Histogram({
    name: 'http_request_duration_seconds',
    help: 'Time from a request to the end of its answer; streams are not in it',
    labelNames: ['method', 'route', 'status'],
    buckets: STEPS_S,
    registers: [this.registry],
  });

  constructor({ followers, pool }: Sizes) {
    const gauge = (name: string, help: string, now: () => number): void => {
      new Gauge({
        name,
        help,
        registers: [this.registry],
        collect() {
          this.set(now());
        },
      });
    };
    gauge('live_followers', 'Phones that follow monitors or changes now', followers);
    // The pool of the driver tells its own sizes no other way.
    const inner = (
      pool as unknown as { pool: { _allConnections: { length: number }; _freeConnections: { length: number } } }
    ).pool;
    gauge('database_connections', 'Open connections to the database', () => inner._allConnections.length);
    gauge(
      'database_connections_in_use',
      'Connections to the database that somebody works on',
      () => inner._allConnections.length - inner._freeConnections.length,
    );
  }

  /** Measures every request; a stream lasts as long as somebody looks, and says nothing. */
  readonly measure: RequestHandler = (request, response, next) => {
    const address = request.originalUrl;
    const startedMs = performance.now();
    response.once('close', () => {
      if (String(response.getHeader('content-type')).startsWith('text/event-stream')) return;
      this.took.observe(
        { method: request.method, route: routeOf(address, response.statusCode), status: response.statusCode },
        (performance.now() - startedMs) / 1000,
      );
    });
    next();
  };

  /** Only for who asks on this machine itself: nothing behind a proxy gets it. */
  readonly tell: RequestHandler = async (request, response) => {
    const from = request.socket.remoteAddress ?? '';
    const isHere = /^(::1|127\.|::ffff:127\.)/.test(from) && request.headers['x-forwarded-for'] === undefined;
    if (!isHere) throw new Refusal('notFound');
    response.type(this.registry.contentType).send(await this.registry.metrics());
  };
}
