import {
  buildOf,
  fieldProblems,
  loadCaseOf,
  proofTest,
  rigLoads,
  type FieldProblem,
  type ProofTest,
  type RigRow,
  type TapeDetails,
  type TapeTestRow,
  type Wheel,
} from '@dunlinmoss/contract';
import { correctedKpa, judgeTape, sideOf, type TapeMethod, type TapeResult, type TapeSurface } from '@dunlinmoss/core';

import type { Units } from '../../settings/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../components/quantityText';
import { fieldText } from '../../words/problems';

export interface ReadingValues {
  readonly pressure: QuantityText;
  readonly length: QuantityText;
}

export interface TapeFormValues {
  /** The revision that these values began from: a draft may be older than the row. */
  readonly revision: number;
  readonly wheel: Wheel;
  readonly surface: TapeSurface;
  readonly method: TapeMethod;
  /** The gauge of the readings; empty for one that is taken as true. */
  readonly gaugeId: string;
  readings: ReadingValues[];
}

export const EMPTY_READING: ReadingValues = { pressure: EMPTY_QUANTITY, length: EMPTY_QUANTITY };

/** What a test writes down of the wheel it was made on. */
export type TestedWheel = Pick<TapeDetails, 'tireMarking' | 'loadRange' | 'wheelLoadKg'>;

/** The tire and load a wheel has on a rig in one of its load cases; undefined where its load is not known. */
export function wheelOf(rig: RigRow, wheel: Wheel, loadCaseId?: string | null): TestedWheel | undefined {
  const index = wheel.startsWith('front') ? 0 : 1;
  const loadCase = loadCaseOf(rig, loadCaseId);
  const loads = loadCase && rigLoads(rig, loadCase);
  if (!loads?.ok) return undefined;
  const side = wheel.endsWith('Left') ? 'left' : 'right';
  const onSide = loads.value.axles[index]!.wheels.filter((each) => sideOf(each.wheel) === side);
  const { tireMarking, loadRange } = rig.axles[index]!;
  return { tireMarking, loadRange, wheelLoadKg: Math.max(...onSide.map(({ loadKg }) => loadKg)) };
}

/** A new test: two readings to fill in, at road pressure and at the pressure driven. */
export function newTape(rig: RigRow, setKpa: number | undefined, units: Units): TapeFormValues {
  const at = (kpa: number | undefined): ReadingValues => ({
    pressure: kpa === undefined ? EMPTY_QUANTITY : quantityText('pressure', units.pressure, kpa),
    length: EMPTY_QUANTITY,
  });
  return {
    revision: 0,
    wheel: 'frontLeft',
    surface: 'firm',
    method: 'poles',
    gaugeId: '',
    readings: [at(rig.axles[0]!.roadKpa ?? undefined), at(setKpa)],
  };
}

export const tapeValues = ({ details, revision }: TapeTestRow, units: Units): TapeFormValues => ({
  revision,
  wheel: details.wheel,
  surface: details.surface,
  method: details.method,
  gaugeId: details.gauge?.gaugeId ?? '',
  readings: details.readings.map(({ pressureKpa, lengthMm }) => ({
    pressure: quantityText('pressure', units.pressure, pressureKpa),
    length: quantityText('length', units.length, lengthMm),
  })),
});

/** A pressure that was filled in for the person, with no length measured yet, is no reading. */
export const isPending = ({ length }: ReadingValues): boolean => length.text.trim() === '';

/** The readings that can be judged already, while others are still being typed. */
export function judgeTyped(values: TapeFormValues, wheel: TestedWheel, offsetKpa: number): TapeResult {
  const readings = values.readings.flatMap((reading) => {
    const pressureKpa = canonicalOf('pressure', reading.pressure);
    const lengthMm = canonicalOf('length', reading.length);
    return pressureKpa === undefined || lengthMm === undefined || pressureKpa < 0 || lengthMm <= 0
      ? []
      : [{ pressureKpa: correctedKpa(pressureKpa, offsetKpa), lengthMm }];
  });
  return judgeTape({
    build: buildOf(wheel),
    wheelLoadKg: wheel.wheelLoadKg,
    method: values.method,
    surface: values.surface,
    readings,
  });
}

export type TapeFormResult =
  | { readonly ok: true; readonly test: ProofTest }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

/** What the form says, checked by the contract's own schema. Rows without a length are left out. */
export function toTest(
  values: TapeFormValues,
  identity: Omit<ProofTest, 'revision' | 'kind' | 'details'>,
  wheel: TestedWheel,
  offsetKpa: number,
  units: Units,
): TapeFormResult {
  const kept = values.readings
    .map((reading, index) => ({ reading, index }))
    .filter(({ reading }) => !isPending(reading));
  const checked = proofTest.safeParse({
    ...identity,
    revision: values.revision,
    kind: 'tape',
    details: {
      ...wheel,
      wheel: values.wheel,
      surface: values.surface,
      method: values.method,
      gauge: values.gaugeId === '' ? null : { gaugeId: values.gaugeId, offsetKpa },
      readings: kept.map(({ reading }) => ({
        pressureKpa: canonicalOf('pressure', reading.pressure),
        lengthMm: canonicalOf('length', reading.length),
      })),
    },
  });
  if (checked.success) return { ok: true, test: checked.data };
  return {
    ok: false,
    problems: tapeProblems(
      fieldProblems(checked.error),
      kept.map(({ index }) => index),
      units,
    ),
  };
}

/** Sentences by form field: `readings.2.length`. `rows` says which row of the form each sent reading came from. */
export function tapeProblems(
  problems: readonly FieldProblem[],
  rows: readonly number[],
  units: Units,
): Readonly<Record<string, string>> {
  const byField: Record<string, string> = {};
  for (const problem of problems) {
    const [, , list, index, field] = problem.path.split('/');
    const isReading = list === 'readings' && index !== undefined;
    const name = isReading
      ? `readings.${rows[Number(index)]}.${field === 'lengthMm' ? 'length' : 'pressure'}`
      : `readings.0.length`;
    byField[name] ??= fieldText(problem, units);
  }
  return byField;
}
