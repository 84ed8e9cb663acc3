import { useRef } from 'react';
import type { View } from 'react-native';

/**
 * One of a few is one stop of the Tab key: the chosen one, else the first; the arrows go from one to the next, round and
 * round. Gives the properties of each.
 */
export function useRoving(count: number, chosen: number) {
  const items = useRef<(View | null)[]>([]);
  const stop = Math.max(0, chosen);
  return (index: number) => ({
    ref: (item: View | null): void => {
      items.current[index] = item;
    },
    tabIndex: index === stop ? (0 as const) : (-1 as const),
    onArrow: (direction: 1 | -1): void => items.current[(index + direction + count) % count]?.focus(),
  });
}
