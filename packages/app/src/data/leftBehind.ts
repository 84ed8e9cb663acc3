import type { Change, ResourceName, RowOf, SetBack } from '@dunlinmoss/contract';

/** One row of this device that the store, as it was set back, has otherwise. */
export interface LeftBehindRow {
  readonly kind: ResourceName;
  readonly id: string;
  /** As this device had it; of what was archived, as the store has it again. */
  readonly row: RowOf<ResourceName>;
  readonly how: 'missing' | 'older' | 'archived';
}

/** What this device had before a restore, kept aside. */
export interface LeftBehind {
  readonly setBack: SetBack;
  /** Everything it had, until that was held against what the store has now. */
  readonly had: readonly Change[];
  /** What differs; null before it was compared. */
  readonly rows: readonly LeftBehindRow[] | null;
}
