import { failure, success, type Result } from '../result/result';
import { balance, sides } from './balance';
import {
  isTrailer,
  sideOf,
  wheelsOf,
  type AxlePlace,
  type AxlePosition,
  type RigGeometry,
  type Side,
  type WheelCode,
} from './geometry';
import { itemMassKg, type LoadCase, type LoadItem, type PostureLoad } from './loadCase';
import { POSTURES } from './postures';
import { splitWhole } from './splitWhole';

/** `weighed`: each wheel, or a side of a pair, stood on a scale. `shared`: the axle did, and its wheels share it alike. */
export type Standing = 'weighed' | 'shared' | 'estimated';

export interface AxleLoad {
  readonly position: AxlePosition;
  readonly loadKg: number;
  /** Left to right. */
  readonly wheels: readonly { readonly wheel: WheelCode; readonly loadKg: number }[];
  readonly standing: Standing;
}

/** How one thing put on bears on the axles: what a person can follow with pencil and paper. */
export interface ItemShare {
  readonly item: LoadItem;
  readonly massKg: number;
  readonly onAxles: readonly { readonly position: AxlePosition; readonly loadKg: number }[];
}

export interface RigLoads {
  readonly axles: readonly AxleLoad[];
  /** All that stands on the wheels. */
  readonly totalKg: number;
  /** What a drawbar presses on its coupling, kg; null where that is not known. */
  readonly couplingKg: number | null;
  readonly shares: readonly ItemShare[];
}

export type LoadProblem =
  | { readonly code: 'weightMissing'; readonly position: AxlePosition }
  | { readonly code: 'unladenMissing'; readonly position: AxlePosition | 'coupling' }
  | { readonly code: 'riderMissing' }
  /** Weighed full it is no heavier than weighed empty, kg each: one of them is mistaken, or they are changed over. */
  | { readonly code: 'fullNotHeavier'; readonly fullKg: number; readonly emptyKg: number }
  /** The total is to be split, and it is missing, or its kind has no usual split. */
  | { readonly code: 'wholeMissing' }
  /** Two axles, or coupling and axle, stand at one place: nothing can be levered between them. */
  | { readonly code: 'noSpacing'; readonly body: 'vehicle' | 'trailer' }
  /** A trailer's load presses its drawbar upwards, by so much: it would lift off the coupling. */
  | { readonly code: 'drawbarUp'; readonly upwardKg: number }
  /** A trailer is loaded, and where it is coupled is not known. */
  | { readonly code: 'noCoupling' }
  /** What is put on would lift this axle, or a wheel of it, off the ground. */
  | { readonly code: 'lifted'; readonly position: AxlePosition };

/**
 * The load on every wheel in one load case, kg.
 *
 * Moments: each thing bears on the vehicle's front axle and on the axles behind it by the lever law; axles behind the
 * first share what falls to them alike (assumption: they are tied as a bogie). A trailer's things bear on its coupling
 * and its axles, and the coupling bears on the vehicle.
 */
export function loadsOf(geometry: RigGeometry, loadCase: LoadCase): Result<RigLoads, LoadProblem> {
  switch (loadCase.method) {
    case 'scales':
      return fromScales(geometry.axles, loadCase);
    case 'moments':
      return fromMoments(geometry, loadCase.unladen, loadCase.items);
    case 'posture':
      return fromPosture(geometry, loadCase.posture, loadCase.items);
    case 'split':
      return fromSplit(geometry, loadCase);
    case 'fullAndEmpty':
      return fromFullAndEmpty(geometry.axles, loadCase);
  }
}

/**
 * The whole split by its kind: the front its share, what is left evenly on the axles behind. A trailer is no part of the
 * whole: it is taken to stand as heavy on its wheels as the axle before it (assumption).
 */
function fromSplit({ axles }: RigGeometry, { wholeKg, split }: LoadCase): Result<RigLoads, LoadProblem> {
  const own = axles.filter(({ position }) => !isTrailer(position));
  if (wholeKg === null || split === null || own.length === 0) return failure({ code: 'wholeMissing' });
  const wheelKg = splitWhole(
    wholeKg,
    split.frontShare,
    own.map(({ wheels }) => wheels),
  );
  return success(
    summed(
      axles.map(({ position, wheels }, axle) => {
        const codes = wheelsOf(wheels);
        return axleLoad(
          position,
          codes,
          codes.map(() => wheelKg[axle] ?? wheelKg.at(-1)!),
          'estimated',
        );
      }),
      null,
      [],
    ),
  );
}

