import type { OutingRow, ProofTestRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';

import { unitsFor, unitsStore } from '../../settings/preferences';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { CardList, LinkCard } from '../../components/LinkCard';
import { ListFrame } from '../../components/ListFrame';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { useWide } from '../../theme/useWide';
import { day } from '../../words/format';
import { groundName } from '../../words/grounds';
import { DECISION_WORDS, pressuresText, stateText } from '../../words/outing';
import { testText } from '../../words/proof/tests';
import { OutingDetail } from './OutingDetail';

/** What was done and what worked, newest first. */
export function BookScreen() {
  const wide = useWide();
  const { rows } = useRows('outings');
  const first = rows[0];
  return (
    <Page title="Book" result={wide && first && <OutingDetail key={first.id} outing={first} />}>
      <OutingList chosen={wide ? first?.id : undefined} />
      <Compared />
    </Page>
  );
}

/** Setups that were compared and kept, newest first. */
function Compared() {
  const { rows, hasMore, more } = useRows('comparisons');
  if (rows.length === 0) return null;
  return (
    <Panel title="Compared setups">
      <CardList>
        {rows.map(({ id, name, keptAt, groundCode }) => (
          <LinkCard key={id} href={{ pathname: '/ground/compare/[id]', params: { id } }}>
            <Text as="strong">{name}</Text>
            <Text as="small" tone="muted">{`${day(keptAt)} · ${groundName(groundCode)}`}</Text>
          </LinkCard>
        ))}
      </CardList>
      {hasMore && <Action label="Earlier comparisons" onPress={more} />}
    </Panel>
  );
}

/** The outings, newest first, each with its rig, ground, pressures, tests and decision. */
export function OutingList({ chosen }: { readonly chosen?: string | undefined }) {
  const list = useRows('outings');
  const { rows } = list;
  const { rows: rigs } = useRows('rigs');
  const ids = rows.slice(0, 50).map(({ id }) => id);
  const { rows: tests } = useRows(
    'tests',
    { limit: '100', ...(ids.length > 0 && { outingIds: ids.join(',') }) },
    ({ outingId }) => outingId !== null && ids.includes(outingId),
  );
  return (
    <ListFrame
      list={list}
      empty="Nothing written yet. An outing begins on Today, and everything done on it ends up here."
      more="Earlier outings"
    >
      {(shown) => (
        <CardList>
          {shown.map((outing) => (
            <OutingLine
              key={outing.id}
              outing={outing}
              tests={tests.filter(({ outingId }) => outingId === outing.id)}
              chosen={outing.id === chosen}
              family={rigs.find(({ id }) => id === outing.rigId)?.family}
            />
          ))}
        </CardList>
      )}
    </ListFrame>
  );
}

interface OutingLineProps {
  readonly outing: OutingRow;
  readonly tests: readonly ProofTestRow[];
  readonly chosen: boolean;
  /** Undefined where the rig was archived. */
  readonly family: FamilyCode | undefined;
}

function OutingLine({ outing, tests, chosen, family }: OutingLineProps) {
  const own = unitsStore.use();
  const units = family ? unitsFor(own, family) : own;
  const { title, groundCode, rigName, startedAt, pressures, decision } = outing;
  return (
    <LinkCard href={{ pathname: '/book/[id]', params: { id: outing.id } }} chosen={chosen}>
      <Text as="small" tone="muted">{`${day(startedAt)} · ${stateText(outing, family)}`}</Text>
      <Text as="strong">{title || groundName(groundCode)}</Text>
      <Text as="small">{`${rigName} · ${groundName(groundCode)}`}</Text>
      {pressures.length > 0 && <Text as="small">{`Set: ${pressuresText(pressures, units)}`}</Text>}
      {tests.map((test) => (
        <Text key={test.id} as="small">
          {testText(test, family ?? 'fourWheel')}
        </Text>
      ))}
      {decision && (
        <Text as="small" tone="moss">
          {DECISION_WORDS[decision.code] + (decision.note && `: ${decision.note}`)}
        </Text>
      )}
    </LinkCard>
  );
}
