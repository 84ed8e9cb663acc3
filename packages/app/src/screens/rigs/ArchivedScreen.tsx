import type { RigRow } from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { restoreRow, deleteForGood, useArchived } from '../../data/rows';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { FAMILY_WORDS } from '../../words/families';
import { day } from '../../words/format';
import { tiresText } from './RigList';
import { BesideList } from './RigScreen';

/** Rigs that were archived, each with the way back. */
export function ArchivedScreen() {
  const palette = usePalette();
  const { rows, loading } = useArchived('rigs');
  const back = async (rig: RigRow): Promise<void> => {
    await restoreRow('rigs', rig);
    notify(`${rig.name} is back.`);
  };
  const [sure, setSure] = useState<string | null>(null);
  const remove = async (rig: RigRow): Promise<void> => {
    await deleteForGood('rigs', rig);
    setSure(null);
    notify(`${rig.name} is deleted.`);
  };
  return (
    <BesideList title="Archived rigs">
      {loading ? (
        <Loading />
      ) : rows.length === 0 ? (
        <Empty text="Nothing is archived. A rig that you no longer use can go here, with all that was done with it kept in the Book." />
      ) : (
        <View role="list" style={styles.list}>
          {rows.map((rig) => (
            <View
              key={rig.id}
              role="listitem"
              style={[styles.card, { borderColor: palette.line, backgroundColor: palette.card }]}
            >
              <Text as="strong">{rig.name}</Text>
              <Text
                as="small"
                tone="muted"
              >{`${FAMILY_WORDS[rig.family].name} · ${tiresText(rig)} · last changed ${day(rig.updatedAt)}`}</Text>
              <Action label={`Bring ${rig.name} back`} onPress={() => void back(rig)} />
              {sure === rig.id ? (
                <>
                  <Text role="alert" tone="rust">
                    {`This deletes ${rig.name} and all that was done with it: outings, tests and their photos, air, readings, its log. Only an archive that you saved before brings it back.`}
                  </Text>
                  <Action label={`Delete ${rig.name} and all of it`} onPress={() => void remove(rig)} />
                  <Action label="Keep it" onPress={() => setSure(null)} />
                </>
              ) : (
                <Action label={`Delete ${rig.name} for good`} onPress={() => setSure(rig.id)} />
              )}
            </View>
          ))}
        </View>
      )}
    </BesideList>
  );
}

const styles = StyleSheet.create({
  list: { gap: 8 },
  card: { borderWidth: 1, borderRadius: 3, padding: 12, gap: 6 },
});
