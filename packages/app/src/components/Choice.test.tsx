import { act, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { AppTheme } from '../theme/AppTheme';

import { Choice } from './Choice';

const GROUNDS = [
  { code: 'gravel', name: 'Gravel' },
  { code: 'snow', name: 'Snow' },
  { code: 'sand', name: 'Sand', note: 'dry' },
];
function Grounds({ start }: { readonly start: string | undefined }) {
  const [value, setValue] = useState(start);
  return (
    <AppTheme>
      <Choice label="Ground" value={value} options={GROUNDS} onChange={setValue} />
    </AppTheme>
  );
}
const radio = (name: string) => screen.getByRole('radio', { name });
const stops = (): string[] =>
  screen.getAllByRole('radio').flatMap((each) => (each.tabIndex === 0 ? [each.getAttribute('aria-label')!] : []));

describe('Choice', () => {
  it('is one stop of the Tab key: the chosen one, or the first', () => {
    const { unmount } = render(<Grounds start="snow" />);
    expect(stops()).toEqual(['Snow']);
    unmount();
    render(<Grounds start={undefined} />);
    expect(stops()).toEqual(['Gravel']);
  });

  it('is walked with the arrows, round and round, and nothing is chosen by walking', () => {
    render(<Grounds start="snow" />);
    act(() => radio('Snow').focus());
    fireEvent.keyDown(radio('Snow'), { key: 'ArrowDown' });
    expect(document.activeElement).toBe(radio('Sand'));
    fireEvent.keyDown(radio('Sand'), { key: 'ArrowRight' });
    expect(document.activeElement).toBe(radio('Gravel'));
    fireEvent.keyDown(radio('Gravel'), { key: 'ArrowUp' });
    expect(document.activeElement).toBe(radio('Sand'));
    expect(radio('Snow').getAttribute('aria-checked')).toBe('true');
  });

  it('is chosen with the space bar or a press', () => {
    render(<Grounds start="snow" />);
    fireEvent.keyDown(radio('Sand'), { key: ' ' });
    expect(radio('Sand').getAttribute('aria-checked')).toBe('true');
    fireEvent.click(radio('Gravel'));
    expect(stops()).toEqual(['Gravel']);
  });
});
