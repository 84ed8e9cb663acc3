import { compareTapes, type RoutineTest, type TapedWheel, type TapeReading, type TapeSurface } from '@dunlinmoss/core';
import { routineTestOf } from '@dunlinmoss/domain';

import { useTestsOf } from '../../../data/tests';
import { Panel } from '../../../components/Panel';
import { Text } from '../../../components/Text';
import { wheelKeyName } from '../../../words/air';
import { length, pressure } from '../../../words/format';
import type { OpenRoutine } from '../openRoutine';

const tapedOf = (wheel: string, { setup, runs }: RoutineTest): TapedWheel => ({
  wheel,
  surface: setup.surface as TapeSurface,
  readings: runs as unknown as readonly TapeReading[],
});

/** Every wheel and ground that was taped on this rig, side by side, and how far soft ground lets it in. */
export function TapesBeside({ open: { rig, row, code, values, test, units } }: { readonly open: OpenRoutine }) {
  const others = useTestsOf(rig.id).flatMap(({ kind, id, counts, details }): TapedWheel[] =>
    kind === code && id !== row?.id && counts ? [tapedOf(details.wheel, routineTestOf(kind, details, rig.family))] : [],
  );
  if (others.length === 0) return null;
  const { lines, softAgainstFirm } = compareTapes([...others, ...(test ? [tapedOf(values.wheel, test)] : [])]);
  return (
    <Panel title="Beside what was taped before">
      {lines
        .filter(({ points }) => points.length > 0)
        .map(({ wheel, surface, points }) => (
          <Text key={`${wheel} ${surface}`} as="small">
            {`${wheelKeyName(wheel)}, ${surface === 'firm' ? 'firm' : 'soft'} ground: ${points
              .map(
                ({ pressureKpa, lengthMm, times }) =>
                  `${length(lengthMm, units)} at ${pressure(pressureKpa, units)}${times > 1 ? ` (${times} times)` : ''}`,
              )
              .join(', ')}`}
          </Text>
        ))}
      {softAgainstFirm.map(({ wheel, pressureKpa, longerMm }) => (
        <Text key={wheel} as="small" tone="moss">
          {`${wheelKeyName(wheel)} at ${pressure(pressureKpa, units)}: ${length(Math.abs(longerMm), units)} ${longerMm >= 0 ? 'longer' : 'shorter'} on soft ground than on firm, for it sinks in.`}
        </Text>
      ))}
    </Panel>
  );
}
