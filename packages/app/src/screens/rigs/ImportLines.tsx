import type { LoadsEvent, ImportOutcome, LoadsAction, LoadsOutcome } from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { countText } from '../../words/format';
import { unitsStore } from '../../settings/preferences';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { lineText, LOADS_ACTION_WORDS, rowText } from '../../words/imports';

export type Done = Extract<LoadsEvent, { done: unknown }>['done'];

export function Rows({ outcome, onTake }: { readonly outcome: ImportOutcome; readonly onTake: () => void }) {
  return (
    <Panel title="This file would">
      <Text as="strong">{`${outcome.added} added, ${outcome.alreadyThere} here already.`}</Text>
      <Paged items={outcome.rows.map((row) => rowText(row))} />
      {outcome.added > 0 ? (
        <Action kind="main" label={outcome.added === 1 ? 'Add it' : `Add these ${outcome.added}`} onPress={onTake} />
      ) : (
        <Text>Nothing in it is new here.</Text>
      )}
    </Panel>
  );
}

interface LinesProps {
  readonly lines: readonly LoadsOutcome[];
  readonly done: Done;
  readonly onTake: () => void;
}

export function Lines({ lines, done, onTake }: LinesProps) {
  const units = unitsStore.use();
  const actions = (Object.keys(done.counts) as LoadsAction[]).filter((action) => done.counts[action] > 0);
  const refused = done.counts.refuse;
  const toDo = done.counts.add + done.counts.change;
  const [shown, setShown] = useState<LoadsAction | 'all'>(refused > 0 ? 'refuse' : 'all');
  const chosen = shown === 'all' ? lines : lines.filter(({ action }) => action === shown);
  return (
    <Panel title="This table would">
      <Text as="strong">
        {`${actions.map((action) => `${countText(done.counts[action])} ${LOADS_ACTION_WORDS[action]}`).join(', ')}.`}
      </Text>
      {toDo > 0 && (
        <Text>
          {`It touches ${done.rigs === 1 ? 'one rig' : `${countText(done.rigs)} rigs`} and makes ${done.newCases === 1 ? 'one new load case' : `${countText(done.newCases)} new load cases`}.`}
        </Text>
      )}
      {refused > 0 ? (
        <Text role="alert" tone="rust">
          {`${refused === 1 ? 'One line is' : `${countText(refused)} lines are`} refused, so nothing can be taken in. Mend ${refused === 1 ? 'it' : 'them'} in the file and choose it again.`}
        </Text>
      ) : toDo > 0 ? (
        <Action kind="main" label={`Take ${countText(toDo)} loads in`} onPress={onTake} />
      ) : (
        <Text>There is nothing to do.</Text>
      )}
      {actions.length > 1 && (
        <Choice
          label="Show"
          value={shown}
          options={[
            { code: 'all' as const, name: 'All lines' },
            ...actions.map((code) => ({ code, name: LOADS_ACTION_WORDS[code] })),
          ]}
          onChange={setShown}
        />
      )}
      <Paged key={shown} items={chosen.map((line) => () => lineText(line, units))} />
    </Panel>
  );
}

const AT_ONCE = 100;

/** A long list of sentences, a hundred at a time; each made only when it is shown. */
function Paged({ items }: { readonly items: readonly (string | (() => string))[] }) {
  const [count, setCount] = useState(AT_ONCE);
  return (
    <>
      <View role="list" style={styles.list}>
        {items.slice(0, count).map((item, index) => (
          <Text key={index} role="listitem" as="small">
            {typeof item === 'string' ? item : item()}
          </Text>
        ))}
      </View>
      {items.length > count && (
        <Action label={`More: ${countText(items.length - count)} left`} onPress={() => setCount(count + AT_ONCE)} />
      )}
    </>
  );
}

const styles = StyleSheet.create({
  list: { gap: 4 },
});
