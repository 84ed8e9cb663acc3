import { gaugeStepKpa } from '@dunlinmoss/domain';

import { useEffect, useRef, type PointerEvent } from 'react';

import type { Units } from '../../settings/preferences';
import { kpaAt, Staff, topOf, type StaffAxle } from '../../pictures/Staff';
import { usePalette } from '../../theme/useLight';
import { pressure } from '../../words/format';

interface DragStaffProps {
  /** The axle with the level it is dragged to. */
  readonly axle: StaffAxle;
  readonly units: Units;
  readonly roadName: string;
  readonly onChange: (pressureKpa: number) => void;
}

const KEYS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 5,
  PageDown: -5,
};

/** The staff to be dragged: with a finger, a mouse, or the arrow keys. At most one change a frame goes out. */
export function DragStaff({ axle, units, roadName, onChange }: DragStaffProps) {
  const palette = usePalette();
  const frame = useRef(0);
  const wanted = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  // Before it is dragged past the top of the board, the board stays as it is.
  const board = { ...axle, startKpa: Math.min(axle.startKpa, axle.roadKpa ?? axle.highKpa) };
  const put = (kpa: number): void => {
    wanted.current = kpa;
    if (frame.current !== 0) return;
    frame.current = requestAnimationFrame(() => {
      frame.current = 0;
      onChange(wanted.current);
    });
  };
  const follow = (event: PointerEvent<HTMLDivElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    put(kpaAt((event.clientY - box.top) / box.height, [board]));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${axle.name}, pressure to try`}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.round(topOf([board]))}
      aria-valuenow={Math.round(axle.startKpa)}
      aria-valuetext={pressure(axle.startKpa, units)}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        follow(event);
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) follow(event);
      }}
      onKeyDown={(event) => {
        const steps = KEYS[event.key];
        if (steps === undefined) return;
        event.preventDefault();
        put(Math.max(0, Math.min(topOf([board]), axle.startKpa + steps * gaugeStepKpa(units))));
      }}
      style={{ touchAction: 'none', cursor: 'ns-resize' }}
    >
      <Staff axles={[axle]} board={board} units={units} palette={palette} roadName={roadName} still />
    </div>
  );
}
