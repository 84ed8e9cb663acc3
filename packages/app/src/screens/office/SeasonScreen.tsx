import { historiesOf, seasonOf, standingAxles, usualTube } from '@dunlinmoss/domain';
import { useState } from 'react';
import { ScrollView } from 'react-native';

import { useNow } from '../../data/clock';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { saveTable } from '../../components/files';
import { NeedsRig } from '../../components/NeedsRig';
import { Page } from '../../components/Page';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { tubesStore, unitsStore } from '../../settings/preferences';
import { seasonSheet, sheetCells } from '../../words/season';

const DAY_MS = 86_400_000;
/** How far back, in days; null for all there is. */
const SPANS = { quarter: 91, year: 365, all: null } as const;
type Span = keyof typeof SPANS;
const SPAN_WORDS: Record<Span, string> = { quarter: '3 months', year: '12 months', all: 'All' };
const NAME = 'season';

/** A season of all machines on one page. */
export function SeasonScreen() {
  const units = unitsStore.use();
  const tubes = tubesStore.use();
  const rigs = useRows('rigs');
  const outings = useRows('outings');
  const airings = useRows('airings');
  const rounds = useRows('readings');
  const nowMs = useNow(true, 60_000);
  const [span, setSpan] = useState<Span>('year');
  if ([rigs, outings, airings, rounds].some(({ loading }) => loading)) return <Loading />;
  if (rigs.rows.length === 0) return <NeedsRig title="A season" loading={false} why="A season needs machines." />;
  const days = SPANS[span];
  const fromMs = days === null ? 0 : nowMs - days * DAY_MS;
  const kept = { rigs: rigs.rows, outings: outings.rows, airings: airings.rows, rounds: rounds.rows };
  const historyOf = historiesOf(kept);
  const standing = rigs.rows.map((rig) => ({
    rig,
    standing: standingAxles(historyOf(rig), tubes[rig.id] ?? usualTube(rig), nowMs),
  }));
  const sheet = seasonSheet(seasonOf(kept, fromMs, nowMs), standing, {
    from: days === null ? null : new Date(fromMs).toISOString(),
    now: new Date(nowMs).toISOString(),
    units,
  });
  return (
    <Page
      title="A season"
      result={
        <ScrollView horizontal role="region" aria-label="The page" tabIndex={0}>
          <SheetView sheet={sheet} minWidth={340} />
        </ScrollView>
      }
    >
      <Text tone="muted">
        What worked on which ground, how long tires were soft, what went wrong, and what is to be looked at again.
      </Text>
      <Choice
        label="How far back"
        value={span}
        options={(Object.keys(SPANS) as Span[]).map((code) => ({ code, name: SPAN_WORDS[code] }))}
        onChange={setSpan}
      />
      <SheetActions sheet={sheet} name={NAME} paper="A4" />
      <Action icon="download" label="Table (CSV)" onPress={() => void saveTable(NAME, sheetCells(sheet))} />
    </Page>
  );
}
