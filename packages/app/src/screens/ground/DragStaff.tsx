import { gaugeStepKpa } from '@dunlinmoss/domain';
import { createElement, memo, useState, type ChangeEvent, type CSSProperties, type FocusEvent } from 'react';
import { StyleSheet, View } from 'react-native';

import { BOARD_INSET, Staff, topOf, type StaffAxle } from '../../pictures/Staff';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { pressure } from '../../words/format';

interface DragStaffProps {
  /** The axle with the plan's own level. */
  readonly axle: StaffAxle;
  readonly pressureKpa: number;
  readonly onChange: (pressureKpa: number) => void;
  readonly units: Units;
  readonly roadName: string;
}

/** The thumb of a range input in Chromium, px; its middle is at the value. Others differ by a few px: assumption. */
const THUMB_PX = 16;

/**
 * The staff to drag: the picture, and over it the browser's own range input, which brings keyboard and screen reader. A
 * step is what a gauge shows.
 */
export const DragStaff = memo(function DragStaff({ axle, pressureKpa, onChange, units, roadName }: DragStaffProps) {
  const palette = usePalette();
  const stepKpa = gaugeStepKpa(units);
  const [hasRing, setRing] = useState(false);
  // Dragged past the top of the board, the board stays as it is.
  const board = { ...axle, startKpa: axle.lowKpa };
  return (
    <View>
      <Staff
        axles={[{ ...axle, startKpa: pressureKpa }]}
        board={board}
        units={units}
        palette={palette}
        roadName={roadName}
        still
      />
      <View
        style={[
          styles.over,
          hasRing && { outlineColor: palette.waterDeep, outlineWidth: 3, outlineStyle: 'solid' as const },
        ]}
      >
        {createElement('input', {
          type: 'range',
          'aria-label': `${axle.name}, pressure to try`,
          'aria-orientation': 'vertical',
          'aria-valuetext': pressure(pressureKpa, units),
          min: 0,
          max: Math.floor(topOf([board]) / stepKpa),
          step: 1,
          value: Math.round(pressureKpa / stepKpa),
          onChange: (event: ChangeEvent<HTMLInputElement>) => onChange(Number(event.target.value) * stepKpa),
          onFocus: (event: FocusEvent<HTMLInputElement>) => setRing(event.target.matches(':focus-visible')),
          onBlur: () => setRing(false),
          style: INPUT,
        })}
      </View>
    </View>
  );
});

/** Only its ring is seen: the picture below shows the value. From the foot up. */
const INPUT: CSSProperties = {
  writingMode: 'vertical-lr',
  direction: 'rtl',
  width: '100%',
  height: '100%',
  margin: 0,
  opacity: 0,
  cursor: 'ns-resize',
  touchAction: 'none',
};

const styles = StyleSheet.create({
  over: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: `calc(${100 * BOARD_INSET.top}% - ${THUMB_PX / 2}px)` as '0%',
    bottom: `calc(${100 * BOARD_INSET.bottom}% - ${THUMB_PX / 2}px)` as '0%',
  },
});
