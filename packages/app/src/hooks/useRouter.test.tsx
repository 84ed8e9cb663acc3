import { renderHook } from '@testing-library/react';

import { useRouter } from './useRouter';

const mockGone: unknown[] = [];
let mockPath = '/';
const mockRouter = {
  navigate: (to: unknown) => mockGone.push(to),
  replace: (to: unknown) => mockGone.push(to),
  setParams: (to: unknown) => mockGone.push(to),
  back: () => mockGone.push('back'),
};
jest.mock('expo-router', () => ({ useRouter: () => mockRouter, usePathname: () => mockPath }));

beforeEach(() => {
  mockGone.length = 0;
  mockPath = '/';
  globalThis.history.replaceState(null, '', '/');
});

describe('useRouter', () => {
  it('leads on from the screen that asks', () => {
    const { result } = renderHook(() => useRouter());
    result.current.navigate('/book');
    result.current.back();
    expect(mockGone).toEqual(['/book', 'back']);
  });

  it('drags nobody back who has gone elsewhere while something was saved, the screen taken down or not', () => {
    const { result, unmount } = renderHook(() => useRouter());
    const { navigate, replace } = result.current;
    globalThis.history.replaceState(null, '', '/ground');
    navigate('/');
    unmount();
    replace('/');
    expect(mockGone).toEqual([]);
  });

  it('still leads on where what was saved took its screen down', () => {
    mockPath = '/book/1';
    globalThis.history.replaceState(null, '', '/book/1');
    const { result, unmount } = renderHook(() => useRouter());
    const { navigate } = result.current;
    unmount();
    navigate('/book');
    expect(mockGone).toEqual(['/book']);
  });

  it('goes with a screen that stays while its address changes', () => {
    const { result, rerender } = renderHook(() => useRouter());
    globalThis.history.replaceState(null, '', '/ground');
    mockPath = '/ground';
    rerender();
    result.current.navigate('/air');
    expect(mockGone).toEqual(['/air']);
  });
});
