import { allMachines, historiesOf, seasonOf, standingAxles, usualTube } from '@dunlinmoss/domain';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { saveTable } from '../../components/files';
import { NeedsRig } from '../../components/NeedsRig';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Loading } from '../../components/States';
import { ScreenTitle } from '../../components/ScreenTitle';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { Toggle } from '../../components/Toggle';
import { Unfold } from '../../components/Unfold';
import { tubesStore, unitsStore } from '../../settings/preferences';
import { createStore } from '../../settings/store';
import { namesStore, whoStore } from '../../settings/who';
import {
  OFFICE_COLUMNS,
  officeCells,
  officeFilter,
  officeLine,
  officeSheet,
  type OfficeColumn,
} from '../../words/office';
import { useRouter } from '../../hooks/useRouter';
import { AllCards } from './AllCards';
import { MachineTable } from './MachineTable';

const EVERY_COLUMN = Object.keys(OFFICE_COLUMNS) as OfficeColumn[];
/** What tells of people. */
const OF_PEOPLE: readonly OfficeColumn[] = ['keeper', 'lastBy'];
const NAME = 'machines';

/** Columns that are not wanted, as this device likes it. */
const hiddenStore = createStore<readonly OfficeColumn[]>(['kind'], 'officeHidden');

/** All machines as a table, for a desk: sorted, filtered, printed, taken along. */
export function OfficeScreen() {
  const router = useRouter();
  const units = unitsStore.use();
  const tubes = tubesStore.use();
  const me = whoStore.use().me?.person?.id;
  const names = namesStore.use();
  const hidden = hiddenStore.use();
  const rigs = useRows('rigs');
  const outings = useRows('outings');
  const airings = useRows('airings');
  const rounds = useRows('readings');
  const tests = useRows('tests');
  const nowMs = useNow(true, 60_000);
  const [text, setText] = useState('');
  const [onPaper, setOnPaper] = useState(false);
  if ([rigs, outings, airings, rounds, tests].some(({ loading }) => loading)) return <Loading />;
  if (rigs.rows.length === 0) return <NeedsRig title="Machines" loading={false} why="A table needs machines." />;
  const kept = { rigs: rigs.rows, outings: outings.rows, airings: airings.rows, rounds: rounds.rows };
  const machines = allMachines({ ...kept, tests: tests.rows, nowMs });
  const { worked } = seasonOf(kept, 0, nowMs);
  const historyOf = historiesOf(kept);
  const all = machines.map((machine) => {
    const standing = standingAxles(historyOf(machine.rig), tubes[machine.rig.id] ?? usualTube(machine.rig), nowMs);
    return officeLine(machine, { names, me, units, nowMs, worked, standing });
  });
  const lines = officeFilter(all, text);
  const possible = EVERY_COLUMN.filter((column) => me !== undefined || !OF_PEOPLE.includes(column));
  const columns = possible.filter((column) => !hidden.includes(column));
  const sheet = officeSheet(lines, columns, new Date(nowMs).toISOString());
  return (
    <ScrollView role="region" aria-label="Machines" tabIndex={0} contentContainerStyle={styles.page}>
      <ScreenTitle>Machines</ScreenTitle>
      <View style={styles.tools}>
        <View style={styles.search}>
          <TextField
            label="Find"
            value={text}
            onChange={setText}
            placeholder="a name, a state, a ground, a person"
            hint={`${lines.length} of ${all.length} machines`}
          />
        </View>
        <View style={styles.columns}>
          <Unfold label="Columns" value={`${columns.length} of ${possible.length}`}>
            {possible
              .filter((column) => column !== 'name')
              .map((column) => (
                <Toggle
                  key={column}
                  label={OFFICE_COLUMNS[column]}
                  value={!hidden.includes(column)}
                  onChange={(on) =>
                    hiddenStore.set(on ? hidden.filter((each) => each !== column) : [...hidden, column])
                  }
                />
              ))}
          </Unfold>
        </View>
      </View>
      <MachineTable lines={lines} columns={columns} />
      {lines.length === 0 && <Text>No machine has that. Take a word out of “Find”.</Text>}
      <View style={styles.out}>
        <Action label="A season in one page" onPress={() => router.navigate('/office/season')} />
        <Action icon="download" label="Table (CSV)" onPress={() => void saveTable(NAME, officeCells(lines, columns))} />
        <Action
          label={onPaper ? 'Put the page away' : 'As a page: print, PDF, text'}
          onPress={() => setOnPaper(!onPaper)}
        />
      </View>
      <View style={styles.cards}>
        <Unfold label="A card for each machine: one PDF">
          {() => (
            <AllCards
              rigs={lines.flatMap(({ id }) => rigs.rows.find((rig) => rig.id === id) ?? [])}
              tests={tests.rows}
              outings={outings.rows}
            />
          )}
        </Unfold>
      </View>
      {onPaper && (
        <>
          <SheetActions sheet={sheet} name={NAME} paper="A4" />
          <ScrollView horizontal>
            <SheetView sheet={sheet} minWidth={Math.max(340, 130 * columns.length)} />
          </ScrollView>
        </>
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: 20, paddingBottom: 32, gap: 14 },
  tools: { flexDirection: 'row', flexWrap: 'wrap', gap: 14, alignItems: 'flex-start' },
  search: { flexGrow: 1, flexBasis: 280, maxWidth: 480 },
  columns: { flexGrow: 1, flexBasis: 220, maxWidth: 320 },
  cards: { maxWidth: 480 },
  out: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});
