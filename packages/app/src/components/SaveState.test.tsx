import { bodyOf } from '@dunlinmoss/contract';
import { fullRig } from '@dunlinmoss/domain/testing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { mutate } from 'swr';

import { reachStore } from '../data/client';
import { checkClock, clockAheadStore } from '../data/clock';
import { notKeptStore } from '../data/device';
import { outboxStore } from '../data/outboxStore';
import type { Pending } from '../data/pending';
import { newerStore } from '../data/shell';
import { listKey, syncChanged } from '../data/lists';
import { leftBehindStore } from '../data/setBack';
import { SaveState } from './SaveState';

const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ usePathname: () => '/', useRouter: () => ({ navigate: mockNavigate }) }));
const mockSettle = jest.fn();
jest.mock('../data/outbox', () => ({
  ...jest.requireActual('../data/outbox'),
  settle: (...given: unknown[]) => mockSettle(...given),
}));

const row = fullRig({ name: 'Knot' });
const body = bodyOf('rigs', row);
const entry = (change: Partial<Pending> = {}): Pending => ({
  ...{ name: 'rigs', id: row.id, base: body, sent: [], body, fate: null, revision: 0, sinceMs: 0, stamp: 's' },
  ...change,
});
const waits = (...entries: Pending[]): void =>
  outboxStore.set(Object.fromEntries(entries.map((each, index) => [`rigs/${index}`, each])));
const text = (): string => (document.body.textContent ?? '').replaceAll('\u00a0', ' ');

beforeEach(() => {
  for (const [store, value] of [
    [reachStore, true],
    [notKeptStore, null],
    [newerStore, false],
  ] as const) {
    (store as { set: (value: unknown) => void }).set(value);
  }
  outboxStore.set({});
  leftBehindStore.set(null);
  void syncChanged({ mark: '', filled: true, got: 3, total: 3 });
});
const shown = (set: () => void): void => {
  render(<SaveState />);
  act(set);
};

it('shows nothing while all is well', () => {
  shown(() => undefined);
  expect(text()).toBe('');
});

it('says before anything else that a device is full, or that a browser keeps nothing', () => {
  shown(() => {
    waits(entry({ clashing: { present: null, archived: false } }));
    notKeptStore.set('full');
  });
  expect(text()).toMatch(/^This device is full/);
  act(() => notKeptStore.set('keepsNothing'));
  expect(text()).toMatch(/^This browser keeps nothing/);
});

it('tells how many wait and since when, with the way to them', () => {
  shown(() => {
    reachStore.set(false);
    waits(entry({ sinceMs: 60_000 }), entry({ sinceMs: 30_000 }));
  });
  expect(text()).toMatch(/2 entries are kept on this device, the oldest since \d/);
  fireEvent.click(screen.getByText('See them'));
  expect(mockNavigate).toHaveBeenCalledWith('/waiting');
});

it('does not call all there what had only partly come before the signal went', () => {
  shown(() => {
    reachStore.set(false);
    void syncChanged({ mark: '', filled: false, got: 2, total: 9 });
  });
  expect(text()).toContain('Not everything of yours had come onto this device before: machines may be missing.');
  act(() => void syncChanged({ mark: '', filled: true, got: 9, total: 9 }));
  expect(text()).not.toContain('machines may be missing');
});

it('asks field by field where both changed the same, and by what was done there', () => {
  const theirs = { ...row, name: 'Ruff', revision: 4 };
  shown(() => waits(entry({ body: { ...body, name: 'Dunlin' }, clashing: { present: theirs, archived: false } })));
  expect(text()).toContain('Dunlin was changed somewhere else too.');
  expect(text()).toContain('Name: here Dunlin, there Ruff.');
  fireEvent.click(screen.getByText('The other one'));
  expect(mockSettle).toHaveBeenCalledWith(`rigs/${row.id}`, 'theirs');

  act(() => waits(entry({ clashing: { present: theirs, archived: true } })));
  expect(text()).toContain('Knot was archived somewhere else after you changed it.');
  act(() => waits(entry({ clashing: { present: null, archived: false } })));
  expect(text()).toContain('Knot was deleted somewhere else after you changed it.');
  act(() => waits(entry({ body: null, fate: 'archive', clashing: { present: theirs, archived: false } })));
  expect(screen.getByText('Archive it all the same')).toBeTruthy();
});

