import { planRoute, type Result, type RouteAnswer, type RouteInput, type RouteProblem } from '@dunlinmoss/core';
import { expose } from 'comlink';

/** Plans on a thread of its own, so that nothing else waits. */
const work = {
  plan: (input: RouteInput): Result<RouteAnswer, RouteProblem> => planRoute(input),
};

export type RouteWork = typeof work;

expose(work);
