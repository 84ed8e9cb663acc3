import { loadCase as loadCaseSchema, type LoadCaseBody, type LoadItemBody, type Rig } from '@dunlinmoss/contract';
import {
  familyOf,
  isTrailer,
  loadPositionOf,
  wheelsOf,
  type AxlePosition,
  type LoadItem,
  type LoadMethod,
  type LoadPositionCode,
  type WeighedPart,
} from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { inList, type NumberPlace } from '../../forms/fields';
import type { RowForm } from '../../forms/rowForm';
import { canonicalOf, quantityText } from '../../components/quantityText';
import { LOAD_POSITION_WORDS } from '../../words/families';

/** How an axle stood on scales: whole, a side at a time, or a wheel at a time. */
export type WeighedBy = 'axle' | 'sides' | 'wheels';

/** The parts that are asked for on an axle. */
export function askedParts(by: WeighedBy, wheels: Rig['axles'][number]['wheels']): readonly WeighedPart[] {
  if (wheels === 1) return ['single'];
  if (by === 'axle') return ['axle'];
  return by === 'sides' || wheels === 2 ? ['left', 'right'] : wheelsOf(4);
}

/** How an axle was weighed, from what is there of it. */
export function weighedBy({ weighed }: Pick<LoadCaseBody, 'weighed'>, position: AxlePosition): WeighedBy {
  const parts = weighed.flatMap((weighing) => (weighing.position === position ? [weighing.part] : []));
  if (parts.includes('leftOuter') || parts.includes('leftInner')) return 'wheels';
  return parts.includes('left') || parts.includes('right') ? 'sides' : 'axle';
}

/** A number that has to be there and is not yet. */
const MISSING = null as unknown as number;

const blankPosture = ({ family }: Pick<Rig, 'family'>): NonNullable<LoadCaseBody['posture']> => ({
  posture: familyOf(family).posture ?? 'gravel',
  frontShare: null,
  riderKg: MISSING,
  bikeKg: MISSING,
});

/** A load case known in another way. What was given for the way before stays, but for a posture of nobody. */
export function withMethod(loadCase: LoadCaseBody, method: LoadMethod, rig: Pick<Rig, 'family'>): LoadCaseBody {
  const { posture } = loadCase;
  const isWhole = posture !== null && posture.riderKg !== null && posture.bikeKg !== null;
  return {
    ...loadCase,
    method,
    posture: method === 'posture' ? (posture ?? blankPosture(rig)) : isWhole ? posture : null,
    split: method === 'split' ? (loadCase.split ?? { laden: 'empty', like: null }) : loadCase.split,
  };
}

/** A blank load case by a method that was asked for, else by the best of the family. */
export function blankCase(id: string, rig: Pick<Rig, 'family'>, method?: string): LoadCaseBody {
  const { loadMethods } = familyOf(rig.family);
  const chosen = loadMethods.find((code) => code === method) ?? loadMethods[0]!;
  return withMethod(
    {
      id,
      name: chosen === 'split' ? 'As it stands' : chosen === 'fullAndEmpty' ? 'Full and empty' : '',
      method: 'scales',
      weighed: [],
      wholeKg: null,
      unladen: [],
      items: [],
      posture: null,
      split: null,
      level: null,
    },
    chosen,
    rig,
  );
}

/** The weight of a part of an axle. */
export const weighedPlace = (position: AxlePosition, part: WeighedPart): NumberPlace<LoadCaseBody> =>
  inList<LoadCaseBody, LoadCaseBody['weighed'][number]>(
    '/weighed',
    'loadKg',
    `${position} ${part}`,
    (weighing) => weighing.position === position && weighing.part === part,
    (loadKg) => ({ position, part, loadKg }),
  );

/** What an axle, or the drawbar, weighs empty. */
export const unladenPlace = (position: AxlePosition | 'coupling'): NumberPlace<LoadCaseBody> =>
  inList<LoadCaseBody, LoadCaseBody['unladen'][number]>(
    '/unladen',
    'loadKg',
    position,
    (empty) => empty.position === position,
    (loadKg) => ({ position, loadKg }),
  );