it('tells of what the store lost when it was set back, until that is there again by whatever way', () => {
  const gauge = { id: 'g', kind: 'gauges', row: { id: 'g', revision: 1, name: 'Long stick' }, how: 'missing' } as never;
  const older = { id: row.id, kind: 'rigs', row, how: 'older' } as const;
  const setBack = { to: '2026-10-03T12:00:00.000Z', knew: '2026-10-05T12:00:00.000Z', sameStore: true };
  void mutate(listKey('rigs'), [{ ...row, name: 'Before' }], { revalidate: false });
  shown(() => leftBehindStore.set({ setBack, had: [], rows: [gauge, older] }));
  expect(text()).toMatch(/^The store was set back to .*2026, .*\. 2 entries on this device are newer\.See them$/);
  act(() => void mutate(listKey('rigs'), [{ ...row, revision: 1_000_002 }], { revalidate: false }));
  expect(text()).toMatch(/One entry on this device is newer\.See it$/);
  act(() => leftBehindStore.set({ setBack: { ...setBack, sameStore: false }, had: [], rows: [gauge] }));
  expect(text()).toMatch(/^Another store has taken the place .* One entry on this device is not in it\./);

  act(() => waits(entry({ base: null, clashing: { present: null, archived: false, setBack: true } })));
  expect(text()).toContain('Knot was changed here, and the store was set back to before that.');
  expect(screen.getByText('Let it go')).toBeTruthy();
});

it('tells of what was refused, of what is still coming, and of a newer version', () => {
  const refused = { type: 'x', title: 'x', status: 400, code: 'invalid' as const };
  shown(() => waits(entry({ refused })));
  expect(text()).toContain('One entry was refused. It is kept on this device.');
  act(() => {
    outboxStore.set({});
    void syncChanged({ mark: '', filled: false, got: 400, total: 5000 });
  });
  expect(text()).toContain('Getting everything onto this device: 400 of 5,000.');
  act(() => {
    void syncChanged({ mark: '', filled: true, got: 5000, total: 5000 });
    newerStore.set(true);
  });
  expect(screen.getByText('Take it')).toBeTruthy();
});

it('moves nothing under a finger while a save goes as it should, and says so when it takes long', () => {
  jest.useFakeTimers();
  shown(() => waits(entry()));
  expect(text()).toBe('');
  act(() => jest.advanceTimersByTime(1_000));
  act(() => outboxStore.set({}));
  act(() => waits(entry()));
  act(() => jest.advanceTimersByTime(1_000));
  expect(text()).toBe('');
  act(() => jest.advanceTimersByTime(1_000));
  expect(text()).toContain('Saving … One entry is kept on this device');
  act(() => outboxStore.set({}));
  expect(text()).toBe('');
  // What has waited for the signal is told of until it has arrived.
  act(() => {
    reachStore.set(false);
    waits(entry());
  });
  act(() => jest.advanceTimersByTime(2_000));
  act(() => reachStore.set(true));
  expect(text()).toContain('Saving … One entry is kept on this device');
  jest.useRealTimers();
});

it('says that the clock is off, by how much and which way, and no more once it is right', () => {
  const nowMs = Date.parse('2026-11-28T12:00:00Z');
  const here = (text: string | null, tookMs = 100): void => act(() => checkClock(text, nowMs, nowMs + tookMs));
  render(<SaveState />);
  here('Fri, 27 Nov 2026 12:00:00 GMT');
  expect(text()).toMatch(/^The clock of this device is 24 h ahead\. Set it right/);
  here('Mon, 30 Nov 2026 12:00:00 GMT');
  expect(text()).toMatch(/^The clock of this device is 2 days behind/);
  // What took long, or has no date, tells nothing.
  here('Sat, 28 Nov 2026 12:00:00 GMT', 90_000);
  here(null);
  here('no date');
  expect(text()).toMatch(/2 days behind/);
  here('Sat, 28 Nov 2026 12:01:00 GMT');
  expect(text()).toBe('');
  expect(clockAheadStore.get()).toBe(0);
});
