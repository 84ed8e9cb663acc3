import { RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { flag, gaugeUsed, plain, time, timeOrNull } from './columns';
import { ofRig } from './ofRig';
import { oneList, part } from './parts';
import { versioned } from './versioned';

type Airing = BodyOf<'airings'>;

const WHEELS = part<Airing>()<Airing['wheels'][number]>({
  table: 'airing_wheels',
  parent: 'airing_id',
  fields: {
    position: plain(),
    wheel: plain(),
    volumeL: plain(),
    coldKpa: plain(),
    targetKpa: plain(),
    settled: plain(),
  },
  listOf: oneList,
  rows: ({ wheels }) => wheels,
});

const RUNS = part<Airing>()<Airing['runs'][number]>({
  table: 'airing_runs',
  parent: 'airing_id',
  fields: {
    position: plain(),
    wheel: plain(),
    startedAt: time(),
    endedAt: timeOrNull(),
    beforeKpa: plain(),
    afterKpa: plain(),
    timed: flag(),
  },
  listOf: oneList,
  rows: ({ runs }) => runs,
});

export const airingRepository = (pool: Pool) =>
  versioned<Airing, RowOf<'airings'>, QueryOf<'airings'>, Omit<Airing, 'id' | 'revision' | 'wheels' | 'runs'>>(pool, {
    table: 'airings',
    kind: 'airings',
    order: RESOURCES.airings.order,
    fields: {
      rigId: plain(),
      outingId: plain(),
      way: plain(),
      toolId: plain(),
      toolKind: plain(),
      startedAt: time(),
      endedAt: timeOrNull(),
      gauge: gaugeUsed(),
      coldTempC: plain(),
      tireTempC: plain(),
      altitudeM: plain(),
      justDriven: flag(),
    },
    parts: [WHEELS, RUNS],
    partFields: (itemsOf) => ({ wheels: [...itemsOf(WHEELS)], runs: [...itemsOf(RUNS)] }),

    filter: ({ rigId, outingIds, toolId }) => {
      const own = ofRig({ rigId, outingIds });
      return toolId === undefined
        ? own
        : { sql: `${own.sql} AND tool_id = ?`, values: [...own.values, toolId], hasIndex: true };
    },
  });
