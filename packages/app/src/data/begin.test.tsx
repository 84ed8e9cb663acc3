import { RESOURCE_NAMES } from '@dunlinmoss/contract';
import { act, render } from '@testing-library/react';
import { mutate } from 'swr';

import { useBehind } from './begin';
import { reachStore } from './client';
import { listKey, syncChanged } from './lists';

const run = jest.fn();
function Page(): null {
  useBehind(run);
  return null;
}
const later = (): void => act(() => jest.advanceTimersByTime(1_000));
const load = (): void =>
  act(() => RESOURCE_NAMES.forEach((name) => void mutate(listKey(name), [], { revalidate: false })));
const cameSoFar = (filled: boolean): void => act(() => void syncChanged({ mark: '', filled, got: 1, total: 2 }));

beforeEach(async () => {
  jest.useFakeTimers();
  run.mockClear();
  await mutate(() => true, undefined, { revalidate: false });
  reachStore.set(true);
  render(<Page />);
});
afterEach(() => jest.useRealTimers());

it('waits with all else until the first screen has its rows, from the store and from the server, and is drawn', () => {
  later();
  load();
  cameSoFar(false);
  later();
  expect(run).not.toHaveBeenCalled();
  cameSoFar(true);
  expect(run).not.toHaveBeenCalled();
  later();
  expect(run).toHaveBeenCalledTimes(1);
});

it('does not wait for what is not to be had without a signal', () => {
  load();
  act(() => {
    void syncChanged(null);
    reachStore.set(false);
  });
  later();
  expect(run).toHaveBeenCalledTimes(1);
});
