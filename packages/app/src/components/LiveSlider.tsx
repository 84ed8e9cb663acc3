import { createElement, useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';

import type { Live } from '../settings/live';
import { usePalette } from '../theme/useLight';
import { FixedBox } from './FixedBox';
import { Text } from './Text';

/** Of its words, px. */
const LINE_HEIGHT = 18;
/** For a thumb, px. */
const KNOB_HEIGHT = 48;

interface LiveSliderProps<T> {
  readonly label: string;
  readonly by: Live<T>;
  /** Its place in what is dragged, and what that means, as `60 %`. */
  readonly at: (value: T) => number;
  readonly shown: (value: T) => string;
  /** What is dragged once it stands there. */
  readonly to: (value: T, place: number) => T;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

/**
 * Something to drag while others follow, the browser's own. Nothing of a frame goes through React: the events are heard
 * where they are, and the words are written into the page.
 */
export function LiveSlider<T>({ label, by, at, shown, to, min, max, step }: LiveSliderProps<T>) {
  const palette = usePalette();
  const rest = by.rest.use();
  const input = useRef<HTMLInputElement>(null);
  const words = useRef<HTMLDivElement>(null);
  const latest = useRef({ at, shown, to, label });
  useEffect(() => {
    latest.current = { at, shown, to, label };
    // Put back by somebody else, it goes there.
    input.current!.value = String(at(rest));
  });
  useEffect(() => {
    const range = input.current!;
    const moved = (): T => latest.current.to(by.get(), Number(range.value));
    const move = (): void => by.move(moved());
    const settle = (): void => by.settle(moved());
    range.addEventListener('input', move);
    range.addEventListener('change', settle);
    const stop = by.follow((value) => {
      const said = latest.current.shown(value);
      // Most of what is dragged beside it says the same again.
      if (said === range.getAttribute('aria-valuetext')) return;
      // Into the text that React has put there, so that it finds it again.
      words.current!.firstElementChild!.firstChild!.textContent = `${latest.current.label}: ${said}`;
      range.setAttribute('aria-valuetext', said);
    });
    return () => {
      range.removeEventListener('input', move);
      range.removeEventListener('change', settle);
      stop();
    };
  }, [by]);
  return (
    <View style={styles.slider}>
      <FixedBox height={LINE_HEIGHT}>
        <div ref={words}>
          <Text as="label" tone="muted" style={styles.words}>
            {`${label}: ${shown(rest)}`}
          </Text>
        </div>
      </FixedBox>
      <FixedBox open height={KNOB_HEIGHT}>
        {createElement('input', {
          ref: input,
          type: 'range',
          'aria-label': label,
          'aria-valuetext': shown(rest),
          min,
          max,
          step,
          defaultValue: at(rest),
          style: { width: '100%', height: KNOB_HEIGHT, margin: 0, accentColor: palette.moss, cursor: 'pointer' },
        })}
      </FixedBox>
    </View>
  );
}

const styles = StyleSheet.create({
  // Room for the ring around what has the focus.
  slider: { gap: 4 },
  // As wide whatever the number: a browser puts its layers together anew where one grows.
  words: { fontVariant: ['tabular-nums'] },
});
