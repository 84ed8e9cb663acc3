import { RESOURCES, type BodyOf, type QueryOf, type RowOf } from '@dunlinmoss/contract';
import type { Pool } from 'mysql2/promise';

import { codes, group, plain, type Column } from './columns';
import { oneList, part } from './parts';
import { versioned } from './versioned';

type AirTool = BodyOf<'tools'>;

const FLOW = part<AirTool>()<AirTool['flow'][number]>({
  table: 'air_tool_flow',
  parent: 'tool_id',
  fields: { pressureKpa: plain(), litersPerMin: plain() },
  listOf: oneList,
  rows: ({ flow }) => flow,
});

/** What it holds: liters of air or kilograms of gas, each in its own column. */
const budget: Column<AirTool['budget']> = {
  names: () => ['budget_liters', 'budget_kg'],
  dates: () => [],
  write: (value) => ({
    budget_liters: value?.kind === 'liters' ? value.liters : null,
    budget_kg: value?.kind === 'gas' ? value.kg : null,
  }),
  read: ({ budget_liters: liters, budget_kg: kg }) => {
    if (liters !== null) return { kind: 'liters', liters };
    return kg === null ? null : { kind: 'gas', kg };
  },
};

export const airToolRepository = (pool: Pool) =>
  versioned<AirTool, RowOf<'tools'>, QueryOf<'tools'>, Omit<AirTool, 'id' | 'revision' | 'flow'>>(pool, {
    table: 'air_tools',
    kind: 'tools',
    order: RESOURCES.tools.order,
    fields: {
      name: plain(),
      kind: plain(),
      wheelsAtOnce: plain(),
      duty: group({ onMin: plain(), restMin: plain() }),
      budget,
      setKpa: plain(),
      valves: codes(),
      note: plain(),
    },
    parts: [FLOW],
    partFields: (itemsOf) => ({ flow: [...itemsOf(FLOW)] }),
  });
