import { planRoute, type RouteInput } from '@dunlinmoss/core';

import { cheapestRoute, type RouteGraph } from '../../packages/core/src/route/cheapestRoute';
import { sampleDay, stretch } from '../../packages/core/src/testing/sampleDay';

const GROUNDS = ['pavement', 'gravel', 'dampSand', 'softSand', 'gravel', 'pavement'] as const;
const RUNS = 7;

const median = (of: () => void): number => {
  const times = Array.from({ length: RUNS }, () => {
    const begun = performance.now();
    of();
    return performance.now() - begun;
  });
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
};

const day = (count: number): RouteInput =>
  sampleDay(Array.from({ length: count }, (_, index) => stretch(GROUNDS[index % GROUNDS.length]!, 1 + (index % 7))));

/** The search alone: so many stretches, twelve pressures, a pump of seven states. */
const graph = (count: number): RouteGraph => ({
  stages: Array.from({ length: count }, (_, index) => ({
    costs: Array.from({ length: 12 }, (_each, setting) => ({
      driveMin: 3 + ((index * 7 + setting * 5) % 11),
      extraMin: (index * 3 + setting) % 5,
    })),
    before: 'stop' as const,
    opensMin: null,
    closesMin: null,
  })),
  startSetting: 0,
  startPump: 0,
  stop: (from, to, pump) => ({ minutes: 2 + Math.abs(from - to), pump: to > from ? Math.min(6, pump + 1) : pump }),
  rested: (pump, minutes) => Math.max(0, pump - Math.floor(minutes / 5)),
  stopPriceMin: 0,
});

const [few, many] = [graph(20), graph(200)];
const [short, long] = [day(6), day(200)];
cheapestRoute(few);
planRoute(short);
process.stdout.write(
  JSON.stringify({
    searchMs: median(() => cheapestRoute(many)),
    searchRatio: median(() => cheapestRoute(many)) / median(() => cheapestRoute(few)),
    shortMs: median(() => planRoute(short)),
    longMs: median(() => planRoute(long)),
  }),
);
