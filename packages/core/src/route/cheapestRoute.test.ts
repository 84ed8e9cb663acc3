import fc from 'fast-check';

import { cheapestRoute, routeOf, type RouteGraph, type RoutePath } from './cheapestRoute';

const SETTINGS = 3;
const minutes = fc.integer({ min: 1, max: 40 });
const stage = fc.record({
  costs: fc.array(
    fc.option(fc.record({ driveMin: minutes, extraMin: fc.integer({ min: 0, max: 20 }) }), { freq: 6, nil: null }),
    { minLength: SETTINGS, maxLength: SETTINGS },
  ),
  before: fc.constantFrom('stop' as const, 'stop' as const, 'noStop' as const, 'freeAir' as const),
  opensMin: fc.option(fc.integer({ min: 0, max: 90 }), { freq: 4, nil: null }),
  closesMin: fc.option(fc.integer({ min: 40, max: 160 }), { freq: 4, nil: null }),
});

/** A pump of three steps that a lift warms by one, and that rest cools; free air leaves it as it is. */
const graphOf = (stages: RouteGraph['stages'], price = 0): RouteGraph => ({
  stages,
  startSetting: 0,
  startPump: 0,
  stop: (from, to, pump, freeAir) => {
    if (to < from) return { minutes: 3 * (from - to), pump };
    if (freeAir) return { minutes: 2, pump };
    return pump === 2 ? null : { minutes: 7 * (to - from) + 5 * pump, pump: pump + 1 };
  },
  rested: (pump, passed) => Math.max(0, pump - Math.floor(passed / 25)),
  stopPriceMin: price,
});

function everyRoute(graph: RouteGraph): RoutePath[] {
  let sequences: number[][] = [[]];
  for (const _ of graph.stages) sequences = sequences.flatMap((one) => [0, 1, 2].map((setting) => [...one, setting]));
  return sequences.flatMap((settings) => routeOf(graph, settings) ?? []);
}

describe('cheapestRoute', () => {
  it('is as cheap as the cheapest of every way there is, with windows, closed edges and a pump that warms', () => {
    let found = 0;
    fc.assert(
      fc.property(fc.array(stage, { minLength: 1, maxLength: 5 }), (stages) => {
        const graph = graphOf(stages);
        const all = everyRoute(graph);
        const best = cheapestRoute(graph);
        if (all.length === 0) return expect(best).toBeNull();
        found += 1;
        expect(best!.cost).toBeCloseTo(Math.min(...all.map(({ cost }) => cost)), 9);
        expect(
          routeOf(
            graph,
            best!.steps.map(({ setting }) => setting),
          )!.cost,
        ).toBeCloseTo(best!.cost, 9);
      }),
      { seed: 19, numRuns: 400 },
    );
    expect(found).toBeGreaterThan(100);
  });

  it('never stops more often where stops are dearer', () => {
    const open = stage.map((each) => ({ ...each, opensMin: null, closesMin: null }));
    fc.assert(
      fc.property(fc.array(open, { minLength: 2, maxLength: 7 }), minutes, (stages, more) => {
        const [cheap, dear] = [cheapestRoute(graphOf(stages)), cheapestRoute(graphOf(stages, more))];
        if (cheap && dear) expect(dear.stops).toBeLessThanOrEqual(cheap.stops);
      }),
      { seed: 20, numRuns: 400 },
    );
  });

  it('waits for a stretch to open, and takes the way that is through before one closes, though it is dearer', () => {
    const plain = { before: 'stop' as const, opensMin: null, closesMin: null };
    const slow = { driveMin: 60, extraMin: 0 };
    const quick = { driveMin: 30, extraMin: 50 };
    const stages = [
      { ...plain, costs: [slow, null, quick] },
      {
        ...plain,
        costs: [{ driveMin: 10, extraMin: 0 }, null, { driveMin: 10, extraMin: 0 }],
        opensMin: 45,
        closesMin: 60,
      },
    ];
    const path = cheapestRoute({ ...graphOf(stages), stop: (_, __, pump) => ({ minutes: 5, pump }) })!;
    expect(path.steps.map(({ setting }) => setting)).toEqual([2, 2]);
    expect(path.steps[1]).toMatchObject({ waitMin: 10, fromMin: 45, untilMin: 55 });
  });

  it('is none where nothing that is allowed can be reached', () => {
    const only = (setting: number) => [0, 1, 2].map((each) => (each === setting ? { driveMin: 1, extraMin: 0 } : null));
    const stages = [
      { costs: only(0), before: 'stop' as const, opensMin: null, closesMin: null },
      { costs: only(2), before: 'noStop' as const, opensMin: null, closesMin: null },
    ];
    expect(cheapestRoute(graphOf(stages))).toBeNull();
    expect(routeOf(graphOf(stages), [0, 2])).toBeNull();
  });
});
