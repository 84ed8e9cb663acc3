import { tankTable } from '@dunlinmoss/domain';

import { Panel } from '../../components/Panel';
import { Table } from '../../components/Table';
import type { PlanQuery } from '../../hooks/usePlanQuery';
import { AXLE_WORDS } from '../../words/axles';
import { pressureNumber } from '../../words/format';
import { groundName } from '../../words/grounds';

const STATE_WORDS = { full: 'full', half: 'half', empty: 'empty' } as const;

/** A machine whose load comes and goes: on the road and here, full, half and empty, all at once. */
export function FullAndEmpty({ question }: { readonly question: PlanQuery }) {
  const { rig, tests, asked, units } = question;
  const rows = tankTable(rig, tests, asked, units);
  if (rows.length === 0) return null;
  return (
    <Panel title="Full and empty">
      <Table
        label="Pressures by load"
        columns={[
          { head: `Cold, ${units.pressure}`, as: 'body' },
          ...rows[0]!.axles.map(({ position }) => ({ head: AXLE_WORDS[position] })),
        ]}
        rows={rows.map(({ ground, state, axles }) => ({
          key: `${ground} ${state}`,
          cells: [
            `${groundName(ground)}, ${STATE_WORDS[state]}`,
            ...axles.map(({ startKpa }) => pressureNumber(startKpa, units)),
          ],
        }))}
      />
    </Panel>
  );
}
