import {
  capacity,
  factorAt,
  fullPressureKpa,
  sheetPressuresKpa,
  type CarryingConditions,
  type LoadCurve,
  type LoadLine,
} from '../capacity/loadCurve';
import { dualFactor } from '../capacity/duals';
import type { AxleContext } from '../axle/axleContext';
import type { ValueName, WorkingStep } from '../working/working';
import { exact, type Source } from '../sources/source';

type Conditions = Omit<CarryingConditions, 'pressureKpa'>;

/** How the least pressure for a load was found on a tire's load curve, to be done again with pencil and paper. */
export function curveSteps(
  { axle, wheelLoadKg }: AxleContext,
  conditions: Conditions,
  resultKpa: number,
  name: ValueName,
): WorkingStep[] {
  const curve = axle.curve!;
  return curve.from === 'rows'
    ? rowSteps(curve, wheelLoadKg, conditions, resultKpa, name)
    : lineSteps(curve, wheelLoadKg, conditions, resultKpa, name);
}

function lineSteps(
  curve: Exclude<LoadCurve, { from: 'rows' }>,
  wheelLoadKg: number,
  conditions: Conditions,
  resultKpa: number,
  name: ValueName,
): WorkingStep[] {
  const bySpeed = factorAt(curve, conditions)!;
  const pairs = conditions.dual && curve.from !== 'road' ? dualFactor(curve.tire) : { factor: 1, source: exact };
  const ratedLoadKg = wheelLoadKg / (bySpeed.factor * pairs.factor);
  const points: readonly LoadLine[] = curve.points;
  const above = points.findIndex(({ loadKg }) => loadKg >= ratedLoadKg);
  const [from, to] = above <= 0 ? [points[0]!, undefined] : [points[above - 1]!, points[above]!];
  const exponent = to
    ? Math.log(to.loadKg / from.loadKg) / Math.log(to.pressureKpa / from.pressureKpa)
    : curve.exponent;
  return [
    {
      code: 'ratedLoad',
      inputs: {
        wheelLoadKg,
        speedFactor: bySpeed.factor,
        pairFactor: pairs.factor,
        ...(conditions.speedKmh !== null && { speedKmh: conditions.speedKmh }),
      },
      result: { name: 'ratedLoadKg', value: ratedLoadKg },
      source: bySpeed.factor === 1 && conditions.dual ? pairs.source : bySpeed.source,
    },
    {
      code: 'pressureOnCurve',
      inputs: {
        ratedLoadKg,
        markedLoadKg: from.loadKg,
        markedKpa: from.pressureKpa,
        ...(to && { firmerLoadKg: to.loadKg, firmerKpa: to.pressureKpa }),
        exponent,
      },
      result: { name, value: resultKpa },
      source: to ? exact : curve.exponentSource,
    },
  ];
}

function rowSteps(
  curve: Extract<LoadCurve, { from: 'rows' }>,
  wheelLoadKg: number,
  conditions: Conditions,
  resultKpa: number,
  name: ValueName,
): WorkingStep[] {
  const carries = (pressureKpa: number): number | null => {
    const carried = capacity(curve, { ...conditions, pressureKpa });
    return carried.ok ? carried.loadKg : null;
  };
  const pressures = sheetPressuresKpa(curve).filter((kpa) => carries(kpa) !== null);
  const upper = pressures.findIndex((kpa) => carries(kpa)! >= wheelLoadKg);
  const firmerKpa = pressures[upper] ?? fullPressureKpa(curve);
  const softerKpa = pressures[upper - 1];
  const source: Source = curve.source;
  return [
    {
      code: 'pressureOnRows',
      inputs: {
        wheelLoadKg,
        ...(conditions.speedKmh !== null && { speedKmh: conditions.speedKmh }),
        ...(softerKpa !== undefined && { softerKpa, softerLoadKg: carries(softerKpa)! }),
        firmerKpa,
        firmerLoadKg: carries(firmerKpa)!,
      },
      result: { name, value: resultKpa },
      source,
    },
  ];
}
