import {
  familyOf,
  isTrailer,
  pressureDoubt,
  questionOf,
  UNITS,
  type Family,
  type Likely,
  type Quantity,
  type PlausibilityCheck,
  type RigLoads,
  type TireUse,
} from '@dunlinmoss/core';

import { tireOf } from './build';
import type { LoadCaseBody } from '../resources/loadCase';
import type { Rig } from '../resources/rig';

/** A value of a rig that is well-formed and hardly can be. `path` is its JSON pointer in the rig. */
export type RigQuestion = { readonly path: string } & (
  | ({ readonly kind: 'unlikely'; readonly quantity: Quantity } & PlausibilityCheck)
  | { readonly kind: 'tireUse'; readonly use: TireUse; readonly expected: readonly TireUse[] }
);

/** Other units that a value may have been meant in, in canonical ones; metres and centimetres are typed for mm. */
const unitFactors = (quantity: Quantity): readonly number[] => [
  ...Object.values(UNITS[quantity]).filter((size) => size !== 1),
  ...(quantity === 'length' ? [1000] : []),
];

const times = ({ low, high }: Likely, factor: number): Likely => ({ low: low * factor, high: high * factor });

/** Asks about one value of a quantity, in its canonical unit; null where it is likely, or nothing is known of it. */
export const askAbout = (quantity: Quantity, value: number | null, likely: Likely | null): PlausibilityCheck | null =>
  value === null || likely === null ? null : questionOf(value, likely, unitFactors(quantity));

function asker(questions: RigQuestion[]) {
  return (path: string, quantity: Quantity, value: number | null, likely: Likely | null): void => {
    const question = askAbout(quantity, value, likely);
    if (question) questions.push({ path, kind: 'unlikely', quantity, ...question });
  };
}

/** Asks about everything in a rig that hardly can be, load cases included. Nothing is refused by it. */
export function questionsOf(rig: Rig): readonly RigQuestion[] {
  const family = familyOf(rig.family);
  const questions: RigQuestion[] = [];
  const ask = asker(questions);
  rig.axles.forEach((axle, index) => {
    const path = `/axles/${index}`;
    const { use } = tireOf(axle.tireMarking);
    // A trailer may have any kind of tire.
    if (!isTrailer(axle.position) && !family.tireUses.includes(use)) {
      questions.push({ path: `${path}/tireMarking`, kind: 'tireUse', use, expected: family.tireUses });
    }
    if (isRoadDoubtful(rig.family, axle)) {
      ask(`${path}/roadKpa`, 'pressure', axle.roadKpa, family.likely.roadKpa);
    }
    ask(`${path}/trackMm`, 'length', axle.trackMm, isTrailer(axle.position) ? null : family.likely.trackMm);
    const first = index === 0 && !isTrailer(axle.position);
    if (!first) ask(`${path}/behindMm`, 'length', axle.behindMm, spacing(family, axle.position));
  });
  rig.loadCases.forEach((loadCase, index) => {
    questions.push(
      ...caseQuestions(rig, loadCase).map((each) => ({ ...each, path: `/loadCases/${index}${each.path}` })),
    );
  });
  return questions;
}

/** A trailer behind a car or tractor may be as long as it likes, but not of no length. */
const spacing = (family: Family, position: Rig['axles'][number]['position']): Likely =>
  isTrailer(position) && family.code !== 'farmTrailer' ? { low: 500, high: 12_000 } : family.likely.wheelbaseMm;

/** The same for one load case; pointers begin at the case. */
export function caseQuestions(rig: Pick<Rig, 'family' | 'axles'>, loadCase: LoadCaseBody): readonly RigQuestion[] {
  const { likely } = familyOf(rig.family);
  const questions: RigQuestion[] = [];
  const ask = asker(questions);
  const wheelsOn = (position: string): number => rig.axles.find((axle) => axle.position === position)?.wheels ?? 1;
  if (loadCase.method === 'scales' || loadCase.method === 'fullAndEmpty') {
    loadCase.weighed.forEach(({ position, part, loadKg }, index) => {
      const count =
        part === 'axle' ? wheelsOn(position) : part === 'left' || part === 'right' ? wheelsOn(position) / 2 : 1;
      if (isTrailer(position) && rig.family !== 'farmTrailer') return;
      ask(`/weighed/${index}/loadKg`, 'mass', loadKg, times(likely.wheelLoadKg, Math.max(count, 1)));
    });
  }
  if (loadCase.method === 'moments' || loadCase.method === 'fullAndEmpty') {
    loadCase.unladen.forEach(({ position, loadKg }, index) => {
      if (position === 'coupling' || (isTrailer(position) && rig.family !== 'farmTrailer')) return;
      ask(`/unladen/${index}/loadKg`, 'mass', loadKg, times(likely.wheelLoadKg, wheelsOn(position)));
    });
  }
  if (loadCase.method === 'posture' && loadCase.posture) {
    ask('/posture/riderKg', 'mass', loadCase.posture.riderKg, RIDER_KG);
    ask('/posture/bikeKg', 'mass', loadCase.posture.bikeKg, BICYCLE_KG);
  }
  return questions;
}

/** A rider with what is worn, and a bicycle with or without a motor. Assumptions, wide of every real one. */
const RIDER_KG: Likely = { low: 20, high: 200 };
const BICYCLE_KG: Likely = { low: 5, high: 60 };

/** A road pressure that hardly can be, and that nobody has stood by: numbers wait until it is answered. */
export const isRoadDoubtful = (
  family: Rig['family'],
  { position, roadKpa, confirmedRoadKpa }: Pick<Rig['axles'][number], 'position' | 'roadKpa' | 'confirmedRoadKpa'>,
): boolean =>
  roadKpa !== null &&
  roadKpa !== 0 &&
  roadKpa !== confirmedRoadKpa &&
  (!isTrailer(position) || family === 'farmTrailer') &&
  pressureDoubt(roadKpa, 'kPa', familyOf(family).likely.roadKpa) !== null;

/** The wheels whose load hardly can be: what depends on them waits until it is put right. */
export function doubtfulLoads(family: Rig['family'], loads: RigLoads) {
  const { likely } = familyOf(family);
  return loads.axles.flatMap(({ position, wheels }) => {
    if (isTrailer(position) && family !== 'farmTrailer') return [];
    const question = wheels
      .map(({ loadKg }) => askAbout('mass', loadKg, likely.wheelLoadKg))
      .find((each) => each !== null);
    return question ? [{ position, question }] : [];
  });
}
