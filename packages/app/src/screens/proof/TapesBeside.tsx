import type { Wheel } from '@dunlinmoss/contract';
import { compareTapes, type TapedWheel } from '@dunlinmoss/core';
import { tapeOf } from '@dunlinmoss/domain';

import { unitsStore } from '../../settings/preferences';
import { useTestsOf } from '../../data/tests';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { length, pressure } from '../../words/format';
import { WHEEL_WORDS } from '../../words/tape';

interface TapesBesideProps {
  readonly rigId: string;
  /** The test that is open; it stands among the others as it is typed. */
  readonly open: { readonly id: string | undefined; readonly taped: TapedWheel };
}

/** Every wheel and ground that was taped on this rig, side by side, and how far soft ground lets it in. */
export function TapesBeside({ rigId, open }: TapesBesideProps) {
  const units = unitsStore.use();
  const rows = useTestsOf(rigId);
  const others = rows.flatMap((test): TapedWheel[] =>
    test.kind === 'tape' && test.id !== open.id && test.counts
      ? [{ wheel: test.details.wheel, surface: test.details.surface, readings: tapeOf(test).readings }]
      : [],
  );
  if (others.length === 0) return null;
  const { lines, softAgainstFirm } = compareTapes([...others, open.taped]);
  return (
    <Panel title="Beside what was taped before">
      {lines
        .filter(({ points }) => points.length > 0)
        .map(({ wheel, surface, points }) => (
          <Text key={`${wheel} ${surface}`} as="small">
            {`${WHEEL_WORDS[wheel as Wheel]}, ${surface === 'firm' ? 'firm' : 'soft'} ground: ${points
              .map(
                ({ pressureKpa, lengthMm, times }) =>
                  `${length(lengthMm, units)} at ${pressure(pressureKpa, units)}${times > 1 ? ` (${times} times)` : ''}`,
              )
              .join(', ')}`}
          </Text>
        ))}
      {softAgainstFirm.map(({ wheel, pressureKpa, longerMm }) => (
        <Text key={wheel} as="small" tone="moss">
          {`${WHEEL_WORDS[wheel as Wheel]} at ${pressure(pressureKpa, units)}: ${length(Math.abs(longerMm), units)} ${longerMm >= 0 ? 'longer' : 'shorter'} on soft ground than on firm, for it sinks in.`}
        </Text>
      ))}
    </Panel>
  );
}
