import { fieldProblems, rig as rigSchema, type FieldProblem, type Rig, type RigAxle } from '@dunlinmoss/contract';
import {
  familyOf,
  isTrailer,
  readMarking,
  trailerAxle,
  type AxlePosition,
  type AxleTemplate,
  type BeadHold,
  type Casing,
  type FamilyCode,
  type LoadRange,
  type Quantity,
  type UnitOf,
  type WheelCount,
} from '@dunlinmoss/core';

import type { Units } from '../../data/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../pieces/quantityText';
import { parseNumber } from '../../words/format';
import { fieldText } from '../../words/problems';

export interface LineValues {
  readonly pressure: QuantityText;
  readonly load: QuantityText;
}

export interface RowValues extends LineValues {
  readonly speed: string;
}

/** What belongs to a tire: asked once where several axles wear the same. */
export interface TireValues {
  readonly marking: string;
  readonly loadRange: LoadRange;
  readonly tube: boolean;
  readonly beadHold: BeadHold;
  readonly insert: boolean;
  readonly casing: Casing | '';
  readonly rimInner: QuantityText;
  readonly measuredWidth: QuantityText;
  readonly treadWidth: QuantityText;
  readonly min: QuantityText;
  readonly max: QuantityText;
  readonly lines: LineValues[];
  readonly rows: RowValues[];
  readonly rowsOf: RigAxle['rowsOf'];
}

export interface AxleValues extends TireValues {
  readonly position: AxlePosition;
  readonly wheels: WheelCount;
  readonly driven: boolean;
  readonly behind: QuantityText;
  readonly track: QuantityText;
  readonly rating: QuantityText;
  readonly road: QuantityText;
  readonly present: QuantityText;
  /** The gauge that it was read with; empty for one that is taken as true. */
  readonly gaugeId: string;
}

export interface RigFormValues {
  /** The revision that these values began from: a draft may be older than the row. */
  readonly revision: number;
  readonly name: string;
  readonly hitch: QuantityText;
  readonly topSpeed: string;
  /** The axles behind the first wear the same tires, so that they are asked for once. */
  readonly sameTires: boolean;
  readonly axles: AxleValues[];
}

/** The first load case and all else that the form does not touch. */
export type RigRest = Pick<Rig, 'id' | 'family' | 'loadCases' | 'loadCaseId' | 'school' | 'beadFloorKpa'>;

const EMPTY_TIRE: TireValues = {
  marking: '',
  loadRange: 'standard',
  tube: false,
  beadHold: 'none',
  insert: false,
  casing: '',
  rimInner: EMPTY_QUANTITY,
  measuredWidth: EMPTY_QUANTITY,
  treadWidth: EMPTY_QUANTITY,
  min: EMPTY_QUANTITY,
  max: EMPTY_QUANTITY,
  lines: [],
  rows: [],
  rowsOf: 'thisTire',
};

const quantityOf = <Q extends Quantity>(quantity: Q, unit: UnitOf<Q>, value: number | null): QuantityText =>
  value === null ? EMPTY_QUANTITY : quantityText(quantity, unit, value);

/** An axle as its family's template has it, with no tire yet. */
export const axleOfTemplate = (template: AxleTemplate, units: Units): AxleValues => ({
  ...EMPTY_TIRE,
  position: template.position,
  wheels: template.wheels,
  driven: template.driven,
  behind: quantityText('length', units.length, template.behindMm),
  track: quantityOf('length', units.length, template.trackMm),
  rating: EMPTY_QUANTITY,
  road: EMPTY_QUANTITY,
  present: EMPTY_QUANTITY,
  gaugeId: '',
});

/** An axle added behind: a bogie's second, or a trailer's. Measures are a common one's, to be replaced. */
export function addedAxle(axles: readonly AxleValues[], kind: 'tandem' | 'trailer', units: Units): AxleValues {
  const last = axles.at(-1)!;
  if (kind === 'tandem') {
    const position = isTrailer(last.position) ? (last.position === 'trailer' ? 'trailer2' : 'trailer3') : 'rear2';
    const behindMm = (canonicalOf('length', last.behind) ?? 0) + 1300;
    return { ...last, position, behind: quantityText('length', units.length, behindMm) };
  }
  const vehicle = axles[0]!;
  return axleOfTemplate(trailerAxle(3000, canonicalOf('length', vehicle.track) ?? 1500), units);
}

