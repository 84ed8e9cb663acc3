import {
  correctedKpa,
  familyOf,
  loadCurve,
  loadsOf,
  usualRigOf,
  type AxleFacts,
  type CurveProblem,
  type LoadCase,
  type LoadCurve,
  type LoadProblem,
  type Result,
  type RigFacts,
  type RigGeometry,
  type RigLoads,
} from '@dunlinmoss/core';

import { tireOf } from './build';
import type { GaugeRow } from '../resources/gauge';
import type { LoadCaseBody } from '../resources/loadCase';
import type { Reading, Rig, RigAxle } from '../resources/rig';

/** What a reading found, corrected for its gauge, kPa. */
export const readKpa = ({ rawKpa, offsetKpa }: Reading): number => correctedKpa(rawKpa, offsetKpa);

/** A rig seen from above. */
export const geometryOf = ({ axles, hitchMm }: Pick<Rig, 'axles' | 'hitchMm'>): RigGeometry => ({
  axles: axles.map(({ position, wheels, behindMm, trackMm }) => ({ position, wheels, behindMm, trackMm })),
  hitchMm,
});

/** What an axle's tire carries over pressure, from the best evidence that was given. */
export function curveOf(
  axle: Pick<RigAxle, 'tireMarking' | 'loadRange' | 'maxKpa' | 'lines' | 'rows' | 'rowsOf'>,
): Result<LoadCurve, CurveProblem> {
  const tire = tireOf(axle.tireMarking);
  const letter = tire.loadRange ?? (axle.loadRange === 'standard' ? undefined : axle.loadRange);
  return loadCurve({
    tire: { ...tire, ...(letter && { loadRange: letter }) },
    maxKpa: axle.maxKpa,
    lines: axle.lines,
    rows: axle.rows,
    rowsOf: axle.rowsOf,
  });
}

/** The load case of an id, else the one that stands today; undefined where the rig has none. */
export const loadCaseOf = (rig: Pick<Rig, 'loadCases' | 'loadCaseId'>, id?: string | null): LoadCaseBody | undefined =>
  rig.loadCases.find((each) => each.id === id) ?? rig.loadCases.find((each) => each.id === rig.loadCaseId);

/** A load case as the core reckons with it: a split by what its kind of rig usually has on the front. */
function coreCase(
  { family }: Pick<Rig, 'family'>,
  { split, ...loadCase }: Omit<LoadCaseBody, 'id' | 'name'>,
): LoadCase {
  const usual = split && usualRigOf(family, split.like);
  return { ...loadCase, split: usual ? { frontShare: usual.frontShare[split.laden] } : null };
}

/** The load on every wheel of a rig in one of its cases. */
export const rigLoads = (
  rig: Pick<Rig, 'axles' | 'hitchMm' | 'family'>,
  loadCase: Omit<LoadCaseBody, 'id' | 'name'>,
): Result<RigLoads, LoadProblem> => loadsOf(geometryOf(rig), coreCase(rig, loadCase));

/** What the checks of a rig look at, in one load case. */
export function factsOf(
  rig: Rig,
  loadCase: LoadCaseBody | undefined,
  gauges: readonly GaugeRow[],
  gaugeStepKpa: number,
): RigFacts {
  const family = familyOf(rig.family);
  const loads = loadCase && rigLoads(rig, loadCase);
  return {
    family,
    roadSpeedKmh: rig.topSpeedKmh ?? family.roadSpeedKmh,
    wholeKg: loadCase?.method === 'scales' ? loadCase.wholeKg : null,
    gauges,
    gaugeStepKpa,
    axles: rig.axles.map((axle): AxleFacts => {
      const curve = curveOf(axle);
      return {
        position: axle.position,
        wheels: axle.wheels,
        driven: axle.driven,
        tire: tireOf(axle.tireMarking),
        curve: curve.ok ? curve.value : undefined,
        load: loads?.ok ? loads.value.axles.find(({ position }) => position === axle.position) : undefined,
        ratingKg: axle.ratingKg,
        roadKpa: axle.roadKpa,
        presentKpa: axle.present && readKpa(axle.present),
        minKpa: axle.minKpa,
        maxKpa: axle.maxKpa,
        rimInnerMm: axle.rimInnerMm,
      };
    }),
  };
}
