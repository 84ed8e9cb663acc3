import type { OutingRow, ProofTestRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';
import { findOutings } from '@dunlinmoss/domain';
import { ScrollView } from 'react-native';

import { unitsFor, unitsStore } from '../../settings/preferences';
import { useNow } from '../../data/clock';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { saveTable } from '../../components/files';
import { CardList, LinkCard } from '../../components/LinkCard';
import { ListFrame } from '../../components/ListFrame';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { namesStore } from '../../settings/who';
import { useWide } from '../../theme/useWide';
import { bookSheet } from '../../words/book';
import { day } from '../../words/format';
import { sheetCells } from '../../words/season';
import { groundName } from '../../words/grounds';
import { DECISION_WORDS, pressuresText, stateText } from '../../words/outing';
import { testText } from '../../words/proof/tests';
import { useRouter } from '../../hooks/useRouter';
import { bookQueryStore, FindInBook } from './FindInBook';
import { OutingDetail } from './OutingDetail';

/** What was done and what worked, newest first. */
export function BookScreen() {
  const wide = useWide();
  const router = useRouter();
  const { rows } = useRows('outings');
  const first = findOutings(rows, bookQueryStore.use())[0];
  return (
    <Page title="Book" result={wide && first && <OutingDetail key={first.id} outing={first} />}>
      <OutingList chosen={wide ? first?.id : undefined} />
      <Compared />
      {rows.length > 0 && <TakeOut />}
      {rows.length > 0 && <Action label="A season in one page" onPress={() => router.navigate('/office/season')} />}
    </Page>
  );
}

/** The outings that are looked for, on paper or in a file. */
function TakeOut() {
  const units = unitsStore.use();
  const names = namesStore.use();
  const query = bookQueryStore.use();
  const { rows: outings } = useRows('outings');
  const { rows: rigs } = useRows('rigs');
  const { rows: tests } = useRows('tests');
  return (
    <Unfold label="Take it out: print, PDF, table">
      {() => {
        const found = findOutings(outings, query);
        const sheet = bookSheet({ outings: found, rigs, tests, names, units }, new Date().toISOString());
        return (
          <>
            <SheetActions sheet={sheet} name="book" paper="A4" />
            <Action icon="download" label="Table (CSV)" onPress={() => void saveTable('book', sheetCells(sheet))} />
            <ScrollView horizontal role="region" aria-label="The page" tabIndex={0}>
              <SheetView sheet={sheet} minWidth={900} />
            </ScrollView>
          </>
        );
      }}
    </Unfold>
  );
}

/** Setups that were compared and kept, newest first. */
function Compared() {
  const list = useRows('comparisons');
  if (list.rows.length === 0) return null;
  return (
    <Panel title="Compared setups">
      <ListFrame list={list} empty="" more="Earlier comparisons">
        {(shown) => (
          <CardList>
            {shown.map(({ id, name, keptAt, groundCode }) => (
              <LinkCard key={id} href={{ pathname: '/ground/compare/[id]', params: { id } }}>
                <Text as="strong">{name}</Text>
                <Text as="small" tone="muted">{`${day(keptAt)} · ${groundName(groundCode)}`}</Text>
              </LinkCard>
            ))}
          </CardList>
        )}
      </ListFrame>
    </Panel>
  );
}

/** The outings that are looked for, newest first, each with its rig, ground, pressures, tests and decision. */
export function OutingList({ chosen }: { readonly chosen?: string | undefined }) {
  const list = useRows('outings');
  const { rows: rigs } = useRows('rigs');
  const { rows: tests } = useRows('tests');
  const query = bookQueryStore.use();
  const nowMs = useNow(true, 60_000);
  const rows = findOutings(list.rows, query);
  return (
    <>
      {list.rows.length > 1 && <FindInBook outings={list.rows} found={rows.length} nowMs={nowMs} />}
      <ListFrame
        list={{ ...list, rows }}
        empty={
          list.rows.length > 0
            ? 'No outing is like that. Take something out of “Find”.'
            : 'Nothing written yet. An outing begins on Today, and everything done on it ends up here.'
        }
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
    </>
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
