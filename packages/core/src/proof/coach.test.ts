import { psi } from '../units/units';
import { pressureAt, scoreOf, trialAdvice, type BracketRun, type BracketSetup } from './bracket';
import { coach, MOST_RUNS, type TrialRules, type TrialRun } from './coach';

const rules: TrialRules = { lowest: -3, highest: 3, deviation: 0.9, seed: 5 };

describe('coach', () => {
  it('opens with the start and two steps to either side, in an order of the seed', () => {
    const order = (seed: number): (number | null)[] => {
      const runs: TrialRun[] = [];
      for (let index = 0; index < 3; index += 1) runs.push({ step: coach(runs, { ...rules, seed }).next!, value: 5 });
      return runs.map(({ step }) => step);
    };
    expect([...order(5)].sort()).toEqual([-2, 0, 2]);
    expect(new Set([1, 2, 3, 4, 5, 6, 7, 8].map((seed) => order(seed).join()))).not.toHaveProperty('size', 1);
  });

  it('stays within what may be tried', () => {
    const runs: TrialRun[] = [];
    let advice = coach(runs, { ...rules, lowest: -1 });
    while (advice.next !== null) {
      expect(advice.next).toBeGreaterThanOrEqual(-1);
      runs.push({ step: advice.next, value: -advice.next });
      advice = coach(runs, { ...rules, lowest: -1 });
    }
    expect(advice.best).toBe(-1);
  });

  it('stops soon where the answer is plain, and at last where it never is', () => {
    const hill = (step: number): number => 8 - (step + 1) ** 2;
    const ride = (value: (step: number, run: number) => number) => {
      const runs: TrialRun[] = [];
      let advice = coach(runs, rules);
      for (; advice.next !== null; advice = coach(runs, rules))
        runs.push({ step: advice.next, value: value(advice.next, runs.length) });
      return { runs, advice };
    };
    const plain = ride(hill);
    expect(plain.advice).toMatchObject({ because: 'sure', best: -1 });
    expect(plain.runs.length).toBeLessThanOrEqual(7);
    const flat = ride((_, run) => (run % 2 === 0 ? 3 : 7));
    expect(flat.runs.length).toBeLessThanOrEqual(MOST_RUNS);
  });

  it('gives the same advice for the same runs', () => {
    const runs = [-2, 0, 2].map((step) => ({ step, value: 6 - step * step }));
    expect(coach(runs, rules)).toEqual(coach(runs, rules));
  });
});

describe('trialAdvice', () => {
  const setup: BracketSetup = {
    startKpa: psi(24),
    stepKpa: psi(2),
    lowestKpa: psi(19),
    highestKpa: null,
    by: 'ratings',
    blind: 'open',
    seed: 3,
    climbs: 1,
    turns: 2,
    rolls: 0,
    comfort: 0,
    worstHit: 0,
  };
  const run = (pressurePsi: number, climbs: number | null, turns: number | null): BracketRun => ({
    pressureKpa: psi(pressurePsi),
    climbs,
    turns,
    rolls: 9,
    comfort: null,
    worstHit: null,
    measured: null,
    testId: null,
  });

  it('weighs what was rated, and leaves out what does not count or was not told', () => {
    expect(scoreOf(run(24, 4, 7), setup)).toBeCloseTo(6, 12);
    expect(scoreOf(run(24, 4, null), setup)).toBe(4);
    expect(scoreOf(run(24, null, null), setup)).toBeNull();
    expect(scoreOf({ ...run(24, 1, 1), measured: 12 }, { ...setup, by: 'less' })).toBe(-12);
  });

  it('never proposes a pressure below the lowest that is allowed', () => {
    const runs: BracketRun[] = [];
    for (let advice = trialAdvice(runs, setup); advice.next !== null; advice = trialAdvice(runs, setup)) {
      const kpa = pressureAt(advice.next, setup);
      expect(kpa).toBeGreaterThanOrEqual(psi(19));
      const softer = (psi(30) - kpa) / psi(2);
      runs.push(run(kpa / psi(1), softer, softer));
    }
    expect(trialAdvice(runs, setup).best).toBe(-2);
  });
});
