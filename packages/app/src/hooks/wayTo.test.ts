import { FINDING_CODES, type Finding, type MissingInput, type PlanProblem } from '@dunlinmoss/core';
import type { NoPlan } from '@dunlinmoss/domain';
import { fullRig } from '@dunlinmoss/domain/testing';

import { valueAt } from '../forms/rowForm';
import { wayToFinding, wayToMissing, wayToQuestion } from './wayTo';

const rig = fullRig();
const position = rig.axles[1]!.position;

/** Where a way ends: the screen, and the field it names. */
const end = (href: ReturnType<typeof wayToMissing>) => {
  if (href === null || typeof href === 'string') return { pathname: href, at: undefined };
  const { pathname, params } = href as { pathname: string; params: Record<string, string> };
  return { pathname, at: params.at, loadCase: params.case };
};

describe('wayToMissing', () => {
  const needs = (of: MissingInput): PlanProblem => ({ code: 'noSchoolAnswers', needs: [of] });
  it.each<[string, NoPlan | PlanProblem, string | null | undefined]>([
    ['a road pressure', { code: 'roadMissing', position }, '/axles/1/roadKpa'],
    [
      'a placard above the sidewall',
      { code: 'placardAboveSidewall', position, placardKpa: 9, maxKpa: 8 },
      '/axles/1/maxKpa',
    ],
    ['a tire that is too slow', { code: 'tooFast', position, speedKmh: 9, topKmh: 8 }, '/axles/1/tireMarking'],
    ['the road pressure of a school', needs('roadPressure'), '/axles/0/roadKpa'],
    ['the range of a sidewall', needs('sidewallRange'), '/axles/0/minKpa'],
    ['rows of a data sheet', needs('pressureBesideLoad'), '/axles/0/rows'],
  ])('leads to %s', (_, problem, at) => {
    const way = end(wayToMissing(rig, problem));
    expect(way).toEqual({ pathname: '/rigs/[id]/edit', at, loadCase: undefined });
    expect(valueAt(rig, at!)).toBeDefined();
  });

  it.each<[string, NoPlan | PlanProblem]>([
    ['can’t be worked out', { code: 'loads', problem: { code: 'wholeMissing' } }],
    ['lacks a rider', { code: 'loads', problem: { code: 'riderMissing' } }],
    ['is too much for any pressure', { code: 'liesFlat', position, wheelLoadKg: 9, pressureKpa: 1 }],
    ['lacks the rider of a school', needs('riderWeight')],
  ])('leads to the load where it %s', (_, problem) => {
    expect(end(wayToMissing(rig, problem))).toEqual({
      pathname: '/rigs/[id]/load/[case]',
      at: undefined,
      loadCase: rig.loadCaseId,
    });
    expect(end(wayToMissing({ ...rig, loadCaseId: null }, problem)).loadCase).toBe('new');
  });

  it('leads nowhere from a ground that is not for such a rig', () => {
    expect(wayToMissing(rig, { code: 'otherGround' })).toBeNull();
  });
});

describe('wayToFinding', () => {
  const of = (code: Finding['code'], more: object = {}): Finding =>
    ({ code, position, at: 'road', radial: 'front', bias: position, front: 'front', rear: position, ...more }) as never;

  it('leads somewhere from every finding, to a field that a rig has', () => {
    for (const code of FINDING_CODES) {
      const { pathname, at } = end(wayToFinding(rig, of(code)));
      expect(pathname).toMatch(/^\/rigs/);
      if (at !== undefined) expect(valueAt(rig, at)).toBeDefined();
    }
  });

  it.each([
    ['what is in it now', of('pressureOutsideSidewall', { at: 'present' }), '/axles/1/present/rawKpa'],
    ['its road pressure', of('overAtPressure', { neededKpa: 200 }), '/axles/1/roadKpa'],
    ['the load, where no pressure would do', of('overAtPressure', { neededKpa: null }), undefined],
  ])('leads to %s', (_, finding, at) => expect(end(wayToFinding(rig, finding)).at).toBe(at));
});

describe('wayToQuestion', () => {
  const question = (path: string) => ({ path, kind: 'tireUse', use: 'farm', expected: [] }) as never;

  it('leads to the field, or to the load case that it is in', () => {
    expect(end(wayToQuestion(rig, question('/axles/1/trackMm'))).at).toBe('/axles/1/trackMm');
    expect(end(wayToQuestion(rig, question('/loadCases/0/weighed/1/loadKg'))).loadCase).toBe(rig.loadCases[0]!.id);
  });
});
