import {
  fieldProblems,
  loadCase as loadCaseSchema,
  type FieldProblem,
  type LoadCaseBody,
  type Rig,
} from '@dunlinmoss/contract';
import {
  familyOf,
  isTrailer,
  placeOf,
  wheelsOf,
  type AxlePosition,
  type LoadItem,
  type LoadMethod,
  type PlaceCode,
  type Posture,
  type WeighedPart,
} from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../pieces/quantityText';
import { parseNumber } from '../../words/format';
import { PLACE_WORDS } from '../../words/families';
import { fieldText } from '../../words/problems';

/** How an axle stood on scales: whole, a side at a time, or a wheel at a time. */
export type WeighedBy = 'axle' | 'sides' | 'wheels';

export interface AxleWeights {
  readonly position: AxlePosition;
  readonly by: WeighedBy;
  /** By part: what is not asked for keeps what was typed. */
  readonly parts: Readonly<Record<WeighedPart, QuantityText>>;
  readonly unladen: QuantityText;
}

export interface ItemValues {
  readonly kind: LoadItem['kind'];
  readonly name: string;
  readonly body: LoadItem['body'];
  readonly behind: QuantityText;
  readonly right: QuantityText;
  readonly mass: QuantityText;
  readonly liters: string;
  readonly density: string;
  readonly level: number;
}

export interface LoadFormValues {
  readonly name: string;
  readonly method: LoadMethod;
  readonly axles: AxleWeights[];
  readonly whole: QuantityText;
  readonly coupling: QuantityText;
  readonly items: ItemValues[];
  readonly posture: Posture;
  /** Percent, the person's own; empty goes by the posture. */
  readonly frontShare: string;
  readonly rider: QuantityText;
  readonly bike: QuantityText;
}

const PARTS: readonly WeighedPart[] = [
  'axle',
  'single',
  'left',
  'right',
  'leftOuter',
  'leftInner',
  'rightInner',
  'rightOuter',
];

/** The parts that are asked for on an axle. */
export function askedParts(by: WeighedBy, wheels: Rig['axles'][number]['wheels']): readonly WeighedPart[] {
  if (wheels === 1) return ['single'];
  if (by === 'axle') return ['axle'];
  return by === 'sides' || wheels === 2 ? ['left', 'right'] : wheelsOf(4);
}

const massOf = (kg: number | null | undefined, units: Units): QuantityText =>
  kg === null || kg === undefined ? EMPTY_QUANTITY : quantityText('mass', units.mass, kg);

/** A load case as the form shows it; without one, a blank one by the best method of the family. */
export function loadValues(rig: Rig, loadCase: LoadCaseBody | undefined, units: Units): LoadFormValues {
  const family = familyOf(rig.family);
  const weighed = loadCase?.weighed ?? [];
  return {
    name: loadCase?.name ?? '',
    method: loadCase?.method ?? family.loadMethods[0]!,
    axles: rig.axles.map(({ position }) => {
      const here = weighed.filter((weighing) => weighing.position === position);
      const has = (part: WeighedPart): boolean => here.some((weighing) => weighing.part === part);
      return {
        position,
        by: has('leftOuter') || has('leftInner') ? 'wheels' : has('left') || has('right') ? 'sides' : 'axle',
        parts: Object.fromEntries(
          PARTS.map((part) => [part, massOf(here.find((weighing) => weighing.part === part)?.loadKg, units)]),
        ) as AxleWeights['parts'],
        unladen: massOf(loadCase?.unladen.find((empty) => empty.position === position)?.loadKg, units),
      };
    }),
    whole: massOf(loadCase?.wholeKg, units),
    coupling: massOf(loadCase?.unladen.find(({ position }) => position === 'coupling')?.loadKg, units),
    items: (loadCase?.items ?? []).map((item) => itemValues(item, units)),
    posture: loadCase?.posture?.posture ?? family.posture ?? 'gravel',
    frontShare:
      loadCase?.posture?.frontShare === null || loadCase?.posture?.frontShare === undefined
        ? ''
        : String(Number((loadCase.posture.frontShare * 100).toFixed(1))),
    rider: massOf(loadCase?.posture?.riderKg, units),
    bike: massOf(loadCase?.posture?.bikeKg, units),
  };
}

