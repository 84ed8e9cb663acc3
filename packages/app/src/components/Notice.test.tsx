import { act, render, screen } from '@testing-library/react';

import { AppTheme } from '../theme/AppTheme';
import { Notice, notify } from './Notice';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const wait = (ms: number): void => act(() => void jest.advanceTimersByTime(ms));

describe('notify', () => {
  it('gives each notice its own time, though it says the same as the one before', () => {
    render(
      <AppTheme>
        <Notice />
      </AppTheme>,
    );
    act(() => notify('Kept.'));
    wait(3_500);
    act(() => notify('Kept.'));
    wait(2_000);
    expect(screen.queryByText('Kept.')).not.toBeNull();
    wait(6_000);
    expect(screen.queryByText('Kept.')).toBeNull();
  });
});
