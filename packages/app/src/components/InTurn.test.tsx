import { act, render, screen } from '@testing-library/react';
import { useState, type ReactNode } from 'react';

import { InTurn, LedContext, type Led } from './InTurn';
import { Page } from './Page';

jest.mock('expo-router', () => ({ usePathname: () => '/' }));

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
  const anywhere = (names: readonly string[], step?: number) => (
    <InTurn {...(step !== undefined && { step })}>
      {false}
      {names.map((name) => (
        <Part key={name} name={name} />
      ))}
    </InTurn>
  );
  const led: Led = { hasStood: () => true, stands: () => undefined };
  const parts = (names: readonly string[], step?: number) => (
    <LedContext.Provider value={led}>{anywhere(names, step)}</LedContext.Provider>
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

  it('come with what stands around them where that is said, and the others behind', () => {
    render(
      <LedContext.Provider value={led}>
        <InTurn step={2} begun={1}>
          {['a', 'b', 'c', 'd'].map((name) => (
            <Part key={name} name={name} />
          ))}
        </InTurn>
      </LedContext.Provider>,
    );
    expect(shown()).toEqual(['a a']);
    later();
    expect(shown()).toEqual(['a a', 'b b', 'c c']);
    later();
    expect(drawings).toEqual(['a', 'b', 'c', 'd']);
  });

  it('are drawn at once where nobody was led to', () => {
    render(anywhere(['a', 'b']));
    expect([shown(), jest.getTimerCount()]).toEqual([['a a', 'b b'], 0]);
  });

  it('within others come before what stands below them, which is never pushed down', () => {
    const among = (key: string, names: readonly string[], last?: ReactNode) => (
      <InTurn key={key}>
        {names.map((name) => (
          <Part key={name} name={name} />
        ))}
        {last}
      </InTurn>
    );
    render(
      <LedContext.Provider value={led}>
        <InTurn>
          <Part name="above" />
          {among('outer', ['1', '2'], among('inner', ['2a', '2b']))}
          <Part name="below" />
        </InTurn>
      </LedContext.Provider>,
    );
    const seen: number[] = [];
    while (jest.getTimerCount() > 0) {
      later();
      seen.push(shown().length);
    }
    expect(drawings).toEqual(['above', '1', '2', '2a', '2b', 'below']);
    // One with each task; those that are not parts of their own but hold some take a task too.
    expect(seen.every((count, at) => at === 0 || count - seen[at - 1]! <= 1)).toBe(true);
  });

  it('are not drawn where one has left by then', () => {
    const { unmount } = render(parts(['a', 'b']));
    later();
    unmount();
    jest.runAllTimers();
    expect(drawings).toEqual(['a']);
  });
});

describe('a page', () => {
  const page = (key: string, more: boolean) => (
    <Page
      key={key}
      title="Watch"
      action={<Part name="foot" />}
      result={
        <>
          <Part name="told" />
          <Part name="danger" />
        </>
      }
    >
      <Part name="asked" />
      {more && <Part name="more" />}
    </Page>
  );
  const all = ['asked asked', 'told told', 'danger danger', 'foot foot'];

  it('that one is led to comes from the top, its buttons when everything stands that they go by; anew it comes at once', () => {
    let stood = false;
    const led: Led = { hasStood: () => stood, stands: () => void (stood = true) };
    const screenOf = (key: string, more = false) => (
      <LedContext.Provider value={led}>{page(key, more)}</LedContext.Provider>
    );
    const { rerender } = render(screenOf('first'));
    expect(shown()).toEqual(['Watch']);
    for (let part = 1; part <= all.length; part += 1) {
      later();
      expect([shown(), stood]).toEqual([['Watch', ...all.slice(0, part)], part === all.length]);
    }
    rerender(screenOf('first', true));
    expect(shown()).toEqual(['Watch', 'asked asked', 'more more', ...all.slice(1)]);
    rerender(screenOf('second'));
    expect(shown()).toEqual(['Watch', ...all]);
  });

  it('that stands by itself is drawn as a whole', () => {
    render(page('first', true));
    expect(shown()).toEqual(['Watch', 'asked asked', 'more more', ...all.slice(1)]);
  });
});
