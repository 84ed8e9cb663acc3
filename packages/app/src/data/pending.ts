import type { BodyOf, Problem, ResourceName, RowOf } from '@dunlinmoss/contract';

/** What is to become of a row beside its saving. */
export type Fate = 'archive' | 'restore' | 'erase';

/** Why something that waits can't be sent as it is. */
export interface Clashing {
  /** The row that is there now; null where it is gone for good. */
  readonly present: RowOf<ResourceName> | null;
  /** It was archived there. */
  readonly archived: boolean;
  /** Nobody changed it there: the store was set back to before what was changed here. */
  readonly setBack?: boolean;
  /** Another tab of this device saved it: the server may not have seen that. */
  readonly inOtherTab?: boolean;
}

/** What was done with a row here and has not arrived yet. */
export interface Pending {
  readonly name: ResourceName;
  readonly id: string;
  /** What it was begun from, so that two changes can be put together; null for a new one, or where nobody knows. */
  readonly base: BodyOf<ResourceName> | null;
  /** What it said before, newest first: it may have arrived although no answer came. */
  readonly sent: readonly BodyOf<ResourceName>[];
  /** As it was saved here; null where it was only archived, brought back or deleted. */
  readonly body: BodyOf<ResourceName> | null;
  readonly fate: Fate | null;
  /** The revision that was archived or deleted. */
  readonly revision: number;
  /** Since when it waits, epoch, ms. What waits longest is sent first. */
  readonly sinceMs: number;
  /** Another with every change, so that what was done here while it was on its way is not forgotten with it. */
  readonly stamp: string;
  /** Somebody saved it in between, and both can't be put together: the person chooses. */
  readonly clashing?: Clashing;
  /** The server refused it: it stays here, to be mended or copied out. */
  readonly refused?: Problem;
}

export const keyOf = (name: ResourceName, id: string): string => `${name}/${id}`;

/** Whether it can go out by itself. */
export const goesOut = ({ clashing, refused }: Pending): boolean => !clashing && !refused;