const axleLoad = (
  position: AxlePosition,
  codes: readonly WheelCode[],
  loads: readonly number[],
  standing: Standing,
): AxleLoad => ({
  position,
  loadKg: loads.reduce((total, load) => total + load, 0),
  wheels: codes.map((wheel, index) => ({ wheel, loadKg: loads[index]! })),
  standing,
});

const summed = (axles: readonly AxleLoad[], couplingKg: number | null, shares: readonly ItemShare[]): RigLoads => ({
  axles,
  totalKg: axles.reduce((total, { loadKg }) => total + loadKg, 0),
  couplingKg,
  shares,
});

function fromScales(axles: readonly AxlePlace[], { weighed }: LoadCase): Result<RigLoads, LoadProblem> {
  const loads: AxleLoad[] = [];
  for (const { position, wheels: count } of axles) {
    const codes = wheelsOf(count);
    const weightOf = (part: string): number | null =>
      weighed.find((weighing) => weighing.position === position && weighing.part === part)?.loadKg ?? null;
    const each = codes.map((wheel) => {
      // A pair on a scale is shared by its two.
      const pair = weightOf(sideOf(wheel));
      return weightOf(wheel) ?? (pair === null ? undefined : pair / (count / 2));
    });
    const whole = weightOf('axle');
    if (each.every((load) => load !== undefined)) {
      loads.push(axleLoad(position, codes, each, 'weighed'));
    } else if (whole !== null) {
      const shared = codes.map(() => whole / count);
      loads.push(axleLoad(position, codes, shared, count === 1 ? 'weighed' : 'shared'));
    } else {
      return failure({ code: 'weightMissing', position });
    }
  }
  return success(summed(loads, null, []));
}

/**
 * Weighed full and weighed empty, and so full today: each axle between the two by how full it is (exact for a tank that
 * fills evenly over its length), the wheels of an axle sharing it as they do when full (assumption).
 */
function fromFullAndEmpty(axles: readonly AxlePlace[], loadCase: LoadCase): Result<RigLoads, LoadProblem> {
  const full = fromScales(axles, loadCase);
  if (!full.ok) return full;
  const level = loadCase.level ?? 1;
  const emptyKg: number[] = [];
  for (const { position } of axles) {
    const empty = loadCase.unladen.find((each) => each.position === position);
    if (!empty) return failure({ code: 'unladenMissing', position });
    emptyKg.push(empty.loadKg);
  }
  const allEmptyKg = emptyKg.reduce((sum, each) => sum + each, 0);
  if (full.value.totalKg <= allEmptyKg) {
    return failure({ code: 'fullNotHeavier', fullKg: full.value.totalKg, emptyKg: allEmptyKg });
  }
  const today = full.value.axles.map((axle, index): AxleLoad => {
    const loadKg = emptyKg[index]! + level * (axle.loadKg - emptyKg[index]!);
    const share = axle.loadKg > 0 ? loadKg / axle.loadKg : 0;
    return {
      ...axle,
      loadKg,
      wheels: axle.wheels.map(({ wheel, loadKg: fullKg }) => ({ wheel, loadKg: fullKg * share })),
      standing: level === 1 ? axle.standing : 'estimated',
    };
  });
  return success(summed(today, null, []));
}

const middleOf = (axles: readonly AxlePlace[]): number =>
  axles.reduce((sum, { behindMm }) => sum + behindMm, 0) / axles.length;

