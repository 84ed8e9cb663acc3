import type { RigRow, Setup } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import { plainSetup, setupOutcome, type SetupOutcome } from '@dunlinmoss/domain';
import { sampleBicycle, sampleRig } from '@dunlinmoss/domain/testing';

import { FIRST_UNITS, withUnit } from '../settings/preferences';
import {
  comparedLines,
  comparedText,
  comparisonSheet,
  otherKindText,
  pastText,
  provedBesideRule,
  setupText,
} from './compare';
import { sheetText } from './sheet';

const rig = sampleRig();
const of = (change: Partial<Setup> = {}, row: RigRow = rig): SetupOutcome => {
  const outcome = setupOutcome(
    row,
    [],
    { ...plainSetup(row, 'rear'), ...change },
    { groundCode: 'softSand', soil: 'drySand', depthMm: null },
  );
  if (!outcome.ok) throw new Error(outcome.problem.code);
  return outcome.value;
};
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');
const at = (pressurePsi: number) => of({ pressureKpa: psi(pressurePsi) });

describe('comparedLines', () => {
  const lines = (first: SetupOutcome, second: SetupOutcome, units = FIRST_UNITS) =>
    new Map(comparedLines(first, second, units).map((line) => [line.name, line]));

  it('says each in the person’s units, and how the second differs', () => {
    const metric = lines(at(36), at(16));
    expect(plain(metric.get('Pressure, cold')!.change)).toBe('−20 psi');
    expect(metric.get('Footprint area')!.change).toMatch(/^\+\d+\u00a0%$/);
    expect(metric.get('On the ground')!.change).toMatch(/^−\d+\u00a0%$/);
    expect(metric.get('On the wheel')!.change).toBe('same');
    expect(lines(at(36), at(16), withUnit(FIRST_UNITS, 'mass', 'lb')).get('Footprint area')!.first).toMatch(/in²$/);
  });

  it('tells no difference from what is no number', () => {
    const climbs = lines(at(36), at(16)).get('Climbs there')!;
    expect(climbs).toMatchObject({ first: 'can’t move', change: '' });
    expect(climbs.second).toMatch(/°$/);
  });

  it('leaves out what neither has', () => {
    const bicycle = sampleBicycle();
    const outcome = setupOutcome(bicycle, [], plainSetup(bicycle, 'rear'), {
      groundCode: 'rock',
      soil: null,
      depthMm: null,
    });
    if (!outcome.ok) throw new Error(outcome.problem.code);
    expect([...lines(outcome.value, outcome.value).keys()]).not.toContain('Sinks in the soil');
  });
});

describe('comparedText', () => {
  it('is one sentence of what one decides by, and says so where nothing differs', () => {
    expect(plain(comparedText(at(36), at(16), FIRST_UNITS))).toMatch(
      /^The second against the first: footprint \+\d+ %, pressure on the ground −\d+ %\.$/,
    );
    expect(comparedText(at(16), at(16), FIRST_UNITS)).toContain('change something');
  });
});

describe('pastText', () => {
  it('names the limit that a pressure goes furthest past, and is silent inside all', () => {
    expect(plain(pastText(at(6), FIRST_UNITS)!)).toMatch(/^Past \d+ psi: below it/);
    expect(pastText(of(), FIRST_UNITS)).toBeUndefined();
  });
});

describe('setupText and comparisonSheet', () => {
  it('say whose wheel it is and what is changed on it', () => {
    const setup = { ...plainSetup(rig, 'rear'), tireMarking: '35x12.50R17LT', pressureKpa: psi(14) } as const;
    expect(plain(setupText(rig, setup, FIRST_UNITS))).toBe('Knot, rear axle: 35x12.50R17LT, at 14 psi');
    expect(setupText(undefined, setup, FIRST_UNITS)).toContain('not here');
    const sheet = comparisonSheet(
      { name: '', groundCode: 'softSand', keptAt: '2026-11-28T08:00:00.000Z' },
      ['one', 'other'],
      comparedLines(at(36), at(16), FIRST_UNITS),
    );
    expect(sheetText(sheet)).toMatch(/Two setups\nSoft sand · 28 Nov 2026/);
    expect(sheetText(sheet)).toMatch(/Footprint area +\d+ cm² +\d+ cm² +\+\d+ %/);
  });
});

describe('otherKindText', () => {
  it('speaks up for two kinds alone', () => {
    expect(otherKindText(rig, sampleRig())).toBeUndefined();
    expect(otherKindText(rig, sampleBicycle())).toContain('Two kinds');
  });
});

describe('provedBesideRule', () => {
  it('speaks where a gauge shows another number than the rule’s, and of nothing else', () => {
    const outcome = { ok: true as const, value: of() };
    const rule = outcome.value.what.pressureKpa;
    expect(plain(provedBesideRule(outcome, psi(14), FIRST_UNITS)!)).toMatch(/^14 psi is proved with it here\./);
    expect(provedBesideRule(outcome, rule + 0.5, FIRST_UNITS)).toBeUndefined();
    expect(provedBesideRule(outcome, undefined, FIRST_UNITS)).toBeUndefined();
    expect(provedBesideRule({ ok: false, problem: { code: 'axleGone' } }, psi(14), FIRST_UNITS)).toBeUndefined();
  });
});
