import { gaugeStepKpa } from '@dunlinmoss/domain';
import { useRef, type CSSProperties } from 'react';

import { Moves } from '../../pictures/Moves';
import { kpaAt, Staff, staffMoving, topOf, type StaffAxle } from '../../pictures/Staff';
import { useRested } from '../../settings/live';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import { pressure } from '../../words/format';
import { useDrag } from './useDrag';
import type { Tried, Trying } from './whatIfValues';

interface DragStaffProps {
  /** The axle with the plan's own level. */
  readonly axle: StaffAxle;
  readonly trying: Trying;
  readonly units: Units;
  readonly roadName: string;
}

const KEYS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 5,
  PageDown: -5,
};

/** The staff to be dragged: with a finger, a mouse, or the arrow keys. */
export function DragStaff({ axle, trying, units, roadName }: DragStaffProps) {
  const palette = usePalette();
  const { live } = trying;
  const rest = useRested(live);
  const box = useRef<HTMLDivElement>(null);
  // Dragged past the top of the board, the board stays as it is.
  const board = { ...axle, startKpa: axle.lowKpa };
  const topKpa = topOf([board]);
  const at = ({ pressureKpa }: Tried): StaffAxle => ({ ...axle, startKpa: pressureKpa });
  const slider = ({ pressureKpa }: Tried) => ({
    'aria-valuenow': Math.round(pressureKpa),
    'aria-valuetext': pressure(pressureKpa, units),
  });
  useDrag(box, {
    move: (share) => trying.move(kpaAt(share, topKpa)),
    settle: (share) => trying.settle(kpaAt(share, topKpa)),
  });
  return (
    <Moves inTurn by={live} at={(tried) => ({ slider: slider(tried) })}>
      <div
        ref={box}
        data-part="slider"
        role="slider"
        tabIndex={0}
        aria-label={`${axle.name}, pressure to try`}
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={Math.round(topKpa)}
        {...slider(rest)}
        onKeyDown={(event) => {
          const steps = KEYS[event.key];
          if (steps === undefined) return;
          event.preventDefault();
          const kpa = live.get().pressureKpa + steps * gaugeStepKpa(units);
          trying.settle(Math.max(0, Math.min(topKpa, kpa)));
        }}
        style={{ touchAction: 'none', userSelect: 'none', cursor: 'ns-resize' }}
      >
        <div style={UNTOUCHED}>
          <Moves by={live} at={(tried) => staffMoving(at(tried), board, units, roadName)}>
            <Staff axles={[at(rest)]} board={board} units={units} palette={palette} roadName={roadName} still />
          </Moves>
        </div>
      </div>
    </Moves>
  );
}

/** A finger is on the box and never on a line of the drawing: between those it would leave one and enter the next. */
const UNTOUCHED: CSSProperties = { pointerEvents: 'none' };
