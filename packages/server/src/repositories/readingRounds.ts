import { RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { flag, gaugeUsed, plain, time } from './columns';
import { ofRig } from './ofRig';
import { oneList, part } from './parts';
import { versioned } from './versioned';

type ReadingRound = BodyOf<'readings'>;

const WHEELS = part<ReadingRound>()<ReadingRound['wheels'][number]>({
  table: 'reading_wheels',
  parent: 'round_id',
  fields: { position: plain(), wheel: plain(), shownKpa: plain() },
  listOf: oneList,
  rows: ({ wheels }) => wheels,
});

export const readingRoundRepository = (pool: Pool) =>
  versioned<ReadingRound, RowOf<'readings'>, QueryOf<'readings'>, Omit<ReadingRound, 'id' | 'revision' | 'wheels'>>(
    pool,
    {
      table: 'reading_rounds',
      kind: 'readings',
      order: RESOURCES.readings.order,
      filter: ofRig,
      fields: {
        rigId: plain(),
        outingId: plain(),
        readAt: time(),
        occasion: plain(),
        gauge: gaugeUsed(),
        airTempC: plain(),
        tireTempC: plain(),
        altitudeM: plain(),
        justDriven: flag(),
      },
      parts: [WHEELS],
      partFields: (itemsOf) => ({ wheels: [...itemsOf(WHEELS)] }),
    },
  );
