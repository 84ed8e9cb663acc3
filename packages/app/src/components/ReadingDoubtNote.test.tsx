import { psi, type TestLimits } from '@dunlinmoss/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';

import { AppTheme } from '../theme/AppTheme';
import type { QuantityText } from './quantityText';
import { ReadingDoubtNote } from './ReadingDoubtNote';

const PLANNED: Pick<TestLimits, 'plannedKpa' | 'highest'> = { plannedKpa: psi(35), highest: null };

function Reading({ text, limits = PLANNED }: { readonly text: string; readonly limits?: typeof PLANNED | undefined }) {
  const [typed, setTyped] = useState<QuantityText>({ text, unit: 'psi' });
  return (
    <AppTheme>
      <output>{typed.text}</output>
      <ReadingDoubtNote typed={typed} limits={limits} onChange={setTyped} />
    </AppTheme>
  );
}

describe('ReadingDoubtNote', () => {
  it('asks nothing of a reading near its plan, of none, and where there is no plan', () => {
    for (const text of ['30', '20', '60', '', '0', 'x']) {
      const { container, unmount } = render(<Reading text={text} />);
      expect(`${text}: ${container.querySelector('[role="status"]')?.textContent ?? 'nothing'}`).toBe(
        `${text}: nothing`,
      );
      unmount();
    }
    const { container } = render(<Reading text="240" limits={{ plannedKpa: null, highest: null }} />);
    expect(container.querySelector('[role="status"]')).toBeNull();
  });

  it('asks nothing of the road’s pressure, however far below it the plan lies', () => {
    const change = (): void => undefined;
    const note = (roadKpa: number | null) => (
      <AppTheme>
        <ReadingDoubtNote
          typed={{ text: '36', unit: 'psi' }}
          limits={{ plannedKpa: psi(16), highest: null }}
          roadKpa={roadKpa}
          onChange={change}
        />
      </AppTheme>
    );
    const { container, rerender } = render(note(psi(36)));
    expect(container.querySelector('[role="status"]')).toBeNull();
    rerender(note(null));
    expect(container.querySelector('[role="status"]')).not.toBeNull();
  });

  it.each([
    ['2.4', 'bar'],
    ['240', 'kPa'],
  ])('offers %s psi as %s, and takes it with one tap', (text, unit) => {
    const { container } = render(<Reading text={text} />);
    expect(container.textContent!.replace(/\u00a0/g, ' ')).toContain(`${text} psi? The plan here is 35 psi.`);
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^35\\spsi \\(${text}\\s${unit}\\)$`) }));
    expect(container.querySelector('[role="status"]')).toBeNull();
    expect(Number(container.querySelector('output')!.textContent)).toBeCloseTo(35, 0);
  });

  it('asks about what the sidewall forbids, however near the plan', () => {
    const limits = { plannedKpa: psi(35), highest: { code: 'sidewallMaximum', pressureKpa: psi(44) } } as const;
    const { container } = render(<Reading text="60" limits={limits} />);
    expect(container.textContent!.replace(/\u00a0/g, ' ')).toContain('60 psi? The sidewall says at most 44 psi.');
    expect(screen.queryByRole('button')).toBeNull();
  });
});
