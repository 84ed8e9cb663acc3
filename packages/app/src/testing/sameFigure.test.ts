import type { OutingRow, RigRow, Sheet } from '@dunlinmoss/contract';
import { contextsOf, FAMILY_CODES, familyOf, groundsFor, planGround, STUCK, whatIf } from '@dunlinmoss/core';
import { axleOnGauge, planInput, shownPlan } from '@dunlinmoss/domain';
import { SAMPLE_RIGS } from '@dunlinmoss/domain/testing';
import { renderHook } from '@testing-library/react';

import { firstRows } from '../screens/rigs/quickRig';
import { useNext } from '../screens/today/useNext';
import { FIRST_UNITS, unitsFor } from '../settings/preferences';
import { toldRow } from './toldRigs';
import { pressureNumber } from '../words/format';
import { groundName } from '../words/grounds';
import { pressureCard } from '../words/pressureCard';
import { sheetText } from '../words/sheet';
import { wallTable } from '../words/wallSheet';

jest.mock('../data/tests', () => ({ useTestsOf: () => [] }));
jest.mock('../hooks/useProof', () => ({ useProof: () => (_rig: unknown, _tests: unknown, asked: unknown) => asked }));
jest.mock('../hooks/useRouter', () => ({ useRouter: () => ({ navigate: () => undefined }) }));

const NOW = '2026-11-28T08:00:00.000Z';
const RIGS: readonly (readonly [string, RigRow])[] = [
  ...FAMILY_CODES.map((code) => [`${code}, not weighed`, toldRow(code)] as const),
  ...Object.entries(SAMPLE_RIGS).map(([kind, rig]) => [`${kind}, weighed`, rig] as const),
];

/** What Today says next of a machine that sets out for a ground. */
function nextOf(rig: RigRow, groundCode: OutingRow['groundCode']) {
  const outing = { groundCode, loadCaseId: rig.loadCaseId, modifiers: [], speedKmh: null, pressures: [], stuckRung: 0 };
  const entry = {
    rig,
    outing: outing as never,
    airing: undefined,
    wheels: [],
    step: 'setPressures',
    lastBy: undefined,
  };
  return renderHook(() => useNext(entry as never)).result.current;
}

/** The rows of a sheet's first table. */
const tableOf = ({ parts: [first] }: Sheet): readonly (readonly string[])[] =>
  first && 'rows' in first ? first.rows : [];

describe.each(RIGS)('%s', (_, rig) => {
  const units = unitsFor(FIRST_UNITS, rig.family);
  const grounds = groundsFor(familyOf(rig.family)).filter((ground) => ground !== STUCK);
  const asked = (ground: (typeof grounds)[number]) => ({ ground, modifiers: [], speedKmh: null });
  /** What Ground shows for it. */
  const shown = grounds.map((ground) => {
    const input = planInput(rig, [], asked(ground));
    const plan = input.ok ? planGround(input.value) : input;
    return plan.ok ? plan.value.axles.map((axle) => axleOnGauge(axle, units).startKpa) : null;
  });
  const numbers = (kpa: readonly number[]): string[] => kpa.map((each) => pressureNumber(each, units));

  it('has a number on the ground that it opens with, and one figure for it on Ground, card, wall and short form', () => {
    expect(shown.every((each) => each !== null)).toBe(true);
    const card = pressureCard(rig, [], rig.loadCaseId, FIRST_UNITS, NOW);
    const wall = wallTable({
      rigs: [rig],
      testsOf: () => [],
      kind: familyOf(rig.family).kind,
      grounds,
      allLoads: false,
      order: 'name',
      units: FIRST_UNITS,
      proofOf: (_rig, question) => question,
    });
    const short = firstRows(rig, units);
    for (const [index, ground] of grounds.entries()) {
      const wanted = numbers(shown[index]!);
      const onCard = tableOf(card).find(([name]) => name === groundName(ground))!;
      expect([ground, ...onCard.slice(1, 1 + wanted.length).map((cell) => cell.split(' ')[0])]).toEqual([
        ground,
        ...wanted,
      ]);
      const onWall = wall.rows[0]!.cells[wall.grounds.indexOf(ground)];
      if (wall.grounds.includes(ground)) expect(onWall?.split(',')[0]).toBe(wanted.join(' / '));
      const inForm = short.find((row) => row.ground === ground);
      expect(inForm && numbers(inForm.axles.map(({ pressureKpa }) => pressureKpa))).toEqual(wanted);
    }
  });

  it('has the same figure on Today, and at What if with all that stands beside it', () => {
    for (const ground of grounds) {
      const input = planInput(rig, [], asked(ground));
      const plan = input.ok ? planGround(input.value) : input;
      if (!input.ok || !plan.ok) throw new Error(ground);
      const { axles } = shownPlan(input.value, plan.value, units);
      expect([ground, ...nextOf(rig, ground).numbers.map(({ pressureKpa }) => pressureKpa)]).toEqual([
        ground,
        ...shown[grounds.indexOf(ground)]!,
      ]);
      const contexts = contextsOf(input.value);
      for (const [index, axle] of axles.entries()) {
        const marks = axleOnGauge(axle, units);
        const tried = whatIf(contexts[index]!, axle, marks.startKpa);
        const { pressureKpa, patch, clearanceLostMm, loadLeftKg } = tried;
        expect([ground, pressureKpa, patch, clearanceLostMm, loadLeftKg]).toEqual([
          ground,
          marks.startKpa,
          axle.atStart,
          axle.clearanceLostMm,
          axle.carriesKg === null ? null : axle.carriesKg - axle.wheelLoadKg,
        ]);
      }
    }
  });

  it('says on the card whether it was weighed', () => {
    const isWeighed = rig.loadCases.length > 0;
    expect(sheetText(pressureCard(rig, [], rig.loadCaseId, FIRST_UNITS, NOW)).includes('not weighed')).toBe(!isWeighed);
  });
});
