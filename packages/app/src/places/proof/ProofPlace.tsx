import { familyOf } from '@dunlinmoss/core';
import { useRouter } from 'expo-router';

import { useOpenOuting } from '../../data/outings';
import { useRows } from '../../data/rows';
import { Action } from '../../pieces/Action';
import { Page } from '../../pieces/Page';
import { Panel } from '../../pieces/Panel';
import { Empty, Loading } from '../../pieces/States';
import { Text } from '../../pieces/Text';
import { TestList } from './TestList';

/** Tests of footprint and what they said. */
export function ProofPlace() {
  const router = useRouter();
  const { rows: all } = useRows('rigs');
  // A bicycle stands on a print too short for poles and a tape.
  const rigs = all.filter(({ family }) => familyOf(family).kind !== 'bicycle');
  const { outing } = useOpenOuting();
  const { rows, loading, hasMore, more } = useRows('tests');
  const names = new Map(all.map(({ id, name }) => [id, name]));
  const first = rigs.find(({ id }) => id === outing?.rigId) ?? rigs[0];
  const begin = (rig?: string): void =>
    router.navigate({ pathname: '/proof/tape/[id]', params: { id: 'new', ...(rig !== undefined && { rig }) } });

  return (
    <Page
      title="Proof"
      action={
        first && (
          <Action kind="main" label={`Test ${first.name}`} onPress={() => begin(outing ? undefined : first.id)} />
        )
      }
      result={
        <>
          {loading ? (
            <Loading />
          ) : rows.length === 0 ? (
            <Empty text="No test yet. A tape and two pressures on one wheel show whether the tire does what the numbers say." />
          ) : (
            <TestList tests={rows} rigNames={names} />
          )}
          {hasMore && <Action label="Earlier tests" onPress={more} />}
        </>
      }
    >
      <Panel title="Tape test">
        <Text>
          Measure how long one wheel stands on the ground, at two or more pressures. Takes a tape, two straight poles
          and five minutes.
        </Text>
        {rigs
          .filter(({ id }) => id !== first?.id)
          .map(({ id, name }) => (
            <Action key={id} label={`Test ${name}`} onPress={() => begin(id)} />
          ))}
      </Panel>
    </Page>
  );
}
