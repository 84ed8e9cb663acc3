import type { BodyOf, QueryOf, ResourceName, RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { airingRepository } from './airings';
import { airToolRepository } from './airTools';
import { comparisonRepository } from './comparisons';
import { gaugeRepository } from './gauges';
import { outingRepository } from './outings';
import { proofTestRepository } from './proofTests';
import { readingRoundRepository } from './readingRounds';
import { rigRepository } from './rigs';
import { routeRepository } from './routes';
import type { Repository } from './versioned';

export type Repositories = {
  readonly [Name in ResourceName]: Repository<BodyOf<Name>, RowOf<Name>, QueryOf<Name>>;
};

export const createRepositories = (pool: Pool): Repositories => ({
  rigs: rigRepository(pool),
  gauges: gaugeRepository(pool),
  tools: airToolRepository(pool),
  outings: outingRepository(pool),
  tests: proofTestRepository(pool),
  airings: airingRepository(pool),
  readings: readingRoundRepository(pool),
  comparisons: comparisonRepository(pool),
  routes: routeRepository(pool),
});