/** A blank rig of a family. */
export const emptyRig = (family: FamilyCode, units: Units): RigFormValues => ({
  revision: 0,
  name: '',
  hitch: EMPTY_QUANTITY,
  topSpeed: '',
  sameTires: familyOf(family).tiresAlike,
  axles: familyOf(family).axles.map((template) => axleOfTemplate(template, units)),
});

const tireOfAxle = (axle: RigAxle) => ({
  marking: axle.tireMarking,
  loadRange: axle.loadRange,
  tube: axle.tube,
  beadHold: axle.beadHold,
  insert: axle.insert,
  casing: axle.casing,
  rimInner: axle.rimInnerMm,
  measuredWidth: axle.measuredWidthMm,
  treadWidth: axle.treadWidthMm,
  min: axle.minKpa,
  max: axle.maxKpa,
  lines: axle.lines,
  rows: axle.rows,
});

/** A saved rig as the form shows it. */
export function rigValues({ revision, name, hitchMm, topSpeedKmh, axles }: Rig, units: Units): RigFormValues {
  const pressure = (kpa: number | null) => quantityOf('pressure', units.pressure, kpa);
  const length = (mm: number | null) => quantityOf('length', units.length, mm);
  const mass = (kg: number | null) => quantityOf('mass', units.mass, kg);
  const vehicle = axles.filter(({ position }) => !isTrailer(position));
  const worn = new Set((vehicle.length > 0 ? vehicle : axles).map((axle) => JSON.stringify(tireOfAxle(axle))));
  return {
    revision,
    name,
    hitch: length(hitchMm),
    topSpeed: topSpeedKmh === null ? '' : String(topSpeedKmh),
    sameTires: worn.size === 1,
    axles: axles.map((axle) => ({
      position: axle.position,
      wheels: axle.wheels,
      driven: axle.driven,
      behind: length(axle.behindMm),
      track: length(axle.trackMm),
      rating: mass(axle.ratingKg),
      road: pressure(axle.roadKpa),
      present: pressure(axle.present?.rawKpa ?? null),
      gaugeId: axle.present?.gaugeId ?? '',
      marking: axle.tireMarking,
      loadRange: axle.loadRange,
      tube: axle.tube,
      beadHold: axle.beadHold,
      insert: axle.insert,
      casing: axle.casing ?? '',
      rimInner: length(axle.rimInnerMm),
      measuredWidth: length(axle.measuredWidthMm),
      treadWidth: length(axle.treadWidthMm),
      min: pressure(axle.minKpa),
      max: pressure(axle.maxKpa),
      lines: axle.lines.map((line) => ({ pressure: pressure(line.pressureKpa), load: mass(line.loadKg) })),
      rows: axle.rows.map((row) => ({
        pressure: pressure(row.pressureKpa),
        load: mass(row.loadKg),
        speed: String(row.speedKmh),
      })),
      rowsOf: axle.rowsOf,
    })),
  };
}

/** The load range that a marking carries itself, where it does. */
export function markedLoadRange(marking: string): LoadRange | undefined {
  const reading = readMarking(marking);
  return reading.ok ? reading.value.loadRange : undefined;
}

/** Which axle's fields tell the tire of another: the first, where all wear the same. A trailer wears its own. */
export function tireSource(values: RigFormValues, index: number): number {
  const axle = values.axles[index]!;
  const first = values.axles.findIndex(({ position }) => isTrailer(position) === isTrailer(axle.position));
  return values.sameTires ? first : index;
}

const isBlank = ({ text }: QuantityText): boolean => text.trim() === '';
/** Nothing typed is nothing; something typed that is no number is for the schema to refuse. */
const given = <Q extends Quantity>(quantity: Q, typed: QuantityText): number | null | undefined =>
  isBlank(typed) ? null : canonicalOf(quantity, typed);
const blankLine = ({ pressure, load }: LineValues): boolean => isBlank(pressure) && isBlank(load);
const filledLines = <Line extends LineValues>(lines: readonly Line[]): Line[] =>
  lines.filter((line) => !blankLine(line));

/** How far each of a person's gauges reads above the truth, kPa, by id. */
export type GaugeOffsets = ReadonlyMap<string, number>;

