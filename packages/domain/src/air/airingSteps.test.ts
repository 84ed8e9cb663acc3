import type { Airing, AiringWheel } from '@dunlinmoss/contract';
import { psi, sameWheel, WHEEL_CODES } from '@dunlinmoss/core';
import fc from 'fast-check';

import { airingAfter, pressuresAfter, startsWith, toReadWith, type AiringStep } from './airingSteps';
import { progressOf } from './predict';

const wheel = (code: AiringWheel['wheel'], change: Partial<AiringWheel> = {}): AiringWheel => ({
  position: 'front',
  wheel: code,
  volumeL: 40,
  coldKpa: psi(16),
  targetKpa: psi(18),
  settled: null,
  ...change,
});
const [left, right] = [wheel('left'), wheel('right')];
const airing = (change: Partial<Airing> = {}): Airing => ({
  id: 'a',
  revision: 0,
  rigId: 'r',
  outingId: null,
  way: 'out',
  toolId: null,
  toolKind: 'stick',
  gauge: null,
  startedAt: at(0),
  endedAt: null,
  coldTempC: 10,
  tireTempC: 10,
  altitudeM: 0,
  justDriven: false,
  wheels: [left, right],
  runs: [],
  ...change,
});
function at(minute: number): string {
  return new Date(Date.parse('2026-11-20T08:00:00Z') + minute * 60_000).toISOString();
}
const after = (...steps: AiringStep[]): Airing => steps.reduce(airingAfter, airing());
const open = (minute: number, ...wheels: AiringWheel[]): AiringStep => ({
  step: 'open',
  at: at(minute),
  wheels: wheels.map((each) => ({ wheel: each, beforeKpa: psi(36) })),
});
const close = (minute: number, ...wheels: AiringWheel[]): AiringStep => ({
  step: 'close',
  at: at(minute),
  wheels,
  timed: () => true,
});
const states = (one: Airing) => progressOf(one, psi(1)).map(({ state }) => state);

