import { act, render, screen } from '@testing-library/react';
import { SafeAreaProvider } from 'react-native-safe-area-context';

import { PaperTheme } from '../theme/PaperTheme';
import { NoticeHost, notify } from './Notice';
import { NoticeBar } from './NoticeBar';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** A screen without a notch. */
const WHOLE = { frame: { x: 0, y: 0, width: 390, height: 844 }, insets: { top: 0, left: 0, right: 0, bottom: 0 } };

const wait = (ms: number): void => act(() => void jest.advanceTimersByTime(ms));

describe('notify', () => {
  it('gives each notice its own time, though it says the same as the one before', () => {
    render(
      <SafeAreaProvider initialMetrics={WHOLE}>
        <PaperTheme>
          <NoticeHost Bar={NoticeBar} />
        </PaperTheme>
      </SafeAreaProvider>,
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
