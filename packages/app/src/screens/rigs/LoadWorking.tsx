import type { LoadCaseBody, Rig } from '@dunlinmoss/contract';
import { familyOf, type RigLoads } from '@dunlinmoss/core';

import { unitsStore } from '../../settings/preferences';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Table } from '../../components/Table';
import { AXLE_WORDS } from '../../words/axles';
import { length, mass } from '../../words/format';

interface LoadWorkingProps {
  readonly rig: Pick<Rig, 'family' | 'axles'>;
  readonly loadCase: Pick<LoadCaseBody, 'method' | 'unladen'>;
  readonly loads: RigLoads;
}

/** How the loads come about, line by line: to be done again with pencil and paper. */
export function LoadWorking({ rig, loadCase, loads }: LoadWorkingProps) {
  const units = unitsStore.use();
  const { kind } = familyOf(rig.family);
  const carried = (position: string): number =>
    loads.shares.reduce((sum, { onAxles }) => sum + onAxles.find((each) => each.position === position)!.loadKg, 0);
  return (
    <Unfold label="Working: what each thing puts on each axle">
      <Text as="small">
        Lever law, exact: a thing puts on the rear its weight × its distance behind the front axle ÷ the wheelbase, and
        the rest on the front.
        {rig.axles.some(({ position }) => position === 'rear2')
          ? ' Axles behind the first share alike: our assumption.'
          : ''}
      </Text>
      <Table
        label="Loads by thing and axle"
        columns={[
          { head: 'Thing', share: 1 },
          ...rig.axles.map(({ position }) => ({ head: AXLE_WORDS[position], width: 72 })),
        ]}
        rows={[
          {
            key: 'empty',
            cells: [
              <Name
                key="name"
                name={kind === 'bicycle' ? 'Rider and bicycle' : 'Empty'}
                note={loadCase.method === 'posture' ? 'common practice, no source' : undefined}
              />,
              ...loads.axles.map(({ position, loadKg }) => mass(loadKg - carried(position), units)),
            ],
          },
          ...loads.shares.map(({ item, massKg, onAxles }, index) => ({
            key: String(index),
            cells: [
              <Name
                key="name"
                name={`${index + 1}. ${item.name || 'Thing'}`}
                note={`${mass(massKg, units)} at ${length(item.behindMm, units)}`}
              />,
              ...onAxles.map(({ loadKg }) => mass(loadKg, units)),
            ],
          })),
          {
            key: 'together',
            isSum: true,
            cells: ['Together', ...loads.axles.map(({ loadKg }) => mass(loadKg, units))],
          },
        ]}
      />
    </Unfold>
  );
}

const Name = ({ name, note }: { readonly name: string; readonly note: string | undefined }) => (
  <>
    <Text as="small">{name}</Text>
    {note !== undefined && (
      <Text as="small" tone="muted">
        {note}
      </Text>
    )}
  </>
);
