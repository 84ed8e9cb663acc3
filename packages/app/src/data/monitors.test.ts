import type { MonitorPacket } from '@dunlinmoss/contract';

import { joinPackets } from './monitors';

const packet = (sequence: number, wheel: 'left' | 'right' = 'left'): MonitorPacket => ({
  position: 'front',
  wheel,
  sequence,
  sensedAt: new Date(sequence * 1000).toISOString(),
  pressureKpa: 110,
  tempC: 12,
});

describe('joinPackets', () => {
  it('has each packet once, in order, however often and in whatever order they come', () => {
    const joined = joinPackets([packet(1), packet(2)], [packet(2), packet(0), packet(1, 'right')]);
    expect(joined.map(({ sequence, wheel }) => [sequence, wheel])).toEqual([
      [0, 'left'],
      [1, 'left'],
      [1, 'right'],
      [2, 'left'],
    ]);
  });
});
