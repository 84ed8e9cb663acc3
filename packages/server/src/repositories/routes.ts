import { RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { flag, json, plain, time } from './columns';
import { ofRig } from './ofRig';
import { versioned } from './versioned';

type DayRoute = BodyOf<'routes'>;

const { prices, stretches, track, drive } = RESOURCES.routes.body.shape;

export const routeRepository = (pool: Pool) =>
  versioned<DayRoute, RowOf<'routes'>, QueryOf<'routes'>, Omit<DayRoute, 'id' | 'revision'>>(pool, {
    table: 'day_routes',
    kind: 'routes',
    order: RESOURCES.routes.order,
    filter: ofRig,
    fields: {
      name: plain(),
      rigId: plain(),
      keptAt: time(),
      startsAtMin: plain(),
      plan: plain(),
      bogMin: plain(),
      pullOverMin: plain(),
      central: flag(),
      prices: json(prices),
      stretches: json(stretches),
      track: json(track),
      drive: json(drive),
    },
  });
