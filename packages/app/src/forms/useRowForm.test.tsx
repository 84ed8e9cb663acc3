import type { Rig } from '@dunlinmoss/contract';
import { act, fireEvent, render, screen } from '@testing-library/react';

import { FIRST_UNITS } from '../settings/preferences';
import { emptyRig } from '../screens/rigs/rigForm';
import { RowQuantity, RowText } from './fields';
import { useRowForm } from './useRowForm';

jest.mock('../data/outbox', () => ({ save: jest.fn() }));

function OneForm() {
  const form = useRowForm('rigs', {
    draft: 'rig:test',
    row: undefined,
    blank: () => emptyRig('fourWheel'),
    units: FIRST_UNITS,
    onSaved: () => undefined,
  });
  return (
    <>
      <RowText form={form} at="/name" label="Name" />
      <RowQuantity<Rig>
        form={form}
        at="/axles/0/roadKpa"
        label="Road"
        quantity="pressure"
        likely={{ low: 100, high: 500 }}
      />
    </>
  );
}

describe('what is typed in a form', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const type = (text: string): void => {
    fireEvent.change(screen.getByLabelText('Road in psi'), { target: { value: text } });
    act(() => void jest.advanceTimersByTime(700));
  };

  it('is refused where it stands without a save, and no longer once it is put right', () => {
    render(<OneForm />);
    type('soft');
    expect(screen.getByText(/Expected a number/)).toBeTruthy();
    type('36');
    expect(screen.queryByText(/Expected/)).toBeNull();
    // What nobody typed yet is not asked for before the save.
    expect(screen.queryByText(/name/i, { selector: '[role=alert]' })).toBeNull();
  });

  it.each([
    ['3', /3 psi here\? .*Look again|3 psi here\? .*Did you mean/],
    ['300', /Expected/],
  ])('of %s psi is asked about or refused at once', (text, note) => {
    render(<OneForm />);
    type(text);
    expect(screen.getByText(note)).toBeTruthy();
  });
});
