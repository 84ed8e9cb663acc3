import { rowId } from '@dunlinmoss/contract/api';

import { Refusal } from '../problems';

/** The id in an address. One that can't be one is simply not there. */
export function idOf(value: unknown): string {
  const result = rowId.safeParse(value);
  if (!result.success) throw new Refusal('notFound');
  return result.data;
}
