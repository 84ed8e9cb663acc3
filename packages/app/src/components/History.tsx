import { bodyOf, mayAs, type ResourceName, type RowOf } from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { save } from '../data/outbox';
import { useHistory, type PastRow } from '../data/people';
import { namesStore, roleHere, whoStore } from '../settings/who';
import { unitsStore } from '../settings/preferences';
import { dayAndTime } from '../words/format';
import { changesText } from '../words/history';
import { personName } from '../words/people';
import { Action } from './Action';
import { notify } from './Notice';
import { Text } from './Text';
import { Unfold } from './Unfold';

const DEED_WORDS: Record<PastRow['deed'], string> = {
  saved: 'Saved',
  archived: 'Archived',
  restored: 'Brought back',
};

interface HistoryProps<Name extends ResourceName> {
  readonly name: Name;
  readonly row: RowOf<Name>;
}

/** Who changed what in a row and when, with the way back to each version. */
export function History<Name extends ResourceName>(props: HistoryProps<Name>) {
  const names = namesStore.use();
  const { savedBy, updatedAt } = props.row as { savedBy?: string; updatedAt: string };
  const who = savedBy === undefined ? undefined : names[savedBy];
  return (
    <Unfold label="History" value={`Changed ${dayAndTime(updatedAt)}${who === undefined ? '' : ` by ${who}`}`}>
      <Versions {...props} />
    </Unfold>
  );
}

const FIRST_SHOWN = 5;

function Versions<Name extends ResourceName>({ name, row }: HistoryProps<Name>) {
  const units = unitsStore.use();
  const names = namesStore.use();
  const mayChange = mayAs(roleHere(whoStore.use()), 'member');
  const { data: versions, error } = useHistory(name, row.id, row.revision);
  const [shown, setShown] = useState(FIRST_SHOWN);
  if (!versions) {
    return <Text as="small">{error ? 'Its history is with the server: it needs a signal.' : 'Fetching …'}</Text>;
  }
  if (versions.length === 0) return <Text as="small">Nothing was changed since it came here.</Text>;
  const goBack = async (version: PastRow): Promise<void> => {
    const before = bodyOf(name, row);
    const saved = await save(name, { ...version.body, revision: row.revision } as never);
    if (saved.kind === 'refused') return notify(saved.problem.title);
    const now = saved.kind === 'saved' ? saved.row.revision : row.revision + 1;
    notify('It is as it was then.', () => void save(name, { ...before, revision: now } as never));
  };
  return (
    <>
      {versions.slice(0, shown).map((version, index) => {
        const earlier = versions[index + 1];
        const changes = version.deed === 'saved' && earlier ? changesText(earlier.body, version.body, units) : [];
        const by = version.savedBy === undefined ? '' : ` by ${personName(names, version.savedBy)}`;
        const isNow = version.revision === row.revision;
        return (
          <View key={version.revision} style={styles.version}>
            <Text as="label">{`${DEED_WORDS[version.deed]} ${dayAndTime(version.savedAt)}${by}`}</Text>
            {changes.map((text) => (
              <Text key={text} as="small">
                {text}
              </Text>
            ))}
            {version.deed === 'saved' && !isNow && mayChange && (
              <Action
                label="Make it as it was then"
                spoken={`Make it as it was then, ${dayAndTime(version.savedAt)}`}
                onPress={() => void goBack(version)}
              />
            )}
          </View>
        );
      })}
      {versions.length > shown && <Action label="Earlier ones" onPress={() => setShown(shown + FIRST_SHOWN)} />}
    </>
  );
}

const styles = StyleSheet.create({
  version: { gap: 4, alignItems: 'flex-start' },
});
