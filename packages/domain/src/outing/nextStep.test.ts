import type { OutingRow } from '@dunlinmoss/contract';

import { nextStep, outingOf, pathOf } from './nextStep';

const outing = (change: Partial<OutingRow>): OutingRow =>
  ({ state: 'planned', decision: null, pressures: [], stuckRung: 0, ...change }) as OutingRow;
const decision = { code: 'keep' as const, note: '', counts: true };

describe('nextStep', () => {
  it.each([
    ['nothing under way', undefined, 0, 'start'],
    ['planned', outing({}), 0, 'setPressures'],
    ['air out, not tested', outing({ state: 'lowered' }), 0, 'test'],
    ['tested, not decided', outing({ state: 'lowered' }), 1, 'decide'],
    ['decided', outing({ state: 'lowered', decision }), 1, 'airUp'],
    ['below the floor, whatever else', outing({ state: 'lowered', decision, stuckRung: 1 }), 1, 'backUp'],
    ['closed', outing({ state: 'closed', decision }), 1, 'start'],
  ] as const)('%s', (_, row, tests, step) => expect(nextStep(row, tests, 'car')).toBe(step));

  it('asks no tape of two wheels in line', () => {
    expect(nextStep(outing({ state: 'lowered' }), 0, 'bicycle')).toBe('decide');
    expect(nextStep(outing({ state: 'lowered' }), 0, 'motorcycle')).toBe('decide');
  });
});

describe('pathOf', () => {
  it('has everything before the next step done, and everything after it to come', () => {
    expect(pathOf('decide', 'car').map(({ state }) => state)).toEqual(['done', 'done', 'next', 'later']);
    expect(pathOf('backUp', 'car').map(({ state }) => state)).toEqual(['done', 'later', 'later', 'later']);
  });
});

describe('outingOf', () => {
  const at = (hour: number): string => new Date(Date.UTC(2026, 10, 20, hour)).toISOString();
  const row = (id: string, change: Partial<OutingRow>): OutingRow =>
    outing({ id, rigId: 'a', startedAt: at(6), ...change });
  const of = (...rows: OutingRow[]) => outingOf(rows, 'a', Date.parse(at(12)))?.id;

  it('is the one with air let out, else the newest whose day has come, of this rig alone', () => {
    expect(of(row('1', {}), row('2', { state: 'lowered' }))).toBe('2');
    expect(of(row('1', {}), row('2', {}))).toBe('1');
    expect(of(row('1', { startedAt: at(20) }), row('2', {}))).toBe('2');
    expect(of(row('1', { startedAt: at(20) }))).toBeUndefined();
    expect(of(row('1', { rigId: 'b', state: 'lowered' }), row('2', { state: 'closed' }))).toBeUndefined();
  });
});
