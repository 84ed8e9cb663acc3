import { act, render, screen } from '@testing-library/react';
import { useState } from 'react';

import { InTurn } from './InTurn';

let drawings: string[] = [];
function Part({ name }: { readonly name: string }) {
  drawings.push(name);
  const [begun] = useState(name);
  return <p>{`${begun} ${name}`}</p>;
}
const shown = (): readonly (string | null)[] => screen.queryAllByText(/./).map(({ textContent }) => textContent);
/** One task later. */
const later = (): void => act(() => void jest.advanceTimersToNextTimer());

beforeEach(() => {
  jest.useFakeTimers();
  drawings = [];
});
afterEach(() => jest.useRealTimers());

describe('parts that are drawn in turn', () => {
  const parts = (names: readonly string[], step?: number) => (
    <InTurn {...(step !== undefined && { step })}>
      {false}
      {names.map((name) => (
        <Part key={name} name={name} />
      ))}
    </InTurn>
  );

  it('come a task after the other in their order, and none is drawn again for the next', () => {
    render(parts(['a', 'b', 'c']));
    expect(shown()).toEqual([]);
    later();
    expect(shown()).toEqual(['a a']);
    later();
    later();
    expect(shown()).toEqual(['a a', 'b b', 'c c']);
    expect(drawings).toEqual(['a', 'b', 'c']);
    expect(jest.getTimerCount()).toBe(0);
  });

  it('come several to a task, and those that are added once all stand come at once', () => {
    const { rerender } = render(parts(['a', 'b', 'c'], 2));
    later();
    expect(shown()).toEqual(['a a', 'b b']);
    later();
    rerender(parts(['z', 'a', 'b', 'c'], 2));
    expect(shown()).toEqual(['z z', 'a a', 'b b', 'c c']);
  });

  it('are not drawn where one has left by then', () => {
    const { unmount } = render(parts(['a', 'b']));
    later();
    unmount();
    expect(jest.getTimerCount()).toBe(0);
    expect(drawings).toEqual(['a']);
  });
});
