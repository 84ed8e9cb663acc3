import type { AiringRow, AirToolRow, OutingRow, ReadingRoundRow } from '@dunlinmoss/contract';
import { fillPlan, inToolOf, psi } from '@dunlinmoss/core';
import { roadGaps } from '@dunlinmoss/domain';
import { render, screen } from '@testing-library/react';

import { FIRST_UNITS } from '../../settings/preferences';
import { LogLines } from '../../pictures/LogLines';
import { sampleAiring, sampleJob } from '../../testing/sampleJob';
import { DAY } from '../../theme/palette';
import { AirOfOuting } from '../../components/AirOfOuting';
import { EnoughAir } from './EnoughAir';
import { gaugeRangeProblem } from './gaugeRange';
import { StoragePanel } from './StoragePanel';
import { lastTool, rememberTool, toolsFor } from '../../hooks/toolChoice';

const units = FIRST_UNITS;
const plain = (element: HTMLElement): string => (element.textContent ?? '').replace(/\u00a0/g, ' ');

const kept: { airings: AiringRow[]; readings: ReadingRoundRow[] } = { airings: [], readings: [] };
jest.mock('../../data/rows', () => ({
  useRows: (name: 'airings' | 'readings') => ({ rows: kept[name] }),
}));

const NOW_MS = Date.parse('2026-11-20T12:00:00Z');

describe('roadGaps', () => {
  it('names the wheels that are below road pressure, and how fast that may go', () => {
    const { gaps, limpKmh } = roadGaps(sampleJob({ 'front left': 15, 'rear right': 20 }), NOW_MS);
    expect(gaps.map(({ position, wheel }) => `${position} ${wheel}`)).toEqual(['front left', 'rear right']);
    expect(limpKmh).toBeGreaterThanOrEqual(10);
    expect(limpKmh).toBeLessThanOrEqual(40);
    expect(roadGaps(sampleJob(), NOW_MS)).toMatchObject({ gaps: [], limpKmh: null });
  });

  it('holds back more the softer the softest is', () => {
    const limp = (value: number) => roadGaps(sampleJob({ 'front left': value }), NOW_MS).limpKmh!;
    expect(limp(10)).toBeLessThan(limp(15));
    expect(limp(15)).toBeLessThan(limp(25));
  });
});

describe('EnoughAir', () => {
  const job = sampleJob({ 'front left': 15, 'front right': 15, 'rear left': 20, 'rear right': 20 });
  const wheels = job.wheels.map(({ position, wheel, volumeL }) => ({
    position,
    wheel,
    volumeL,
    fromKpa: psi(position === 'front' ? 15 : 20),
    toKpa: psi(36),
    walkS: 5,
  }));
  const shown = (kind: 'handheldPump' | 'batteryClipCompressor') => {
    const used = { kind, tool: undefined };
    const fill = fillPlan({ wheels, pump: inToolOf(kind)!.pump, outsideKpaAbs: 101.325, setUpS: 10 });
    return plain(render(<EnoughAir job={job} fill={fill} used={used} wheels={wheels} />).container);
  };

  it('says before it begins where a charge ends, what is left after each, and the best use with its speed', () => {
    const text = shown('handheldPump');
    expect(text).toContain('It will not be enough');
    expect(text).toMatch(/It runs out at (rear|front) (left|right): \d+ L of air short/);
    expect(text).toMatch(/\d+ L left/);
    expect(text).toMatch(/Then \d+ km\/h at the most/);
  });

  it('has every wheel’s time where it is enough', () => {
    const text = shown('batteryClipCompressor');
    expect(text).toContain('Wheel by wheel');
    expect(text).not.toContain('runs out');
  });
});

describe('toolsFor', () => {
  const own = [{ id: 'mine', kind: 'coreDeflator', name: 'Mine' }] as unknown as AirToolRow[];
  it('has one’s own in place of its kind', () => {
    const codes = toolsFor('out', own).map(({ code }) => code);
    expect(codes[0]).toBe('mine');
    expect(codes).not.toContain('coreDeflator');
    expect(codes).toContain('stick');
  });

  it('begins with one’s own, then with the one used last', () => {
    localStorage.clear();
    expect(lastTool('out', 'rig', 'car', own)).toBe('mine');
    expect(lastTool('in', 'rig', 'bicycle', own)).toBe('bicycleFloorPump');
    rememberTool('out', 'rig', 'stick');
    expect(lastTool('out', 'rig', 'car', own)).toBe('stick');
  });
});

