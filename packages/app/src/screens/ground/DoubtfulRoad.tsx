import { bodyOf, isRoadDoubtful, type RigRow } from '@dunlinmoss/contract';
import { familyOf, pressureDoubt } from '@dunlinmoss/core';

import { notify } from '../../components/Notice';
import { PressureDoubtNote } from '../../components/PressureDoubtNote';
import { save } from '../../data/outbox';
import { unitsStore } from '../../settings/preferences';
import { axleName } from '../../words/axles';

/** Road pressures that hardly can be, asked back where the number would stand: one tap answers. */
export function DoubtfulRoad({ rig }: { readonly rig: RigRow }) {
  const unit = unitsStore.use().pressure;
  const { kind, likely } = familyOf(rig.family);
  const doubtful = rig.axles.filter((axle) => isRoadDoubtful(rig.family, axle));
  // Axles with the same pressure are one question.
  const values = [...new Set(doubtful.map(({ roadKpa }) => roadKpa!))];
  const put = async (was: number, change: { roadKpa?: number; confirmedRoadKpa?: number }): Promise<void> => {
    const before = bodyOf('rigs', rig);
    const axles = before.axles.map((axle) => (axle.roadKpa === was ? { ...axle, ...change } : axle));
    const saved = await save('rigs', { ...before, axles }, before);
    if (saved.kind === 'refused') notify(saved.problem.title);
  };
  return values.map((value) => {
    const doubt = pressureDoubt(value, unit, likely.roadKpa);
    const names = doubtful.filter(({ roadKpa }) => roadKpa === value).map(({ position }) => axleName(position, kind));
    return (
      doubt && (
        <PressureDoubtNote
          key={value}
          doubt={doubt}
          unit={unit}
          of={`On the road, ${names.join(' and ').toLowerCase()}: `}
          onRead={(roadKpa) => void put(value, { roadKpa })}
          onRight={() => void put(value, { confirmedRoadKpa: value })}
        />
      )
    );
  });
}
