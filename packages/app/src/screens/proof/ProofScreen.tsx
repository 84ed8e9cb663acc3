import { familyOf, routineOf, routinesFor } from '@dunlinmoss/core';
import { useLocalSearchParams } from 'expo-router';

import { useOutingOf } from '../../data/outings';
import { chosenRigStore, useChosenRig } from '../../hooks/useChosenRig';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { CardList, LinkCard } from '../../components/LinkCard';
import { NeedsRig } from '../../components/NeedsRig';
import { ListFrame } from '../../components/ListFrame';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { TestList } from '../../components/TestList';
import { useRouter } from '../../hooks/useRouter';

/** The tests that suit a rig, each with what it tells and costs, and what was tested already. */
export function ProofScreen() {
  const router = useRouter();
  const params = useLocalSearchParams<{ rig?: string }>();
  const { rows: rigs } = useRows('rigs');
  const { rig, loading: loadingRigs } = useChosenRig(params.rig);
  const { outing } = useOutingOf(rig?.id);
  const list = useRows('tests', rig ? { rigId: rig.id } : null);
  if (!rig) {
    return <NeedsRig title="Proof" loading={loadingRigs} why="A test needs a rig: load, tires and placard." />;
  }
  const { kind } = familyOf(rig.family);

  return (
    <Page
      title="Proof"
      result={
        <Panel title={`${rig.name}: done`}>
          <ListFrame
            list={list}
            empty="No test yet. Begin with a print or a tape: they show whether the tire does what the numbers say."
            more="Earlier tests"
          >
            {(rows) => (
              <>
                <Action
                  label="What they add up to"
                  onPress={() => router.navigate({ pathname: '/proof/learned', params: { rig: rig.id } })}
                />
                <TestList tests={rows} rigs={rigs} />
              </>
            )}
          </ListFrame>
        </Panel>
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
              chosenRigStore.set(id);
              router.setParams({ rig: id });
              close();
            }}
          />
        )}
      </Unfold>
      {outing && <Text tone="muted">What you test now is kept with the outing under way.</Text>}
      <CardList>
        {routinesFor(kind).map((code) => (
          <LinkCard
            key={code}
            href={{ pathname: '/proof/[kind]/[id]', params: { kind: code, id: 'new', rig: rig.id } }}
          >
            <Text as="strong">{ROUTINE_WORDS[code].name}</Text>
            <Text as="small">{ROUTINE_WORDS[code].tells}</Text>
            <Text as="small" tone="muted">{`about ${routineOf(code).minutes} min`}</Text>
          </LinkCard>
        ))}
      </CardList>
    </Page>
  );
}
