import { PLAIN_AXLE, TIRE_FIELDS, type Rig, type RigAxle } from '@dunlinmoss/contract';
import {
  familyOf,
  isTrailer,
  readMarking,
  trailerAxle,
  type AxleTemplate,
  type FamilyCode,
  type LoadRange,
} from '@dunlinmoss/core';

/** An axle as its family's template has it, with no tire yet. */
export const axleOfTemplate = ({ position, wheels, driven, behindMm, trackMm }: AxleTemplate): RigAxle => ({
  ...PLAIN_AXLE,
  position,
  wheels,
  driven,
  behindMm,
  trackMm,
  tireMarking: '',
});

/** An axle added behind: a bogie's second, or a trailer's. Measures are a common one's, to be replaced. */
export function addedAxle(axles: readonly RigAxle[], kind: 'tandem' | 'trailer'): RigAxle {
  const last = axles.at(-1)!;
  if (kind === 'trailer') return axleOfTemplate(trailerAxle(3000, axles[0]!.trackMm ?? 1500));
  const position = isTrailer(last.position) ? (last.position === 'trailer' ? 'trailer2' : 'trailer3') : 'rear2';
  return { ...last, position, behindMm: last.behindMm + 1300 };
}

/** A blank rig of a family, but for its id. */
export const emptyRig = (code: FamilyCode): Omit<Rig, 'id'> => ({
  revision: 0,
  family: code,
  name: '',
  hitchMm: null,
  topSpeedKmh: null,
  loadCaseId: null,
  school: null,
  beadFloorKpa: null,
  roadLoadCaseId: null,
  softOnPurposeAt: null,
  keeperId: null,
  demo: false,
  axles: familyOf(code).axles.map(axleOfTemplate),
  loadCases: [],
});

/** The vehicle's axles have their own tires, and so do its trailer's. */
export type TireGroup = 'vehicle' | 'trailer';
export const groupOf = ({ position }: Pick<RigAxle, 'position'>): TireGroup =>
  isTrailer(position) ? 'trailer' : 'vehicle';

/** The places of a group's axles in the list of all. */
export const axlesOf = (group: TireGroup, axles: readonly Pick<RigAxle, 'position'>[]): readonly number[] =>
  axles.flatMap((axle, index) => (groupOf(axle) === group ? [index] : []));

/** All axles of a group have the same tire. */
export function wearsAlike(group: TireGroup, axles: readonly RigAxle[]): boolean {
  const tires = axlesOf(group, axles).map((index) => JSON.stringify(TIRE_FIELDS.map((field) => axles[index]![field])));
  return new Set(tires).size <= 1;
}

/** The axles of a group with the tire of its first on all of them. */
export function withSameTires(group: TireGroup, axles: readonly RigAxle[]): RigAxle[] {
  const [first] = axlesOf(group, axles);
  const tire = first === undefined ? {} : Object.fromEntries(TIRE_FIELDS.map((field) => [field, axles[first]![field]]));
  return axles.map((axle) => (groupOf(axle) === group ? { ...axle, ...tire } : axle));
}

/** The load range that a marking carries itself, where it does. */
export function markedLoadRange(marking: string): LoadRange | undefined {
  const reading = readMarking(marking);
  return reading.ok ? reading.value.loadRange : undefined;
}