function axleCandidate(values: RigFormValues, index: number, gauges: GaugeOffsets) {
  const axle = values.axles[index]!;
  const tire = values.axles[tireSource(values, index)]!;
  const rawKpa = given('pressure', axle.present);
  return {
    position: axle.position,
    wheels: axle.wheels,
    driven: axle.driven,
    behindMm: canonicalOf('length', axle.behind),
    trackMm: axle.wheels === 1 ? null : given('length', axle.track),
    ratingKg: given('mass', axle.rating),
    tireMarking: tire.marking,
    loadRange: markedLoadRange(tire.marking) ?? tire.loadRange,
    tube: tire.tube,
    beadHold: tire.beadHold,
    insert: tire.insert,
    casing: tire.casing === '' ? null : tire.casing,
    rimInnerMm: given('length', tire.rimInner),
    measuredWidthMm: given('length', tire.measuredWidth),
    treadWidthMm: given('length', tire.treadWidth),
    minKpa: given('pressure', tire.min),
    maxKpa: given('pressure', tire.max),
    lines: filledLines(tire.lines).map(({ pressure, load }) => ({
      pressureKpa: canonicalOf('pressure', pressure),
      loadKg: canonicalOf('mass', load),
    })),
    rows: filledLines(tire.rows).map(({ pressure, load, speed }) => ({
      pressureKpa: canonicalOf('pressure', pressure),
      loadKg: canonicalOf('mass', load),
      speedKmh: parseNumber(speed),
    })),
    rowsOf: tire.rowsOf,
    roadKpa: given('pressure', axle.road),
    present:
      rawKpa === null ? null : { rawKpa, gaugeId: axle.gaugeId || null, offsetKpa: gauges.get(axle.gaugeId) ?? 0 },
  };
}

const FIELDS: Readonly<Record<string, keyof AxleValues>> = {
  tireMarking: 'marking',
  loadRange: 'marking',
  behindMm: 'behind',
  trackMm: 'track',
  ratingKg: 'rating',
  rimInnerMm: 'rimInner',
  measuredWidthMm: 'measuredWidth',
  treadWidthMm: 'treadWidth',
  minKpa: 'min',
  maxKpa: 'max',
  roadKpa: 'road',
  present: 'present',
};
const TIRE_FIELDS = new Set<string>(Object.keys(EMPTY_TIRE));
const POINT_FIELDS: Readonly<Record<string, string>> = { pressureKpa: 'pressure', loadKg: 'load', speedKmh: 'speed' };

/** The form's field that a refused field of the contract was typed into. */
export function formField(path: string, values: RigFormValues): string {
  const [, list, index, field, point, part] = path.split('/');
  if (list === 'hitchMm') return 'hitch';
  if (list === 'topSpeedKmh') return 'topSpeed';
  if (list !== 'axles' || index === undefined || field === undefined) return 'name';
  const axle = Number(index);
  const isPoint = field === 'lines' || field === 'rows';
  const own = isPoint ? field : (FIELDS[field] ?? 'marking');
  const home = TIRE_FIELDS.has(own) ? tireSource(values, axle) : axle;
  return isPoint && part !== undefined
    ? `axles.${home}.${field}.${point}.${POINT_FIELDS[part] ?? 'pressure'}`
    : `axles.${home}.${own}`;
}

export type RigFormResult =
  | { readonly ok: true; readonly rig: Rig }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/** What the form says, checked by the contract's own schema: a rig, or a sentence for each field. */
export function toRig(values: RigFormValues, rest: RigRest, gauges: GaugeOffsets, units: Units): RigFormResult {
  // Whoever drops a row that was typed half must hear of it in its own place: blank ones are dropped, others kept.
  const checked = rigSchema.safeParse({
    ...rest,
    revision: values.revision,
    name: values.name,
    hitchMm: given('length', values.hitch),
    topSpeedKmh: values.topSpeed.trim() === '' ? null : parseNumber(values.topSpeed),
    axles: values.axles.map((_, index) => axleCandidate(values, index, gauges)),
  });
  if (checked.success) return { ok: true, rig: checked.data };
  return { ok: false, problems: problemsByField(fieldProblems(checked.error), values, units) };
}

/** Sentences by form field; the first for each field stands. */
export function problemsByField(
  problems: readonly FieldProblem[],
  values: RigFormValues,
  units: Units,
): Readonly<Record<string, string>> {
  const byField: Record<string, string> = {};
  for (const problem of problems) byField[formField(problem.path, values)] ??= fieldText(problem, units);
  return byField;
}
