import { AIR_TOOL_CODES } from '@dunlinmoss/core';
import { z } from 'zod';

import { id, name, revision } from '../quantities';
import { stamps } from './row';

/** A person's tool for letting air out or putting it in. */
export const airTool = z.strictObject({
  id,
  revision,
  name,
  kind: z.enum(AIR_TOOL_CODES),
  /** How many wheels it serves at once. */
  wheelsAtOnce: z.int().min(1).max(6),
  note: z.string().trim().max(300),
});

export const airToolRow = airTool.extend(stamps);

export type AirToolBody = z.infer<typeof airTool>;
export type AirToolRow = z.infer<typeof airToolRow>;
