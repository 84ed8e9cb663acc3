import type { Kind } from '../families/family';
import type { Figure } from '../grounds/figure';
import type { AxleContext } from '../axle/axleContext';
import type { WorkingStep } from '../working/working';
import type { Source } from '../sources/source';

/** What a school would have to know to answer. */
export type MissingInput =
  | 'roadPressure'
  | 'sidewallRange'
  | 'sidewallMaximum'
  | 'riderWeight'
  /** The rule does not hold for tires as wide as this one. */
  | 'narrowerTire'
  | 'whatTheTireCarries'
  /** A load index is known, and not the pressure at which the tire carries it. */
  | 'pressureBesideLoad'
  /** No pressure carries this load at the speed it goes by. */
  | 'lessLoad';

/** What it asks for, kPa, zero or less where it would have no air at all; or what it needs. */
export type Target = number | MissingInput;

/**
 * One way in which practitioners come to a number. A new school is a file in this folder and a line in `registry.ts`.
 * Limits are none of its business: the plan cuts it off where it would go past one.
 */
export interface School {
  readonly code: string;
  /** Who holds it. */
  readonly kinds: readonly Kind[];
  readonly source: Source;
  /** False for one that begins elsewhere on purpose: it is not looked at when schools are said to differ. */
  readonly counted?: boolean;
  /** Its front gives way to its rear; one that names both numbers is taken as it names them. */
  readonly frontYields?: true;
  /** Answers without knowing what stands on the wheels. */
  readonly withoutLoad?: true;
  readonly targetKpa: (context: AxleContext, end: Figure) => Target;
  /** How it came to what it asks for, to be done again with pencil and paper. Asked only where it has answered. */
  readonly trace: (context: AxleContext, end: Figure, targetKpa: number) => readonly WorkingStep[];
}
