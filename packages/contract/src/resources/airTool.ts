import { AIR_TOOL_CODES, VALVES } from '@dunlinmoss/core';
import { z } from 'zod';

import { id, litersPerMin, name, pressureKpa, revision } from '../quantities';
import { stamps } from './row';

const minutes = z.number().min(0.1).max(600);

/** A person's tool for letting air out or putting it in. What its label says is theirs; without, its kind's is taken. */
export const airTool = z.strictObject({
  id,
  revision,
  name,
  kind: z.enum(AIR_TOOL_CODES),
  /** How many wheels it serves at once. */
  wheelsAtOnce: z.int().min(1).max(6),
  /** What it delivers by pressure, as its label says. */
  flow: z
    .array(z.strictObject({ pressureKpa, litersPerMin }))
    .max(8)
    .refine((flow) => flow.every((point, index) => index === 0 || point.pressureKpa > flow[index - 1]!.pressureKpa), {
      message: 'expected each point at a higher pressure than the one before',
      params: { code: 'flowOrder' },
    })
    .default([]),
  /** How long it may run, and must rest then. */
  duty: z.strictObject({ onMin: minutes, restMin: minutes }).nullable().default(null),
  /** What a charge or a bottle holds. */
  budget: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('liters'), liters: z.number().min(0.1).max(1_000_000) }),
      z.strictObject({ kind: z.literal('gas'), kg: z.number().min(0.001).max(1_000) }),
    ])
    .nullable()
    .default(null),
  /** What preset deflators are set to, as a gauge shows it; null where nobody said. */
  setKpa: pressureKpa.nullable().default(null),
  /** The valves that it fits without an adapter; none where nobody said. */
  valves: z
    .array(z.enum(VALVES))
    .max(VALVES.length)
    .refine((valves) => new Set(valves).size === valves.length, {
      message: 'expected each once',
      params: { code: 'valveTwice' },
    })
    .default([]),
  note: z.string().trim().max(300),
});

export const airToolRow = airTool.extend(stamps);

export type AirToolBody = z.infer<typeof airTool>;
export type AirToolRow = z.infer<typeof airToolRow>;