/** The key of the field that a refused pointer of a load case, or of its rig, was typed into. */
export function loadKey(pointer: string, { weighed, unladen }: LoadCaseBody): string {
  const own = pointer.replace(/^\/loadCases\/\d+/, '');
  const [, list, index] = own.split('/');
  const weighing = list === 'weighed' ? weighed[Number(index)] : undefined;
  if (weighing) return weighedPlace(weighing.position, weighing.part).key;
  const empty = list === 'unladen' ? unladen[Number(index)] : undefined;
  return empty ? unladenPlace(empty.position).key : own;
}

/**
 * The form with an axle weighed in other parts. Weights of parts that are no longer asked for leave the load case; their
 * text stays, and brings them back with their part.
 */
export function weighedInParts(
  { row, texts }: RowForm<LoadCaseBody>,
  position: AxlePosition,
  parts: readonly WeighedPart[],
  { mass }: Pick<Units, 'mass'>,
): RowForm<LoadCaseBody> {
  const goes = ({ position: own, part }: LoadCaseBody['weighed'][number]): boolean =>
    own === position && !parts.includes(part);
  const kept = { ...texts };
  for (const { part, loadKg } of row.weighed.filter(goes)) {
    if (Number.isFinite(loadKg)) kept[weighedPlace(position, part).key] ??= quantityText('mass', mass, loadKg);
  }
  const changed = parts.reduce<LoadCaseBody>(
    (each, part) => {
      const place = weighedPlace(position, part);
      const text = kept[place.key];
      const read = text === undefined || text.text.trim() === '' ? undefined : canonicalOf('mass', text);
      return read === undefined || place.read(each) !== null ? each : place.write(each, read);
    },
    { ...row, weighed: row.weighed.filter((weighing) => !goes(weighing)) },
  );
  return { row: changed, texts: kept };
}

/** How far a place lies behind the front axle, or the coupling, on this rig, mm. */
export function placeMm(place: LoadPositionCode, { axles }: Pick<Rig, 'axles'>): number {
  const { body, share } = loadPositionOf(place);
  const own = axles.filter(({ position }) => isTrailer(position) === (body === 'trailer'));
  return Math.round(share * Math.max(0, ...own.map(({ behindMm }) => behindMm)));
}

/** The places that such a rig has, those of its trailer too. */
export function loadPositionsOf(rig: Pick<Rig, 'family' | 'axles'>): readonly LoadPositionCode[] {
  const { places } = familyOf(rig.family);
  const trailer: readonly LoadPositionCode[] = ['trailerFront', 'trailerMiddle', 'trailerBack'];
  const towed = rig.axles.some(({ position }) => isTrailer(position));
  return towed && !places.some((place) => trailer.includes(place)) ? [...places, ...trailer] : places;
}

/** Something to put on at a place; without one, in the middle of the rig for the person to place. */
export function newItem(
  kind: LoadItem['kind'],
  place: LoadPositionCode | undefined,
  rig: Pick<Rig, 'axles'>,
): LoadItemBody {
  const onTrailer =
    place === undefined
      ? rig.axles.every(({ position }) => isTrailer(position))
      : loadPositionOf(place).body === 'trailer';
  const placed = {
    name: place === undefined ? '' : LOAD_POSITION_WORDS[place],
    body: onTrailer ? 'trailer' : 'vehicle',
    behindMm: place === undefined ? MISSING : placeMm(place, rig),
    rightMm: null,
  } as const;
  return kind === 'thing'
    ? { kind, ...placed, massKg: MISSING }
    : { kind, ...placed, liters: MISSING, densityKgPerL: 1, level: 1 };
}

const isNumber = ({ loadKg }: { readonly loadKg: number }): boolean => Number.isFinite(loadKg);

/** What of a load case can be reckoned with already, while the rest is being typed. */
export function readable(loadCase: LoadCaseBody): LoadCaseBody {
  const { weighed, unladen, items, posture, wholeKg } = loadCase;
  return {
    ...loadCase,
    weighed: weighed.filter(isNumber),
    unladen: unladen.filter(isNumber),
    wholeKg: Number.isFinite(wholeKg) ? wholeKg : null,
    items: items.filter((item) => loadCaseSchema.shape.items.element.safeParse(item).success),
    posture: posture && loadCaseSchema.shape.posture.safeParse(posture).success ? posture : null,
  };
}

export const hasTrailer = ({ axles }: Pick<Rig, 'axles'>): boolean => axles.some(({ position }) => isTrailer(position));