const lengthOf = (mm: number | null, units: Units): QuantityText =>
  mm === null ? EMPTY_QUANTITY : quantityText('length', units.length, mm);

const itemValues = (item: LoadItem, units: Units): ItemValues => ({
  kind: item.kind,
  name: item.name,
  body: item.body,
  behind: lengthOf(item.behindMm, units),
  right: lengthOf(item.rightMm, units),
  mass: massOf(item.kind === 'thing' ? item.massKg : null, units),
  liters: item.kind === 'tank' ? String(item.liters) : '',
  density: item.kind === 'tank' ? String(item.densityKgPerL) : '1',
  level: item.kind === 'tank' ? item.level : 1,
});

/** How far a place lies behind the front axle, or the coupling, on this rig, mm. */
export function placeMm(place: PlaceCode, { axles }: Pick<Rig, 'axles'>): number {
  const { body, share } = placeOf(place);
  const own = axles.filter(({ position }) => isTrailer(position) === (body === 'trailer'));
  return Math.round(share * Math.max(0, ...own.map(({ behindMm }) => behindMm)));
}

/** The places that such a rig has, those of its trailer too. */
export function placesOf(rig: Pick<Rig, 'family' | 'axles'>): readonly PlaceCode[] {
  const { places } = familyOf(rig.family);
  const trailer: readonly PlaceCode[] = ['trailerFront', 'trailerMiddle', 'trailerBack'];
  const towed = rig.axles.some(({ position }) => isTrailer(position));
  return towed && !places.some((place) => trailer.includes(place)) ? [...places, ...trailer] : places;
}

/** Something to put on at a place; without one, in the middle of the rig for the person to place. */
export function newItem(kind: LoadItem['kind'], place: PlaceCode | undefined, rig: Rig, units: Units): ItemValues {
  const onTrailer =
    place === undefined ? rig.axles.every(({ position }) => isTrailer(position)) : placeOf(place).body === 'trailer';
  return {
    kind,
    name: place === undefined ? '' : PLACE_WORDS[place],
    body: onTrailer ? 'trailer' : 'vehicle',
    behind: place === undefined ? EMPTY_QUANTITY : quantityText('length', units.length, placeMm(place, rig)),
    right: EMPTY_QUANTITY,
    mass: EMPTY_QUANTITY,
    liters: '',
    density: '1',
    level: 1,
  };
}

const isBlank = ({ text }: QuantityText): boolean => text.trim() === '';
const massGiven = (typed: QuantityText): number | null | undefined =>
  isBlank(typed) ? null : canonicalOf('mass', typed);

function itemCandidate(item: ItemValues): unknown {
  const placed = {
    name: item.name,
    body: item.body,
    behindMm: canonicalOf('length', item.behind),
    rightMm: isBlank(item.right) ? null : canonicalOf('length', item.right),
  };
  return item.kind === 'thing'
    ? { kind: 'thing', ...placed, massKg: canonicalOf('mass', item.mass) }
    : {
        kind: 'tank',
        ...placed,
        liters: parseNumber(item.liters),
        densityKgPerL: parseNumber(item.density),
        level: item.level,
      };
}

/** What was typed so far as a load case, whatever of it is no number left out: for the picture beside the form. */
export function typedCase(values: LoadFormValues, rig: Rig): Omit<LoadCaseBody, 'id' | 'name'> {
  const { method } = values;
  const scales = method === 'scales';
  const moments = method === 'moments';
  const numbers = <Value>(all: readonly (Value & { loadKg: number | null | undefined })[]) =>
    all.flatMap((each) => (typeof each.loadKg === 'number' ? [{ ...each, loadKg: each.loadKg }] : []));
  const share = parseNumber(values.frontShare);
  const [rider, bike] = [canonicalOf('mass', values.rider), canonicalOf('mass', values.bike)];
  return {
    method,
    weighed: scales
      ? numbers(
          values.axles.flatMap(({ position, by, parts }, index) =>
            askedParts(by, rig.axles[index]?.wheels ?? 2).map((part) => ({
              position,
              part,
              loadKg: massGiven(parts[part]),
            })),
          ),
        )
      : [],
    wholeKg: (scales && massGiven(values.whole)) || null,
    unladen: moments
      ? numbers([
          ...values.axles.map(({ position, unladen }) => ({ position, loadKg: massGiven(unladen) })),
          ...(hasTrailer(rig) ? [{ position: 'coupling' as const, loadKg: massGiven(values.coupling) }] : []),
        ])
      : [],
    items: scales
      ? []
      : values.items.flatMap((item) => {
          const read = loadCaseSchema.shape.items.element.safeParse(itemCandidate(item));
          return read.success ? [read.data] : [];
        }),
    posture:
      method === 'posture' && rider !== undefined && bike !== undefined
        ? {
            posture: values.posture,
            frontShare: share === undefined ? null : share / 100,
            riderKg: rider,
            bikeKg: bike,
          }
        : null,
  };
}

