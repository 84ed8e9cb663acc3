import type { z } from 'zod';

/**
 * One computation that can be had over the API: `POST /api/v1/calc/<name>`. SI in and out, the unit in each field's
 * name, full precision. A new calculator is a file beside this one and a line in `registry.ts`.
 */
export interface Calculator<Input extends z.ZodType = z.ZodType, Output extends z.ZodType = z.ZodType> {
  readonly name: string;
  readonly summary: string;
  readonly input: Input;
  readonly output: Output;
  /** May take more than a fifth of a second: the server runs it in a thread of its own. */
  readonly heavy?: true;
  readonly run: (input: z.infer<Input>) => z.infer<Output>;
}

/** Ties the types of a calculator's parts together. */
export const defineCalculator = <Input extends z.ZodType, Output extends z.ZodType>(
  calculator: Calculator<Input, Output>,
): Calculator<Input, Output> => calculator;
