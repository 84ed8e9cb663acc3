import { fireEvent, render, screen } from '@testing-library/react';

import { AppTheme } from '../theme/AppTheme';
import { focusFirstInvalid } from './focusFirstInvalid';
import { TextField } from './TextField';
import { Toggle } from './Toggle';
import { WhenField } from './WhenField';

const nothing = (): void => undefined;
afterEach(() => jest.restoreAllMocks());

describe('a field', () => {
  it('says to a screen reader what it is, that it is wrong, and why', () => {
    render(
      <TextField label="Name" spokenLabel="Name of the rig" value="" onChange={nothing} problem="Expected a name." />,
    );
    const input = screen.getByRole('textbox', { name: 'Name of the rig' });
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(input.getAttribute('aria-describedby')!)!.textContent).toContain('Expected a name.');
  });

  it('describes itself by its hint, and by nothing where there is none', () => {
    const { rerender } = render(<TextField label="Name" value="" onChange={nothing} hint="As you call it." />);
    const input = screen.getByRole('textbox');
    expect(input.getAttribute('aria-invalid')).toBe('false');
    expect(document.getElementById(input.getAttribute('aria-describedby')!)!.textContent).toBe('As you call it.');
    rerender(<TextField label="Name" value="" onChange={nothing} />);
    expect(input.getAttribute('aria-describedby')).toBeNull();
  });

  it('takes the focus where it is the first wrong one of a form', () => {
    jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((run) => (run(0), 0));
    render(
      <>
        <TextField label="Right" value="" onChange={nothing} />
        <WhenField kind="date" label="Day" value="" onChange={nothing} problem="Choose the day." />
        <TextField label="Wrong too" value="" onChange={nothing} problem="Expected a name." />
      </>,
    );
    focusFirstInvalid();
    expect(document.activeElement).toBe(screen.getByLabelText('Day'));
  });

  it('takes a day from the browser’s own input', () => {
    const changed = jest.fn();
    render(<WhenField kind="date" label="Day" value="" onChange={changed} />);
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2027-02-28' } });
    expect(changed).toHaveBeenCalledWith('2027-02-28');
  });
});

it('a switch is its whole row, and the space bar turns it', () => {
  const changed = jest.fn();
  render(
    <AppTheme>
      <Toggle label="Bead locks" value={false} onChange={changed} />
    </AppTheme>,
  );
  const row = document.querySelector<HTMLElement>('[role=switch][aria-label="Bead locks"]')!;
  expect(row.getAttribute('aria-checked')).toBe('false');
  fireEvent.keyDown(row, { key: ' ' });
  fireEvent.click(row);
  expect(changed.mock.calls).toEqual([[true], [true]]);
});