describe('airingAfter', () => {
  it('opens, closes and reads a wheel, and leaves the other alone', () => {
    const read = after(open(1, left), close(2, left), { step: 'read', wheels: [left], afterKpa: psi(18) });
    expect(states(read)).toEqual(['done', 'waiting']);
    expect(read.runs).toEqual([
      {
        position: 'front',
        wheel: 'left',
        startedAt: at(1),
        endedAt: at(2),
        beforeKpa: psi(36),
        afterKpa: psi(18),
        timed: true,
      },
    ]);
  });

  it('reads wheels on one set of hoses together', () => {
    const closed = after(open(1, left, right), close(2, left, right));
    expect(toReadWith(closed, left, false, psi(1))).toEqual([left]);
    const wheels = toReadWith(closed, left, true, psi(1));
    expect(wheels).toEqual([left, right]);
    expect(states(airingAfter(closed, { step: 'read', wheels, afterKpa: psi(18) }))).toEqual(['done', 'done']);
  });

  it('never ends a run before it began, whatever the clock was set to meanwhile', () => {
    expect(after(open(5, left), close(3, left)).runs[0]!.endedAt).toBe(at(5));
    expect(after(open(5, left), { step: 'end', at: at(3) }).runs[0]).toMatchObject({ endedAt: at(5), timed: false });
  });

  it('closes a wheel that is skipped while it runs, without a time of its own', () => {
    const skipped = after(open(1, left, right), { step: 'settle', at: at(2), wheel: left, settled: 'skipped' });
    expect(skipped.runs.map(({ endedAt, timed }) => [endedAt, timed])).toEqual([
      [at(2), false],
      [null, true],
    ]);
    expect(states(skipped)).toEqual(['skipped', 'running']);
    // Opened after all, it is none that was skipped.
    expect(states(airingAfter(skipped, open(3, left)))).toEqual(['running', 'running']);
  });

  it('keeps a reading with nothing opened, from what was read before it', () => {
    const alone = after({ step: 'readAlone', at: at(1), wheel: left, shownKpa: psi(15), accepted: true });
    expect(states(alone)).toEqual(['done', 'waiting']);
    expect(airingAfter(alone, { step: 'readAlone', at: at(2), wheel: left, shownKpa: psi(17) }).runs[1]).toMatchObject({
      beforeKpa: psi(15),
      afterKpa: psi(17),
      timed: false,
    });
  });

  it('loses nothing that was read, in any order of steps', () => {
    const one = fc.constantFrom(left, right);
    const kpa = fc.double({ min: 20, max: 300, noNaN: true });
    const minute = fc.integer({ min: 0, max: 60 }).map(at);
    const step: fc.Arbitrary<AiringStep> = fc.oneof(
      fc.record({
        step: fc.constant('open' as const),
        at: minute,
        wheels: fc.array(fc.record({ wheel: one, beforeKpa: kpa }), { minLength: 1, maxLength: 2 }),
      }),
      fc.record({
        step: fc.constant('close' as const),
        at: minute,
        wheels: fc.array(one, { maxLength: 2 }),
        timed: fc.constant(() => true),
      }),
      fc.record({ step: fc.constant('readAlone' as const), at: minute, wheel: one, shownKpa: kpa }),
      fc.record({
        step: fc.constant('settle' as const),
        at: minute,
        wheel: one,
        settled: fc.constantFrom('accepted' as const, 'skipped' as const),
      }),
      fc.record({ step: fc.constant('end' as const), at: minute }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        let now = airing();
        for (const each of steps) {
          const next = airingAfter(now, each);
          expect(next.wheels.map((w) => w.wheel)).toEqual(['left', 'right']);
          // What was read stays; a run may only end.
          expect(
            next.runs
              .slice(0, now.runs.length)
              .map(({ beforeKpa, afterKpa, startedAt }) => [beforeKpa, afterKpa, startedAt]),
          ).toEqual(now.runs.map(({ beforeKpa, afterKpa, startedAt }) => [beforeKpa, afterKpa, startedAt]));
          for (const run of next.runs) {
            expect(run.endedAt === null || run.endedAt >= run.startedAt).toBe(true);
            expect(WHEEL_CODES).toContain(run.wheel);
          }
          now = next;
        }
        const ended = airingAfter(now, { step: 'end', at: at(90) });
        expect(ended.runs.every(({ endedAt }) => endedAt !== null)).toBe(true);
      }),
      { seed: 20261128, numRuns: 300 },
    );
  });
});

describe('pressuresAfter', () => {
  it('is what was read, cold; of an axle where nothing was done what it had', () => {
    const rear = wheel('left', { position: 'rear' });
    const one = airing({ wheels: [left, right, rear] });
    const done = [left, right].reduce(
      (now, each) =>
        airingAfter(now, {
          step: 'readAlone',
          at: at(1),
          wheel: each,
          shownKpa: psi(sameWheel(each, left) ? 18 : 20),
          accepted: true,
        }),
      one,
    );
    // 18 and 20 on warm tires that were to have 18: 16 and 18 cold.
    const before = [{ position: 'rear' as const, pressureKpa: psi(40) }];
    expect(pressuresAfter(progressOf(done, psi(1)), before, (kpa) => kpa)).toEqual([
      { position: 'front', pressureKpa: expect.closeTo(psi(17), 9) },
      { position: 'rear', pressureKpa: psi(40) },
    ]);
    expect(pressuresAfter(progressOf(one, psi(1)), [], (kpa) => kpa)).toEqual([]);
  });
});

describe('startsWith', () => {
  it('joins the wheel one stands at with others to the same number, as many as there are hoses', () => {
    const wheels = [
      left,
      right,
      wheel('left', { position: 'rear' }),
      wheel('right', { position: 'rear', targetKpa: 150 }),
    ];
    const progress = progressOf(airing({ wheels }), psi(1));
    const joined = (hoses: number) =>
      startsWith(progress, right, psi(1), hoses).map(({ wheel: each }) => `${each.position} ${each.wheel}`);
    expect(joined(4)).toEqual(['front right', 'front left', 'rear left']);
    expect(joined(2)).toEqual(['front right', 'front left']);
    expect(joined(1)).toEqual(['front right']);
  });
});
