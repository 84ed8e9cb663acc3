import fc from 'fast-check';
import type { z } from 'zod';

import { arbitraryOf, nearby } from '../testing/arbitraryOf';
import { PLAN_EXAMPLES } from '../testing/planExamples';
import type { Calculator } from './calculator';
import { CALCULATORS } from './registry';

/** Every number of an answer, wherever it stands. */
function* numbersIn(value: unknown, at = ''): Generator<readonly [string, number]> {
  if (typeof value === 'number') yield [at, value];
  else if (typeof value === 'object' && value !== null) {
    for (const [key, part] of Object.entries(value)) yield* numbersIn(part, `${at}/${key}`);
  }
}

/** Inputs of a calculator: wholly random ones, and for those that take a rig's axles also ones near a real rig. */
function inputsOf({ input }: Calculator): fc.Arbitrary<unknown> {
  const examples = PLAN_EXAMPLES.flatMap(({ ground, ...rig }) =>
    [
      { ...rig, ground, pressureKpa: 120 },
      { ...rig, ground, loadShare: 0.05, gaugeKpa: 7, tempC: 5, widthShare: 0.03, draws: 500 },
      { ...rig, ground },
      { ...rig, legs: [{ ground }, { ground, speedKmh: 20 }] },
      rig,
    ].filter((each) => input.safeParse(each).success),
  );
  const random = arbitraryOf(input);
  return examples.length === 0
    ? random
    : fc.oneof(random, { weight: 4, arbitrary: nearby(input as z.ZodObject, examples) });
}

describe('CALCULATORS', () => {
  it.each(CALCULATORS.map((calculator) => [calculator.name, calculator] as const))(
    '%s answers whatever its schema takes with numbers, or with a problem',
    (_, calculator) => {
      const { input, output, run } = calculator;
      fc.assert(
        fc.property(inputsOf(calculator), (raw) => {
          const answer = run(input.parse(raw));
          expect([...numbersIn(answer)].filter(([, number]) => !Number.isFinite(number))).toEqual([]);
          expect(output.safeParse(answer).error).toBeUndefined();
        }),
        { seed: 1212, numRuns: calculator.heavy ? 15 : 100 },
      );
    },
  );
});
