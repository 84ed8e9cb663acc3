import type { OutingRow } from '@dunlinmoss/contract';

import { nextStep, pathOf } from './nextStep';

const outing = (change: Partial<OutingRow>): OutingRow =>
  ({ state: 'planned', decision: null, pressures: [], stuckRung: 0, ...change }) as OutingRow;
const decision = { code: 'keep' as const, note: '' };

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
