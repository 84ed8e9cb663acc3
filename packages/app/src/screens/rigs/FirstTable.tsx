import { familyOf, type FamilyCode } from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';

import { Panel } from '../../components/Panel';
import { Table } from '../../components/Table';
import { Text } from '../../components/Text';
import type { Units } from '../../settings/preferences';
import { AXLE_WORDS } from '../../words/axles';
import { pressure, pressureNumber, speed } from '../../words/format';
import { groundName } from '../../words/grounds';
import type { FirstRow } from './quickRig';

interface FirstTableProps {
  readonly family: FamilyCode;
  readonly rows: readonly FirstRow[];
  readonly units: Units;
}

/** Pressures by ground before any scale, marked as what they are. */
export function FirstTable({ family, rows, units }: FirstTableProps) {
  const bicycle = familyOf(family).kind === 'bicycle';
  const positions = rows[0]?.axles.map(({ position }) => position) ?? [];
  const off = Math.max(0, ...rows.map(({ mayBeOffKpa }) => mayBeOffKpa ?? 0));
  const fast = rows.some(({ fastestKmh }) => fastestKmh !== null);
  return (
    <Panel title={bicycle ? 'By rider and width' : 'Rule of thumb, until weighed'}>
      <Table
        label="Pressures by ground"
        columns={[
          { head: `Cold, ${units.pressure}`, as: 'body' },
          ...positions.map((position) => ({ head: AXLE_WORDS[position] })),
          ...(fast ? [{ head: 'At most', as: 'small', tone: 'muted' } as const] : []),
        ]}
        rows={rows.map(({ ground, axles, fastestKmh }) => ({
          key: ground,
          cells: [
            groundName(ground),
            ...axles.map(({ pressureKpa }) => pressureNumber(pressureKpa, units)),
            ...(fast ? [fastestKmh === null ? '' : speed(fastestKmh, units)] : []),
          ],
        }))}
      />
      {off >= gaugeStepKpa(units) && (
        <Text as="small" tone="muted">
          {`Weighing it may move these by up to ${pressure(off, units)}.`}
        </Text>
      )}
      <Text as="small" tone="rust">
        {bicycle
          ? 'Never past the maximum on the sidewall or rim.'
          : 'Air back to road pressure before pavement. Sidewall, placard, local law and a qualified tire fitter overrule this.'}
      </Text>
    </Panel>
  );
}
