import { act, render, screen } from '@testing-library/react';

import { WhileSeen } from './WhileSeen';

/** The browser's observer, its answer given by the test. */
class Observer {
  static last: Observer;
  constructor(readonly tell: (entries: { isIntersecting: boolean }[]) => void) {
    Observer.last = this;
  }
  observe = (): void => undefined;
  disconnect = (): void => undefined;
}
const see = (isIntersecting: boolean): void => act(() => Observer.last.tell([{ isIntersecting }]));

describe('WhileSeen', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    Object.assign(globalThis, { IntersectionObserver: Observer });
  });
  afterEach(() => jest.useRealTimers());

  it('follows every change while it is in view', () => {
    const { rerender } = render(<WhileSeen>15 psi</WhileSeen>);
    see(true);
    rerender(<WhileSeen>14 psi</WhileSeen>);
    expect(screen.queryByText('14 psi')).not.toBeNull();
  });

  it('stays as it was out of view, and catches up when nothing changes any more', () => {
    const { rerender } = render(<WhileSeen>15 psi</WhileSeen>);
    see(false);
    for (const text of ['14 psi', '13 psi', '12 psi']) {
      rerender(<WhileSeen>{text}</WhileSeen>);
      act(() => void jest.advanceTimersByTime(100));
      expect(screen.queryByText('15 psi')).not.toBeNull();
    }
    act(() => void jest.advanceTimersByTime(300));
    expect(screen.queryByText('12 psi')).not.toBeNull();
  });

  it('catches up at once when it is scrolled to', () => {
    const { rerender } = render(<WhileSeen>15 psi</WhileSeen>);
    see(false);
    rerender(<WhileSeen>9 psi</WhileSeen>);
    expect(screen.queryByText('9 psi')).toBeNull();
    see(true);
    expect(screen.queryByText('9 psi')).not.toBeNull();
  });
});
