import { familyOf, routineOf, routinesFor } from '@dunlinmoss/core';
import { useLocalSearchParams, useRouter, type Href } from 'expo-router';

import { useOpenOuting } from '../../data/outings';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { CardList, LinkCard } from '../../components/LinkCard';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { TestList } from '../../components/TestList';

const TAPE = {
  kind: 'tape',
  name: 'Tape',
  tells: 'How long one wheel stands on the ground, at two or more pressures.',
  minutes: 5,
} as const;

/** The tests that suit a rig, each with what it tells and costs, and what was tested already. */
export function ProofScreen() {
  const router = useRouter();
  const params = useLocalSearchParams<{ rig?: string }>();
  const { rows: rigs, loading: loadingRigs } = useRows('rigs');
  const { outing } = useOpenOuting();
  const rig = rigs.find(({ id }) => id === (params.rig ?? outing?.rigId)) ?? rigs[0];
  const { rows, loading, hasMore, more } = useRows(
    'tests',
    rig ? { rigId: rig.id } : null,
    ({ rigId }) => rigId === rig?.id,
  );
  if (loadingRigs) {
    return (
      <Page title="Proof">
        <Loading />
      </Page>
    );
  }
  if (!rig) {
    return (
      <Page title="Proof">
        <Empty
          text="A test needs a rig: load, tires and placard."
          action={{ label: 'Describe a rig', onPress: () => router.navigate('/rigs/new') }}
        />
      </Page>
    );
  }
  const { kind } = familyOf(rig.family);
  const tests = [
    // A bicycle stands on a print too short for poles and a tape.
    ...(kind === 'bicycle' ? [] : [TAPE]),
    ...routinesFor(kind).map((code) => ({
      kind: code,
      name: ROUTINE_WORDS[code].name,
      tells: ROUTINE_WORDS[code].tells,
      minutes: routineOf(code).minutes,
    })),
  ];
  const onOuting = outing?.rigId === rig.id;

  return (
    <Page
      title="Proof"
      result={
        <>
          <Panel title={`${rig.name}: done`}>
            {loading ? (
              <Loading />
            ) : rows.length === 0 ? (
              <Text tone="muted">
                No test yet. Begin with a print or a tape: they show whether the tire does what the numbers say.
              </Text>
            ) : (
              <>
                <Action
                  label="What they add up to"
                  onPress={() => router.navigate({ pathname: '/proof/learned', params: { rig: rig.id } })}
                />
                <TestList tests={rows} rigs={rigs} />
              </>
            )}
            {hasMore && <Action label="Earlier tests" onPress={more} />}
          </Panel>
        </>
      }
    >
      <Unfold label="Rig" value={rig.name}>
        {(close) => (
          <Choice
            label="Rig"
            layout="list"
            value={rig.id}
            options={rigs.map(({ id, name }) => ({ code: id, name }))}
            onChange={(id) => {
              router.setParams({ rig: id });
              close();
            }}
          />
        )}
      </Unfold>
      {onOuting && <Text tone="muted">What you test now is kept with the outing under way.</Text>}
      <CardList>
        {tests.map(({ kind: code, name, tells, minutes }) => (
          <LinkCard
            key={code}
            href={{ pathname: `/proof/${code}/[id]`, params: { id: 'new', rig: rig.id } } as unknown as Href}
          >
            <Text as="strong">{name}</Text>
            <Text as="small">{tells}</Text>
            <Text as="small" tone="muted">{`about ${minutes} min`}</Text>
          </LinkCard>
        ))}
      </CardList>
    </Page>
  );
}
