import { psi, rehearse } from '@dunlinmoss/core';

import { atStart, driveOn } from '../../packages/core/src/rehearsal/drive';
import { wayOf } from '../../packages/core/src/rehearsal/lie';
import { referenceWagon, sampleLesson } from '../../packages/core/src/testing/sampleLesson';

const SECONDS = 3;

/** How many drives of the first beach a second, of two pressures in turns, and how long a decision takes to judge. */
const { lesson } = rehearse(sampleLesson(), 1);
const rig = referenceWagon();
let runs = 0;
let steps = 0;
const begun = performance.now();
while (performance.now() - begun < 1000 * SECONDS) {
  const kpa = psi(runs % 2 === 0 ? 16 : 30);
  const way = wayOf(lesson.lie, { seed: runs, shift: lesson.shift, scatter: 0.1 });
  const run = driveOn(atStart(rig, lesson.startM), rig, way, {
    pressuresKpa: [kpa, kpa],
    pace: 'steady',
    keepsOn: false,
    pushedShare: undefined,
  })!;
  steps += Math.round(run.state.timeS / 0.02);
  runs += 1;
}
const perSecond = runs / ((performance.now() - begun) / 1000);
const stepUs = (1e6 * SECONDS) / steps;

const beach = rehearse(sampleLesson(), 2);
const choices = beach.choices(beach.begin);
const judged = performance.now();
for (const choice of choices) beach.expect(beach.begin, choice);
const judgeMs = performance.now() - judged;

process.stdout.write(JSON.stringify({ perSecond, stepUs, judgeMs, choices: choices.length }));
