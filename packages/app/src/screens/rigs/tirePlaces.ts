import type { Rig, TireField } from '@dunlinmoss/contract';

import type { OpenForm } from '../../forms/useRowForm';

export interface TireProps {
  readonly form: OpenForm<Rig>;
  /** The axles that have it: what is entered for the first goes to each of them. */
  readonly axles: readonly number[];
  /** Stands before each label for those who hear it. */
  readonly spoken: string;
}

/** Where a field of a tire is: on the first axle that has it, and on the others. */
export function placesOf<Field extends TireField>(axles: readonly number[], field: Field) {
  const [at, ...also] = axles.map((index) => `/axles/${index}/${field}` as const);
  return { at: at!, also };
}
