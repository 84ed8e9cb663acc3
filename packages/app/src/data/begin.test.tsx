import { RESOURCE_NAMES } from '@dunlinmoss/contract';
import { act, render } from '@testing-library/react';

import { useBehind } from './begin';
import { reachStore } from './client';
import { forgetReplica, kindStore, syncStore } from './replica';

const run = jest.fn();
function Page(): null {
  useBehind(run);
  return null;
}
const later = (): void => act(() => jest.advanceTimersByTime(1_000));
const load = (): void =>
  act(() => RESOURCE_NAMES.forEach((name) => kindStore(name).set({ rows: new Map(), loaded: true })));
const filled = (is: boolean) => ({ filled: is, got: 1, total: 2 });

beforeEach(() => {
  jest.useFakeTimers();
  run.mockClear();
  forgetReplica();
  reachStore.set(true);
  render(<Page />);
});
afterEach(() => jest.useRealTimers());

it('waits with all else until the first screen has its rows, from the store and from the server, and is drawn', () => {
  later();
  load();
  act(() => syncStore.set(filled(false)));
  later();
  expect(run).not.toHaveBeenCalled();
  act(() => syncStore.set(filled(true)));
  expect(run).not.toHaveBeenCalled();
  later();
  expect(run).toHaveBeenCalledTimes(1);
});

it('does not wait for what is not to be had without a signal', () => {
  load();
  act(() => {
    syncStore.set(null);
    reachStore.set(false);
  });
  later();
  expect(run).toHaveBeenCalledTimes(1);
});
