/*
 * Zod in two parts, of which the second takes the first: for who runs it piece by piece, ahead of the first check.
 */
export { $ZodType } from 'zod/v4/core';
export { ZodNumber } from 'zod';
