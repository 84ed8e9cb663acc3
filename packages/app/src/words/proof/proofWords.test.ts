import { familyOf, judgeRoutine, REFERENCE_RIG, ROUTINES, routineOf, type Judgement } from '@dunlinmoss/core';

import { FIRST_UNITS, type Units } from '../../settings/preferences';
import { photoProblemText } from '../photo';
import { nextTimeText } from '../learned';
import { ROUTINE_WORDS } from './registry';
import { sureText } from './routineWords';

const units: Units = FIRST_UNITS;
const verdict = (change: Partial<Judgement>): Judgement => ({
  verdict: '',
  move: 'keep',
  stepKpa: 14,
  tryKpa: 124,
  heldAt: null,
  sure: 0.8,
  figures: {
    bestKpa: 124,
    runs: 6,
    ratio: 1.4,
    trackA: 60,
    trackB: 40,
    share: 0.2,
    'trackA mean': 900,
    'trackB mean': 700,
  },
  levels: [],
  runs: [],
  contradictions: [[0, 1]],
  ...change,
});

describe('ROUTINE_WORDS', () => {
  it.each(ROUTINES.map(({ code }) => [code]))('%s has a word for every field, option and verdict', (code) => {
    const words = ROUTINE_WORDS[code];
    const { setup, run } = routineOf(code);
    for (const [name, field] of Object.entries({ ...setup, ...run })) {
      if (field.type === 'outline' || field.type === 'id' || name === 'seed') continue;
      expect([name, words.fields[name]]).toEqual([name, expect.any(String)]);
      if (field.type === 'choice')
        expect(Object.keys(words.options?.[name] ?? {}).sort()).toEqual([...field.options].sort());
    }
    for (const name of Object.keys(words.verdicts)) {
      const text = words.advice(verdict({ verdict: name }), units);
      expect(text).not.toMatch(/undefined|NaN|null/);
      expect(text.length).toBeGreaterThan(8);
    }
  });

  it('says what to do next with the number in the person’s unit', () => {
    const on = { family: familyOf('fourWheel'), build: REFERENCE_RIG.build, wheelLoadKg: 600 };
    const zones = { outerLeft: 'still', left: 'still', middle: 'worn', right: 'still', outerRight: 'still' };
    const judged = judgeRoutine({
      code: 'chalk',
      setup: {},
      runs: [{ wheel: 'front left', pressureKpa: 248.2, ...zones }],
      on,
    });
    expect(ROUTINE_WORDS.chalk.advice(judged, units)).toContain('Next: 32\u00a0psi.');
  });
});

describe('sureText', () => {
  it.each([
    [0.5, '5 of 10'],
    [0.83, '8.5 of 10'],
    [0.97, '9.5 of 10'],
    [1, 'as good as certain'],
  ])('%d is %s', (sure, text) => {
    expect(sureText(sure)).toBe(text);
  });
});

describe('nextTimeText', () => {
  const from = {
    at: '2026-05-02T08:00:00.000Z',
    pressureKpa: 110.3,
    wheelLoadKg: 600,
    decided: 'lower',
    by: 'drive',
    carriedFrom: null,
    id: 'outing',
  } as const;

  it('says what it goes by, what was added, and how the rule of thumb differs', () => {
    const text = nextTimeText(
      { pressureKpa: 103.4, from, byDecisionKpa: -13.8, byLoadKpa: 6.9, againstRuleKpa: -6.9 },
      units,
    );
    expect(text).toBe(
      'Driven: 16\u00a0psi on 2 May 2026, to go lower. −2\u00a0psi for that, +1\u00a0psi for today’s load. The rule of thumb says 1\u00a0psi more.',
    );
    expect(
      nextTimeText(
        { pressureKpa: 110.3, from: { ...from, decided: 'keep' }, byDecisionKpa: 0, byLoadKpa: 0, againstRuleKpa: 0.4 },
        units,
      ),
    ).toBe('Kept: 16\u00a0psi on 2 May 2026. The rule of thumb says the same.');
  });
});

describe('photoProblemText', () => {
  it.each([
    'notAPhoto',
    'tooLarge',
    'notMarked',
    'crossedCorners',
    'tooDark',
    'tooFaint',
    'nothingFound',
    'cutByFrame',
  ] as const)('%s says what to do', (code) => {
    expect(photoProblemText({ code })).toMatch(/[.]$/);
  });
});
