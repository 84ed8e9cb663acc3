import { fireEvent, render, screen } from '@testing-library/react';
import { Text } from 'react-native';

import { UnfoldRow } from './UnfoldRow';

const items = (onPick: (name: string) => void) =>
  ['Rig', 'Load'].map((label) => ({
    label,
    value: `${label} chosen`,
    content: (close: () => void) => (
      <Text
        onPress={() => {
          onPick(label);
          close();
        }}
      >
        {`all of ${label}`}
      </Text>
    ),
  }));

describe('UnfoldRow', () => {
  it('opens one at a time, and closes it when something is picked', () => {
    const picked: string[] = [];
    render(<UnfoldRow items={items((name) => picked.push(name))} />);
    expect(screen.queryByText('all of Rig')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /^Rig/ }));
    expect(screen.queryByText('all of Rig')).not.toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /^Load/ }));
    expect(screen.queryByText('all of Rig')).toBeNull();
    fireEvent.click(screen.getByText('all of Load'));
    expect(picked).toEqual(['Load']);
    expect(screen.queryByText('all of Load')).toBeNull();
  });

  it('says which one is open', () => {
    render(<UnfoldRow items={items(() => undefined)} />);
    const rig = screen.getByRole('button', { name: /^Rig/ });
    expect(rig.getAttribute('aria-expanded')).toBe('false');
    fireEvent.click(rig);
    expect(rig.getAttribute('aria-expanded')).toBe('true');
    fireEvent.click(rig);
    expect(screen.queryByText('all of Rig')).toBeNull();
  });
});
