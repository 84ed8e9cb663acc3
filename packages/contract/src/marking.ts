import { LOAD_RANGE_CODES, readMarking } from '@dunlinmoss/core';
import { z } from 'zod';

/**
 * A tire size as read off the sidewall. Kept as it was typed; must be readable.
 * The reason it can't be read travels in `params.problem`.
 */
export const tireMarking = z
  .string()
  .trim()
  .min(1)
  .max(60)
  .superRefine((text, context) => {
    const reading = readMarking(text);
    if (reading.ok) return;
    context.addIssue({
      code: 'custom',
      message: `Not a readable tire marking (${reading.problem.code}); expected something like 245/75R16 111T`,
      params: { code: 'unreadableMarking', problem: reading.problem },
    });
  });

/** A tire by marking and load range, as calculators take it. */
export const tireInput = { tireMarking, loadRange: z.enum(LOAD_RANGE_CODES) };
