import { psi } from '@dunlinmoss/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { AppTheme } from '../theme/AppTheme';

import { FIRST_UNITS, unitsStore } from '../settings/preferences';
import { QuantityField } from './QuantityField';
import type { QuantityText } from './quantityText';

const changed = jest.fn();
function Field({ start, problem }: { start: QuantityText; problem?: string }) {
  const [value, setValue] = useState(start);
  const change = (next: QuantityText): void => {
    changed(next);
    setValue(next);
  };
  return (
    <AppTheme>
      <QuantityField
        label="Front"
        quantity="pressure"
        value={value}
        onChange={change}
        stepsFrom={110}
        problem={problem}
      />
    </AppTheme>
  );
}
const input = (): HTMLInputElement => screen.getByLabelText(/^Front in /);

beforeEach(() => {
  changed.mockClear();
  unitsStore.set(FIRST_UNITS);
});

describe('QuantityField', () => {
  it('names its unit, to the eye and to a screen reader', () => {
    render(<Field start={{ text: '36', unit: 'psi' }} />);
    expect(screen.getByLabelText('Front in psi')).toBe(input());
    expect(screen.getAllByText('Front, psi').length).toBeGreaterThan(0);
  });

  it('steps from where it stands, in the chosen unit', () => {
    render(<Field start={{ text: '36', unit: 'psi' }} />);
    fireEvent.click(screen.getByRole('button', { name: 'Front, less' }));
    expect(changed.mock.calls).toEqual([[{ text: '35', unit: 'psi', exact: expect.closeTo(psi(35), 9) }]]);
  });

  it('keeps what cannot be read, with the problem beside it', () => {
    render(<Field start={{ text: '', unit: '' }} problem="Expected a number, like 36 or 2.4." />);
    fireEvent.change(input(), { target: { value: 'firm' } });
    expect(input().value).toBe('firm');
    expect(screen.getByRole('alert').textContent).toBe('Expected a number, like 36 or 2.4.');
  });

  it('shows the same pressure when the unit is switched elsewhere', () => {
    unitsStore.set({ ...FIRST_UNITS, pressure: 'bar' });
    render(<Field start={{ text: '36', unit: 'psi' }} />);
    expect(input().value).toBe('2.48');
    expect(changed).not.toHaveBeenCalled();
  });
});
