import type { Airing } from '@dunlinmoss/contract';
import { psi } from '@dunlinmoss/core';
import { predictionOf, progressOf } from '@dunlinmoss/domain';
import { fireEvent, render, screen } from '@testing-library/react';

import { sampleAiring, sampleJob } from '../../testing/sampleJob';
import { WheelNow } from './WheelNow';

const job = sampleJob();
const START = Date.parse('2026-11-20T08:00:00.000Z');
const run = (change: Partial<Airing['runs'][number]> = {}): Airing['runs'][number] => ({
  position: 'front',
  wheel: 'left',
  startedAt: new Date(START).toISOString(),
  endedAt: new Date(START + 32_000).toISOString(),
  beforeKpa: psi(36),
  afterKpa: null,
  timed: true,
  ...change,
});

function show(change: Partial<Airing>, nowS = 0) {
  const airing = sampleAiring(job, change);
  const told = {
    start: jest.fn(),
    stop: jest.fn(),
    read: jest.fn(),
    alone: jest.fn(),
    settle: jest.fn(),
    accept: jest.fn(),
  };
  const used = { kind: airing.toolKind, tool: undefined };
  const { container } = render(
    <WheelNow
      airing={airing}
      progress={progressOf(airing, psi(1))[0]!}
      prediction={predictionOf(airing, used, [airing])}
      job={job}
      now={START + nowS * 1000}
      shows={{ on: false, gauge: () => Promise.resolve(undefined), flow: () => Promise.resolve() }}
      group={[]}
      onStart={told.start}
      onStop={told.stop}
      onRead={told.read}
      onReadAlone={told.alone}
      onAccept={told.accept}
      onSettle={told.settle}
    />,
  );
  return { ...told, text: (container.textContent ?? '').replace(/\u00a0/g, ' ') };
}
const field = () => screen.getByLabelText('Front left reads in psi');
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => localStorage.clear());

describe('WheelNow', () => {
  it('waits with what is known to be in it, and starts from what was read', () => {
    const { start, text } = show({});
    expect(text).toContain('Now36psiTo16psi');
    fireEvent.change(field(), { target: { value: '35' } });
    press('Start');
    expect(start.mock.calls[0][0][0].beforeKpa).toBeCloseTo(psi(35), 6);
  });

  it('has nothing to start where it is there already', () => {
    const { accept } = show({});
    fireEvent.change(field(), { target: { value: '16' } });
    press('There already: next wheel');
    expect(accept.mock.calls[0][0]).toBeCloseTo(psi(16), 6);
    fireEvent.change(field(), { target: { value: '12' } });
    expect(screen.getByText(/less than that already: pump it up/)).toBeTruthy();
    press('Leave it as it is: next wheel');
    expect(accept).toHaveBeenCalledTimes(2);
  });

  it('runs down by the clock', () => {
    const open = { runs: [run({ endedAt: null })] };
    expect(show(open, 0).text).toContain('About now36psi');
    const later = show(open, 15).text;
    expect(later).toMatch(/About now2\d\s?psi/);
    expect(later).toMatch(/\d+ s left/);
    expect(show(open, 300).text).toContain('stop it now');
  });

  it('asks for the reading once it is stopped, with what is expected filled in', () => {
    const { read, text } = show({ runs: [run()] });
    expect(text).toContain('Should read');
    fireEvent.change(field(), { target: { value: '17' } });
    press(/^It reads 17\spsi: keep that$/);
    expect(read.mock.calls[0][0]).toBeCloseTo(psi(17), 6);
  });

  it('says what can’t be beside the field, and keeps what was typed', () => {
    show({ runs: [run()] });
    fireEvent.change(field(), { target: { value: '40' } });
    expect(screen.getByText(/More than before, though air was let out/)).toBeTruthy();
    expect((field() as HTMLInputElement).value).toBe('40');
    fireEvent.change(field(), { target: { value: 'soft' } });
    expect(screen.getByText('Expected a pressure.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Keep this reading' }).getAttribute('aria-disabled')).toBe('true');
  });

  it('leads out of an overshoot: read once more, or well as it is', () => {
    const { alone, settle, text } = show({ runs: [run({ afterKpa: psi(13) })] });
    expect(text).toContain('It is past it, by 3 psi');
    fireEvent.change(field(), { target: { value: '16' } });
    press('Corrected: keep this reading');
    expect(alone.mock.calls[0][0]).toBeCloseTo(psi(16), 6);
    press('Leave it as it is');
    expect(settle).toHaveBeenCalledWith('accepted');
  });

  it('goes on from a wheel that is done, once it was read', () => {
    const { text, start } = show({ runs: [run({ afterKpa: psi(16) })] });
    expect(text).toContain('On its number.');
    fireEvent.change(field(), { target: { value: '18' } });
    press('Let out from there');
    expect(start).toHaveBeenCalled();
  });
});
