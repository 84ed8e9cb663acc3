import { fieldProblems, gauge as gaugeSchema, type GaugeBody } from '@dunlinmoss/contract';

import type { Units } from '../../data/preferences';
import { canonicalOf, EMPTY_QUANTITY, quantityText, type QuantityText } from '../../pieces/quantityText';
import { parseNumber } from '../../words/format';
import { fieldText } from '../../words/problems';

export interface ComparisonValues {
  readonly gauge: QuantityText;
  readonly trusted: QuantityText;
}

export interface GaugeFormValues {
  readonly revision: number;
  readonly name: string;
  readonly from: QuantityText;
  readonly fullScale: QuantityText;
  /** Percent of full scale; empty where nothing says. */
  readonly grade: string;
  readonly comparisons: ComparisonValues[];
}

export const EMPTY_COMPARISON: ComparisonValues = { gauge: EMPTY_QUANTITY, trusted: EMPTY_QUANTITY };

export const emptyGauge = (units: Units): GaugeFormValues => ({
  revision: 0,
  name: '',
  from: quantityText('pressure', units.pressure, 0),
  fullScale: EMPTY_QUANTITY,
  grade: '',
  comparisons: [],
});

export const gaugeValues = (row: GaugeBody, units: Units): GaugeFormValues => {
  const typed = (kpa: number): QuantityText => quantityText('pressure', units.pressure, kpa);
  return {
    revision: row.revision,
    name: row.name,
    from: typed(row.fromKpa),
    fullScale: typed(row.fullScaleKpa),
    grade: row.gradePercent === null ? '' : String(row.gradePercent),
    comparisons: row.comparisons.map(({ gaugeKpa, trustedKpa }) => ({
      gauge: typed(gaugeKpa),
      trusted: typed(trustedKpa),
    })),
  };
};

const isBlank = ({ gauge, trusted }: ComparisonValues): boolean =>
  gauge.text.trim() === '' && trusted.text.trim() === '';

/** The comparisons that can be used already, while others are still being typed. */
export const typedComparisons = (values: GaugeFormValues) =>
  values.comparisons.flatMap(({ gauge, trusted }) => {
    const [gaugeKpa, trustedKpa] = [canonicalOf('pressure', gauge), canonicalOf('pressure', trusted)];
    return gaugeKpa === undefined || trustedKpa === undefined ? [] : [{ gaugeKpa, trustedKpa }];
  });

export type GaugeFormResult =
  | { readonly ok: true; readonly gauge: GaugeBody }
  | { readonly ok: false; readonly problems: Readonly<Record<string, string>> };

const FIELDS: Readonly<Record<string, string>> = {
  fromKpa: 'from',
  fullScaleKpa: 'fullScale',
  gradePercent: 'grade',
  gaugeKpa: 'gauge',
  trustedKpa: 'trusted',
};

/** What the form says, checked by the contract's own schema. Comparisons that are blank are left out. */
export function toGauge(values: GaugeFormValues, id: string, units: Units): GaugeFormResult {
  const kept = values.comparisons.map((each, index) => ({ each, index })).filter(({ each }) => !isBlank(each));
  const checked = gaugeSchema.safeParse({
    id,
    revision: values.revision,
    name: values.name,
    fromKpa: canonicalOf('pressure', values.from),
    fullScaleKpa: canonicalOf('pressure', values.fullScale),
    gradePercent: values.grade.trim() === '' ? null : parseNumber(values.grade),
    comparisons: kept.map(({ each }) => ({
      gaugeKpa: canonicalOf('pressure', each.gauge),
      trustedKpa: canonicalOf('pressure', each.trusted),
    })),
  });
  if (checked.success) return { ok: true, gauge: checked.data };
  const problems: Record<string, string> = {};
  for (const problem of fieldProblems(checked.error)) {
    const [, list, index, field] = problem.path.split('/');
    const name =
      list === 'comparisons' && index !== undefined
        ? `comparisons.${kept[Number(index)]!.index}.${FIELDS[field ?? ''] ?? 'gauge'}`
        : (FIELDS[list ?? ''] ?? 'name');
    problems[name] ??= fieldText(problem, units);
  }
  return { ok: false, problems };
}
