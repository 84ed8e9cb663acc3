import { bodyOf, type LoadCaseBody, type RigRow } from '@dunlinmoss/contract';
import { tankLevel, withTankLevel } from '@dunlinmoss/domain';
import { useState } from 'react';

import { save } from '../../data/outbox';
import { notify } from '../../components/Notice';
import { Slider } from '../../components/Slider';
import { levelText } from '../../words/level';

interface TankLevelProps {
  readonly rig: RigRow;
  readonly loadCase: LoadCaseBody;
}

/** How full it is today, where the pressure is asked for: kept with the load, so that every place goes by it. */
export function TankLevel({ rig, loadCase }: TankLevelProps) {
  const kept = tankLevel(loadCase);
  const [dragged, setDragged] = useState<number | null>(null);
  if (kept === null) return null;
  const level = dragged ?? kept;
  const keep = async (next: number): Promise<void> => {
    if (next === kept) return setDragged(null);
    const loadCases = rig.loadCases.map((each) => (each.id === loadCase.id ? withTankLevel(each, next) : each));
    const saved = await save('rigs', { ...bodyOf('rigs', rig), loadCases });
    setDragged(null);
    if (saved.kind === 'refused') notify(saved.problem.title);
  };
  return (
    <Slider
      label="How full today"
      shown={levelText(level)}
      value={level}
      min={0}
      max={1}
      step={0.05}
      onChange={setDragged}
      onRelease={(next) => void keep(next)}
    />
  );
}
