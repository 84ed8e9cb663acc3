import { RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { group, flag, plain, time, timeOrNull } from './columns';
import { eraseOuting } from './erase';
import { ofRig } from './ofRig';
import { oneList, part } from './parts';
import { versioned } from './versioned';

type Outing = BodyOf<'outings'>;

const PRESSURES = part<Outing>()<Outing['pressures'][number]>({
  table: 'outing_pressures',
  parent: 'outing_id',
  fields: { position: plain(), pressureKpa: plain() },
  listOf: null,
  rows: ({ pressures }) => pressures,
});

const MODIFIERS = part<Outing>()<{ readonly modifier: Outing['modifiers'][number] }>({
  table: 'outing_modifiers',
  parent: 'outing_id',
  fields: { modifier: plain() },
  listOf: oneList,
  rows: ({ modifiers }) => modifiers.map((modifier) => ({ modifier })),
});

type Own = Omit<Outing, 'id' | 'revision' | 'pressures' | 'modifiers'>;

export const outingRepository = (pool: Pool) =>
  versioned<Outing, RowOf<'outings'>, QueryOf<'outings'>, Own>(pool, {
    table: 'outings',
    kind: 'outings',
    order: RESOURCES.outings.order,
    fields: {
      rigId: plain(),
      loadCaseId: plain(),
      groundCode: plain(),
      speedKmh: plain(),
      tankLevel: plain(),
      stuckRung: plain(),
      title: plain(),
      startedAt: time(),
      pressuresAt: timeOrNull(),
      state: plain(),
      decision: group({ code: plain('decision_code'), note: plain('decision_note'), counts: flag('decision_counts') }),
    },
    lookedUp: { rigName: '(SELECT r.name FROM rigs r WHERE r.owner_id = t.owner_id AND r.id = t.rig_id)' },
    filter: ofRig,
    beforeErase: eraseOuting,
    parts: [PRESSURES, MODIFIERS],
    partFields: (itemsOf) => ({
      pressures: [...itemsOf(PRESSURES)],
      modifiers: itemsOf(MODIFIERS).map(({ modifier }) => modifier),
    }),
  });
