/**
 * An expected failure is a value, never an exception: callers must look at `ok` before they use anything.
 * Exceptions are kept for bugs.
 */
export type Result<Value, Problem extends { code: string }> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problem: Problem };

export const success = <Value>(value: Value): { readonly ok: true; readonly value: Value } => ({ ok: true, value });

export const failure = <Problem extends { code: string }>(
  problem: Problem,
): { readonly ok: false; readonly problem: Problem } => ({ ok: false, problem });
