import { act, renderHook } from '@testing-library/react';

import { EMPTY_QUANTITY, type QuantityText } from '../../components/quantityText';
import { useWheelReadings } from './readings';

const LEFT = { position: 'front', wheel: 'left' } as const;
const RIGHT = { position: 'front', wheel: 'right' } as const;
const psi = (text: string): QuantityText => ({ ...EMPTY_QUANTITY, text });
const shown = (draft: string) =>
  renderHook(({ name }) => useWheelReadings(name, () => EMPTY_QUANTITY), { initialProps: { name: draft } });

beforeEach(() => globalThis.localStorage.clear());

describe('useWheelReadings', () => {
  it('keeps what was typed while a save was on its way, and lets go of what was saved', () => {
    const { result } = shown('round');
    act(() => result.current.type(LEFT, psi('36')));
    act(() => result.current.type(RIGHT, psi('37')));
    const { clear } = result.current;
    act(() => result.current.type(LEFT, psi('42')));
    act(clear);
    expect(result.current.textOf(LEFT).text).toBe('42');
    expect(result.current.textOf(RIGHT).text).toBe('');
    // Also after leaving the screen.
    expect(shown('round').result.current.textOf(LEFT).text).toBe('42');
  });

  it('has nothing of one round in the next, and the end of the one takes nothing from the other', () => {
    const { result, rerender } = shown('cold');
    act(() => result.current.type(LEFT, psi('36')));
    const { clear } = result.current;
    rerender({ name: 'after an hour' });
    expect(result.current.textOf(LEFT).text).toBe('');
    act(() => result.current.type(LEFT, psi('42')));
    act(clear);
    expect(result.current.textOf(LEFT).text).toBe('42');
    rerender({ name: 'cold' });
    expect(result.current.textOf(LEFT).text).toBe('');
  });
});
