import type { RigQuestion, RigRow } from '@dunlinmoss/contract';
import {
  familyOf,
  type AxlePosition,
  type CeilingCode,
  type Finding,
  type MissingInput,
  type PlanProblem,
} from '@dunlinmoss/core';
import type { NoPlan } from '@dunlinmoss/domain';
import type { Href } from 'expo-router';

type OfRig = Pick<RigRow, 'id' | 'family' | 'axles' | 'loadCases' | 'loadCaseId'>;

/** A field of an axle, by the axle's position. */
const toAxle = ({ id, axles }: OfRig, position: AxlePosition, field: string): Href => ({
  pathname: '/rigs/[id]/edit',
  params: { id, at: `/axles/${axles.findIndex((axle) => axle.position === position)}/${field}` },
});
const toLoad = ({ id, loadCaseId }: OfRig): Href => ({
  pathname: '/rigs/[id]/load/[case]',
  params: { id, case: loadCaseId ?? 'new' },
});

/** Where the field is that a plan of a rig waits for. */
export function wayToMissing(rig: OfRig, reason: NoPlan | PlanProblem): Href | null {
  const { axles } = rig;
  switch (reason.code) {
    case 'loads':
    case 'doubtfulLoad':
    case 'noPressureCarries':
    case 'noPressureSuffices':
    case 'liesFlat':
      return toLoad(rig);
    case 'doubtfulRoad':
    case 'roadMissing':
      return toAxle(rig, reason.position, 'roadKpa');
    case 'placardAboveSidewall':
      return toAxle(rig, reason.position, 'maxKpa');
    case 'floorAboveCeiling':
      return toAxle(rig, reason.position, CEILING_FIELD[reason.ceiling] ?? 'maxKpa');
    case 'tooFast':
      return toAxle(rig, reason.position, 'tireMarking');
    case 'noSchoolAnswers': {
      const [needs] = reason.needs;
      const field = needs && FIELD_OF[needs];
      return field ? toAxle(rig, axles[0]!.position, field) : toLoad(rig);
    }
    case 'otherGround':
      return null;
  }
}

/** The field that a ceiling stands on, where that is not the sidewall's maximum. */
const CEILING_FIELD: Partial<Record<CeilingCode, string>> = {
  placard: 'roadKpa',
  rimUnknown: 'hookless',
  hooklessRim: 'hookless',
  lastOfCurve: 'rows',
};

/** The field that a school goes without; none for what belongs to a load. */
const FIELD_OF: Record<MissingInput, string | null> = {
  roadPressure: 'roadKpa',
  sidewallRange: 'minKpa',
  sidewallMaximum: 'maxKpa',
  riderWeight: null,
  narrowerTire: 'tireMarking',
  whatTheTireCarries: 'tireMarking',
  pressureBesideLoad: 'rows',
  lessLoad: null,
};

/** Where a finding is put right: what was typed wrong, or else what has to change on the rig. */
export function wayToFinding(rig: OfRig, finding: Finding): Href {
  switch (finding.code) {
    case 'overTire':
    case 'overAxleRating':
    case 'uneven':
    case 'partsDontSum':
      return toLoad(rig);
    case 'overAtPressure':
      return finding.neededKpa === null ? toLoad(rig) : toAxle(rig, finding.position, PRESSURE_FIELD[finding.at]);
    case 'belowFirstRow':
      return toAxle(rig, finding.position, PRESSURE_FIELD[finding.at]);
    case 'tooFast':
      // Where nobody is asked how fast the rig goes, the tire is what can be wrong.
      return familyOf(rig.family).asks.includes('topSpeed')
        ? { pathname: '/rigs/[id]/edit', params: { id: rig.id, at: '/topSpeedKmh' } }
        : toAxle(rig, finding.position, 'tireMarking');
    case 'mixedConstruction':
      return toAxle(rig, finding.bias, 'tireMarking');
    case 'drivenDiameters':
      return toAxle(rig, finding.rear, 'tireMarking');
    case 'rimWidth':
      return toAxle(rig, finding.position, 'rimInnerMm');
    case 'pressureOutsideSidewall':
      return toAxle(rig, finding.position, PRESSURE_FIELD[finding.at]);
    case 'noGaugeReads':
      return '/rigs/tools';
  }
}

const PRESSURE_FIELD = { road: 'roadKpa', present: 'present/rawKpa' } as const;

/** Where a value that hardly can be was typed. */
export function wayToQuestion(rig: OfRig, { path }: RigQuestion): Href {
  const [, list, index] = path.split('/');
  const loadCase = list === 'loadCases' ? rig.loadCases[Number(index)] : undefined;
  return loadCase
    ? { pathname: '/rigs/[id]/load/[case]', params: { id: rig.id, case: loadCase.id } }
    : { pathname: '/rigs/[id]/edit', params: { id: rig.id, at: path } };
}
