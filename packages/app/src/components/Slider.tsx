import { createElement, type ChangeEvent } from 'react';
import { View } from 'react-native';

import { usePalette } from '../theme/useLight';
import { Text } from './Text';

interface SliderProps {
  readonly label: string;
  /** What the place means, as `60 %`. */
  readonly shown: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly onChange: (value: number) => void;
  /** The finger left it, or a key was let go: for what is worth keeping. */
  readonly onRelease?: (value: number) => void;
}

/** Something to drag from one end to the other: the browser's own, so keyboard and screen reader know it. */
export function Slider({ label, shown, value, min, max, step, onChange, onRelease }: SliderProps) {
  const palette = usePalette();
  return (
    <View>
      <Text as="label" tone="muted">
        {`${label}: ${shown}`}
      </Text>
      {createElement('input', {
        type: 'range',
        'aria-label': label,
        'aria-valuetext': shown,
        min,
        max,
        step,
        value,
        onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(Number(event.target.value)),
        onPointerUp: (event: { currentTarget: HTMLInputElement }) => onRelease?.(Number(event.currentTarget.value)),
        onKeyUp: (event: { currentTarget: HTMLInputElement }) => onRelease?.(Number(event.currentTarget.value)),
        style: { width: '100%', height: 48, margin: 0, accentColor: palette.moss, cursor: 'pointer' },
      })}
    </View>
  );
}