function fromMoments(
  { axles, hitchMm }: RigGeometry,
  unladen: LoadCase['unladen'],
  items: LoadCase['items'],
): Result<RigLoads, LoadProblem> {
  const emptyOn = (position: AxlePosition | 'coupling'): number | null =>
    unladen.find((empty) => empty.position === position)?.loadKg ?? null;
  const [front, ...behind] = axles.filter(({ position }) => !isTrailer(position));
  const towed = axles.filter(({ position }) => isTrailer(position));
  const hasTrailer = towed.length > 0;

  const missing = axles.find(({ position }) => emptyOn(position) === null);
  if (missing) return failure({ code: 'unladenMissing', position: missing.position });
  const emptyCoupling = emptyOn('coupling');
  if (hasTrailer && emptyCoupling === null) return failure({ code: 'unladenMissing', position: 'coupling' });
  if (hasTrailer && front && hitchMm === null) return failure({ code: 'noCoupling' });
  const rearMm = middleOf(behind);
  const towedMm = middleOf(towed);
  if (front && !(rearMm > front.behindMm)) return failure({ code: 'noSpacing', body: 'vehicle' });
  if (hasTrailer && !(towedMm > 0)) return failure({ code: 'noSpacing', body: 'trailer' });

  const borne = new Map<AxlePosition, Record<Side, number>>(
    axles.map(({ position }) => [position, { left: 0, right: 0, middle: 0 }]),
  );
  let couplingKg = 0;
  const put = (group: readonly AxlePlace[], loadKg: number, rightMm: number | null): void => {
    for (const { position, wheels, trackMm } of group) {
      const on = borne.get(position)!;
      const share = loadKg / group.length;
      if (wheels === 1) {
        on.middle += share;
      } else {
        const [left, right] = sides(share, trackMm, rightMm);
        on.left += left;
        on.right += right;
      }
    }
  };
  const bearOnVehicle = (massKg: number, atMm: number, rightMm: number | null): void => {
    if (!front) return;
    const [first, second] = balance(massKg, front.behindMm, rearMm, atMm);
    put([front], first, rightMm);
    put(behind, second, rightMm);
  };
  const couple = (loadKg: number): void => {
    couplingKg += loadKg;
    if (hitchMm !== null) bearOnVehicle(loadKg, hitchMm, null);
  };
  const bearOnTrailer = (massKg: number, atMm: number, rightMm: number | null): void => {
    const [onCoupling, onAxles] = balance(massKg, 0, towedMm, atMm);
    couple(onCoupling);
    put(towed, onAxles, rightMm);
  };
  const bornBy = (position: AxlePosition): number => {
    const { left, right, middle } = borne.get(position)!;
    return left + right + middle;
  };

  for (const axle of axles) put([axle], emptyOn(axle.position)!, null);
  if (hasTrailer) couple(emptyCoupling!);
  const shares: ItemShare[] = [];
  for (const item of items) {
    if (item.body === 'trailer' ? !hasTrailer : !front) return failure({ code: 'noCoupling' });
    const massKg = itemMassKg(item);
    const before = axles.map(({ position }) => bornBy(position));
    (item.body === 'trailer' ? bearOnTrailer : bearOnVehicle)(massKg, item.behindMm, item.rightMm);
    shares.push({
      item,
      massKg,
      onAxles: axles.map(({ position }, index) => ({ position, loadKg: bornBy(position) - before[index]! })),
    });
  }

  const loads = axles.map(({ position, wheels: count }) => {
    const on = borne.get(position)!;
    const codes = wheelsOf(count);
    const perSide = Math.max(count / 2, 1);
    return axleLoad(
      position,
      codes,
      codes.map((wheel) => on[sideOf(wheel)] / perSide),
      'estimated',
    );
  });
  const lifted = loads.find(({ wheels }) => wheels.some(({ loadKg }) => loadKg < 0));
  if (lifted) return failure({ code: 'lifted', position: lifted.position });
  if (hasTrailer && couplingKg < 0) return failure({ code: 'drawbarUp', upwardKg: -couplingKg });
  return success(summed(loads, hasTrailer ? couplingKg : null, shares));
}

function fromPosture(
  geometry: RigGeometry,
  posture: PostureLoad | null,
  gear: LoadCase['items'],
): Result<RigLoads, LoadProblem> {
  const [front, rear] = geometry.axles;
  if (!posture || !front || !rear) return failure({ code: 'riderMissing' });
  const ridden = posture.riderKg + posture.bikeKg;
  const onFront = ridden * (posture.frontShare ?? POSTURES[posture.posture]);
  const bare = [onFront, ridden - onFront] as const;
  if (gear.length === 0) {
    const loads = [front, rear].map(({ position, wheels }, index) => {
      const codes = wheelsOf(wheels);
      return axleLoad(
        position,
        codes,
        codes.map(() => bare[index]! / codes.length),
        'estimated',
      );
    });
    return success(summed(loads, null, []));
  }
  // What is tied on bears by its place, as on any other rig.
  return fromMoments(
    geometry,
    [
      { position: front.position, loadKg: bare[0] },
      { position: rear.position, loadKg: bare[1] },
    ],
    gear,
  );
}
