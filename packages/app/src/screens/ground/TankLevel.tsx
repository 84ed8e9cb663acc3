import type { LoadCaseBody } from '@dunlinmoss/contract';
import { tankLevel } from '@dunlinmoss/domain';
import { useState } from 'react';

import { Slider } from '../../components/Slider';
import { levelText } from '../../words/level';

interface TankLevelProps {
  readonly loadCase: LoadCaseBody;
  /** How full it is today, 0 to 1; null goes by the load case. */
  readonly today: number | null;
  readonly onToday: (level: number) => void;
}

/** How full it is today, where the pressure is worked out: of this day and this person, and no change of the load. */
export function TankLevel({ loadCase, today, onToday }: TankLevelProps) {
  const [dragged, setDragged] = useState<number | null>(null);
  const kept = tankLevel(loadCase);
  if (kept === null) return null;
  const level = dragged ?? today ?? kept;
  return (
    <Slider
      label="How full today"
      shown={levelText(level)}
      value={level}
      min={0}
      max={1}
      step={0.05}
      onChange={setDragged}
      onRelease={(next) => {
        onToday(next);
        setDragged(null);
      }}
    />
  );
}