describe('gaugeRangeProblem', () => {
  const gauge = { name: 'Low dial', fromKpa: 0, fullScaleKpa: psi(20) };
  it.each([
    [undefined, undefined, 'Expected a pressure.'],
    [psi(44), gauge, 'Low dial reads from 0 psi to 20 psi: not this.'],
    [psi(12), gauge, undefined],
    [psi(44), undefined, undefined],
    [9_999, undefined, 'Expected 0 to 290 psi.'],
  ])('%s kPa', (kpa, of, text) => expect(gaugeRangeProblem(kpa, of, units)?.replace(/\u00a0/g, ' ')).toBe(text));
});

describe('StoragePanel', () => {
  it('says when to look again', () => {
    const wheels = sampleJob().wheels.map(({ position, wheel }) => ({ position, wheel, shownKpa: psi(36) }));
    const round = {
      readAt: '2026-11-20T00:00:00.000Z',
      wheels,
      gauge: null,
      airTempC: 20,
      tireTempC: null,
      altitudeM: 0,
    };
    const job = { ...sampleJob(), rounds: [round as never] };
    const soon = render(<StoragePanel job={job} nowMs={Date.parse('2026-11-21T00:00:00Z')} />);
    expect(plain(soon.container)).toMatch(/Look again on \d+ Dec 2026/);
    soon.unmount();
    const late = render(<StoragePanel job={job} nowMs={Date.parse('2027-03-01T00:00:00Z')} />);
    expect(plain(late.container)).toContain('Look now: it is due');
    late.unmount();
    // Nobody ever read it: no date is made up.
    const never = render(<StoragePanel job={sampleJob()} nowMs={Date.parse('2026-11-21T00:00:00Z')} />);
    expect(plain(never.container)).toContain('Look now: it is due');
  });
});

describe('LogLines', () => {
  const points = Array.from({ length: 50 }, (_, index) => ({
    atMs: index * 60_000 + (index > 25 ? 3_600_000 : 0),
    leastKpa: psi(15),
    mostKpa: psi(index === 30 ? 25 : 16),
  }));
  it('draws each wheel, breaks its line at a gap, and says what it read last', () => {
    const { container } = render(
      <LogLines
        units={units}
        palette={DAY}
        wheels={[
          { name: 'Front left', points },
          { name: 'Rear left', points: [] },
        ]}
      />,
    );
    const label = screen
      .getByRole('img')
      .getAttribute('aria-label')!
      .replace(/\u00a0/g, ' ');
    expect(label).toBe('Pressures over time. Last Front left 16 psi');
    expect(container.querySelectorAll('path')).toHaveLength(2);
  });

  it('is nothing without a reading', () =>
    expect(render(<LogLines units={units} palette={DAY} wheels={[]} />).container.innerHTML).toBe(''));
});

describe('AirOfOuting', () => {
  const outing = { id: 'o' } as OutingRow;
  it('is not there where nothing was timed or read', () => {
    kept.airings = [];
    kept.readings = [];
    expect(render(<AirOfOuting outing={outing} units={units} />).container.innerHTML).toBe('');
  });

  it('tells what was let out, how long it took, and the rounds', () => {
    const job = sampleJob();
    const ended = { startedAt: '2026-11-20T08:00:00.000Z', endedAt: '2026-11-20T08:04:00.000Z' };
    kept.airings = [{ ...sampleAiring(job, ended), createdAt: '', updatedAt: '' }];
    kept.readings = [
      {
        id: 'r',
        readAt: '2026-11-20T09:00:00.000Z',
        occasion: 'watch',
        tireTempC: 31,
        wheels: [{ position: 'front', wheel: 'left', shownKpa: psi(17) }],
      } as ReadingRoundRow,
    ];
    const text = plain(render(<AirOfOuting outing={outing} units={units} />).container);
    expect(text).toContain('Let out: 4 wheels in 4 min');
    expect(text).toMatch(/a round: front left 17 psi, tires 31 °C/);
  });
});