export const hasTrailer = ({ axles }: Pick<Rig, 'axles'>): boolean => axles.some(({ position }) => isTrailer(position));

export type LoadFormResult =
  | { readonly ok: true; readonly loadCase: LoadCaseBody }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/**
 * What the form says as a load case, checked by the contract's own schema. Loads may be missing: what they would tell
 * then waits. What was typed and is no number is refused beside its field.
 */
export function toLoadCase(values: LoadFormValues, id: string, rig: Rig, units: Units): LoadFormResult {
  const typed = typedCase(values, rig);
  const problems: Record<string, string> = {};
  const number = 'Expected a number, like 36 or 2.4.';
  const must = (field: string, text: QuantityText): void => {
    if (!isBlank(text) && canonicalOf('mass', text) === undefined) problems[field] ??= number;
  };
  if (values.method === 'scales') {
    values.axles.forEach(({ by, parts }, index) => {
      for (const part of askedParts(by, rig.axles[index]?.wheels ?? 2))
        must(`axles.${index}.parts.${part}`, parts[part]);
    });
    must('whole', values.whole);
  }
  if (values.method === 'moments') {
    values.axles.forEach(({ unladen }, index) => must(`axles.${index}.unladen`, unladen));
    must('coupling', values.coupling);
  }
  const checked = loadCaseSchema.safeParse({
    ...typed,
    id,
    name: values.name,
    items: values.method === 'scales' ? [] : values.items.map(itemCandidate),
    posture:
      values.method === 'posture'
        ? {
            posture: values.posture,
            frontShare: values.frontShare.trim() === '' ? null : (parseNumber(values.frontShare) ?? NaN) / 100,
            riderKg: canonicalOf('mass', values.rider),
            bikeKg: canonicalOf('mass', values.bike),
          }
        : null,
  });
  if (!checked.success) {
    for (const problem of fieldProblems(checked.error))
      problems[loadField(problem, values, rig)] ??= fieldText(problem, units);
  }
  if (rig.loadCases.some((other) => other.id !== id && other.name.toLowerCase() === values.name.trim().toLowerCase())) {
    problems.name ??= 'Another load case has this name. Expected one of its own.';
  }
  if (!checked.success || Object.keys(problems).length > 0) return { ok: false, problems };
  return { ok: true, loadCase: checked.data };
}

const ITEM_FIELDS: Readonly<Record<string, string>> = {
  behindMm: 'behind',
  rightMm: 'right',
  massKg: 'mass',
  liters: 'liters',
  densityKgPerL: 'density',
};
const POSTURE_FIELDS: Readonly<Record<string, string>> = { riderKg: 'rider', bikeKg: 'bike', frontShare: 'frontShare' };

/** The form's field that a refused field of the contract was typed into. */
function loadField({ path }: FieldProblem, values: LoadFormValues, rig: Rig): string {
  const [, list, index, field] = path.split('/');
  if (list === 'items' && index !== undefined) return `items.${index}.${ITEM_FIELDS[field ?? ''] ?? 'name'}`;
  if (list === 'posture') return POSTURE_FIELDS[index ?? ''] ?? 'rider';
  if (list === 'wholeKg') return 'whole';
  if (list === 'weighed' && index !== undefined) {
    const weighing = typedCase(values, rig).weighed[Number(index)];
    const axle = values.axles.findIndex(({ position }) => position === weighing?.position);
    return weighing ? `axles.${axle}.parts.${weighing.part}` : 'name';
  }
  if (list === 'unladen' && index !== undefined) {
    const { position } = typedCase(values, rig).unladen[Number(index)]!;
    return position === 'coupling'
      ? 'coupling'
      : `axles.${values.axles.findIndex((axle) => axle.position === position)}.unladen`;
  }
  return 'name';
}
