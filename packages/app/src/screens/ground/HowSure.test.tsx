import { planGround, psi, type Margin, type MarginInput } from '@dunlinmoss/core';
import { planInput } from '@dunlinmoss/domain';
import { act, fireEvent, render, screen } from '@testing-library/react';

import { sampleCase, sampleRig } from '@dunlinmoss/domain/testing';
import { FIRST_UNITS } from '../../settings/preferences';
import { HowSure } from './HowSure';
import type { PlanQuery } from '../../hooks/usePlanQuery';

interface Started {
  readonly inputs: readonly MarginInput[];
  readonly tell: (share: number) => void;
  readonly answer: (margins: Margin[]) => void;
  readonly fail: (error: Error) => void;
  cancelled: boolean;
}
const started: Started[] = [];
jest.mock('../../workers/marginWork', () => ({
  startMargin: (inputs: readonly MarginInput[], tell: (share: number) => void) => {
    let answer!: Started['answer'];
    let fail!: Started['fail'];
    const result = new Promise<Margin[]>((resolve, reject) => {
      answer = resolve;
      fail = reject;
    });
    const job: Started = { inputs, tell, answer, fail, cancelled: false };
    started.push(job);
    return { result, cancel: () => (job.cancelled = true) };
  },
}));
jest.mock('../../data/gauges', () => ({
  useGauges: () => [
    { id: 'g', name: 'Long stick', fromKpa: 0, fullScaleKpa: 1100, gradePercent: 2.5, comparisons: [] },
  ],
}));

const units = FIRST_UNITS;
const rig = sampleRig();
const asked = { ground: 'softSand', modifiers: [], speedKmh: null } as const;
const input = planInput(rig, [], asked);
const plan = input.ok ? planGround(input.value) : input;
if (!plan.ok) throw new Error(plan.problem.code);
const question = { rig, tests: [], asked, units, loadCase: sampleCase() } as unknown as PlanQuery;
const margin = (lowPsi: number, belowFloor: number): Margin => ({
  inTire: { lowKpa: psi(lowPsi), middleKpa: psi(lowPsi + 1), highKpa: psi(lowPsi + 2) },
  wanted: { lowKpa: psi(13), middleKpa: psi(15), highKpa: psi(17) },
  belowFloor,
  aboveCeiling: 0,
  draws: 20_000,
});
const open = (): Started => {
  render(<HowSure question={question} plan={plan.value} />);
  fireEvent.click(screen.getByRole('button', { name: 'How sure is that?' }));
  return started.at(-1)!;
};
const textOf = (axle: string): string =>
  (screen.getByRole('group', { name: `How sure, ${axle}` }).textContent ?? '').replace(/\u00a0/g, ' ');

describe('HowSure', () => {
  beforeEach(() => started.splice(0));

  it('draws nothing before somebody asks, then each axle by how its load is known', () => {
    render(<HowSure question={question} plan={plan.value} />);
    expect(started).toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: 'How sure is that?' }));
    expect(started[0]!.inputs.map(({ spreads }) => spreads.loadShare)).toEqual([0.02, 0.02]);
    expect(started[0]!.inputs.map(({ setKpa }) => Math.round(setKpa / psi(1)))).toEqual([16, 17]);
  });

  it('says how far it is, then what came of it', async () => {
    const job = open();
    act(() => job.tell(0.25));
    expect(screen.getByRole('progressbar').textContent).toContain('5,000 of 20,000');
    await act(async () => job.answer([margin(14, 0.0001), margin(18, 0.031)]));
    expect(textOf('front')).toBe(
      'FrontLikely 14–16 psi in the tire. Its true load and tire would ask for 13–17 psi. The floor is not crossed in 99 of 100.',
    );
    expect(textOf('rear')).toContain('not crossed in 96 of 100');
  });

  it('is not called back to drawing by progress that comes after the answer', async () => {
    const job = open();
    await act(async () => job.answer([margin(14, 0), margin(18, 0)]));
    act(() => job.tell(1));
    expect(screen.queryByRole('progressbar')).toBeNull();
    expect(textOf('front')).toContain('100 of 100');
  });

  it('can be stopped, and says so where it fails', async () => {
    const job = open();
    fireEvent.click(screen.getByRole('button', { name: 'Stop drawing' }));
    expect(job.cancelled).toBe(true);
    expect(screen.getByRole('alert').textContent).toContain('The numbers above stand as they are.');
  });

  it('draws anew by another gauge, and stops what it drew before', () => {
    const first = open();
    fireEvent.click(screen.getByRole('radio', { name: 'Long stick' }));
    expect(first.cancelled).toBe(true);
    expect(started.at(-1)!.inputs[0]!.spreads.gaugeKpa).toBeCloseTo(27.5, 9);
    expect(first.inputs[0]!.spreads.gaugeKpa).toBe(7);
  });
});
