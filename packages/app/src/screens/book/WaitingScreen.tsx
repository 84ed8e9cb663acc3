import type { ResourceName } from '@dunlinmoss/contract';
import { type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { discard, takeEntries, tryAgain } from '../../data/outbox';
import { outboxReadStore, outboxStore } from '../../data/outboxStore';
import { keyOf, type Pending } from '../../data/pending';
import { waitingPhotosStore } from '../../data/photos';
import type { LeftBehindRow } from '../../data/leftBehind';
import { bringBack, letGoLeftBehind, useLeftBehind } from '../../data/setBack';
import { Action } from '../../components/Action';
import { FilePicker } from '../../components/FilePicker';
import { fileName, giveFile } from '../../components/files';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Empty, Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { unitsStore } from '../../settings/preferences';
import { dayAndTime } from '../../words/format';
import {
  calledText,
  carriedFile,
  KIND_OF_ROW,
  LEFT_BEHIND,
  pendingText,
  readCarried,
  setBackText,
  waitingOf,
} from '../../words/waiting';
import { useRouter } from '../../hooks/useRouter';

/** Where a row is changed. */
const FORM_OF: Partial<Record<ResourceName, (id: string) => Href>> = {
  rigs: (id) => ({ pathname: '/rigs/[id]', params: { id } }),
  gauges: (id) => ({ pathname: '/rigs/gauge/[id]', params: { id } }),
  tools: (id) => ({ pathname: '/rigs/tool/[id]', params: { id } }),
  outings: (id) => ({ pathname: '/book/[id]', params: { id } }),
  comparisons: (id) => ({ pathname: '/ground/compare/[id]', params: { id } }),
  routes: (id) => ({ pathname: '/ground/route/[id]', params: { id } }),
};

const JSON_TYPE = { type: 'application/json' };

/** Everything that this device keeps and the store does not have yet, and how it can be carried there by hand. */
export function WaitingScreen() {
  const { all } = waitingOf(outboxStore.use());
  const isRead = outboxReadStore.use();
  const photos = waitingPhotosStore.use();
  const left = useLeftBehind();
  const take = async (file: File): Promise<void> => {
    const read = readCarried(await file.text());
    if ('problem' in read) return notify(read.problem);
    const taken = await takeEntries(read.entries);
    notify(
      taken === read.entries.length
        ? `${taken === 1 ? 'One entry is' : `${taken} entries are`} taken in.`
        : `${taken} of ${read.entries.length} entries are taken in; of the others this device has something newer.`,
    );
  };
  return (
    <Page
      title="What waits here"
      result={
        <Panel title="Carry it in a file">
          <Text as="small" tone="muted">
            Where this device gets no signal for long: save what waits as a file, and take that in on a device that has
            one. Nothing is saved twice by it. Photos are not in the file.
          </Text>
          {all.length > 0 && (
            <Action
              icon="download"
              label="Save what waits as a file"
              onPress={() => giveFile('dunlinmoss-waiting.json', new Blob([carriedFile(all)], JSON_TYPE))}
            />
          )}
          <FilePicker label="Read such a file" accept=".json" onPick={(file) => void take(file)} />
        </Panel>
      }
    >
      {!isRead && <Loading />}
      {left && <LeftBehind {...left} />}
      {isRead && all.length === 0 && photos === 0 && !left && <Empty text="Everything is saved on the server." />}
      {all.map((entry) => (
        <Entry key={keyOf(entry.name, entry.id)} entry={entry} />
      ))}
      {photos > 0 && <Text>{`${photos === 1 ? 'One photo waits' : `${photos} photos wait`} to be sent.`}</Text>}
    </Page>
  );
}

/** What this device has of the time that the store lost, to be brought back or let go. */
function LeftBehind({ setBack, rows }: NonNullable<ReturnType<typeof useLeftBehind>>) {
  const letGo = async (which: readonly LeftBehindRow[]): Promise<void> => {
    const undo = await letGoLeftBehind(which);
    notify(which.length === 1 ? 'Let go.' : `${which.length} entries are let go.`, () => void undo());
  };
  const isOne = rows.length === 1;
  return (
    <Panel title="The store was set back">
      <Text>{setBackText(setBack, rows.length)}</Text>
      <Text as="small" tone="muted">
        Somebody restored a backup. What you let go is gone from this device; other devices may still have it.
      </Text>
      <Action kind="main" label={isOne ? 'Bring it back' : 'Bring all back'} onPress={() => void bringBack(rows)} />
      {rows.map((each) => (
        <View key={keyOf(each.kind, each.id)} style={styles.left}>
          <Text as="label">{calledText({ name: each.kind, base: null, body: each.row as never })}</Text>
          <Text as="small" tone="muted">{`${KIND_OF_ROW[each.kind]} · ${LEFT_BEHIND[each.how]}`}</Text>
          {!isOne && (
            <View style={styles.choices}>
              <Action
                label={each.how === 'archived' ? 'Archive it again' : 'Bring it back'}
                onPress={() => void bringBack([each])}
              />
              <Action
                label={each.how === 'archived' ? 'Leave it there' : 'Let it go'}
                onPress={() => void letGo([each])}
              />
            </View>
          )}
        </View>
      ))}
      <Action kind="hurt" label={isOne ? 'Let it go' : 'Let all go'} onPress={() => void letGo(rows)} />
    </Panel>
  );
}

const styles = StyleSheet.create({
  left: { gap: 4 },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});

function Entry({ entry }: { readonly entry: Pending }) {
  const router = useRouter();
  const units = unitsStore.use();
  const key = keyOf(entry.name, entry.id);
  const called = calledText(entry);
  const form = FORM_OF[entry.name];
  const letGo = async (): Promise<void> => {
    const undo = await discard(key);
    notify(`What was entered in ${called} is gone.`, () => void undo());
  };
  return (
    <Panel title={called}>
      <Text
        as="small"
        tone="muted"
      >{`${KIND_OF_ROW[entry.name]} · since ${dayAndTime(new Date(entry.sinceMs).toISOString())}`}</Text>
      <Text tone={entry.refused ? 'rust' : 'ink'}>{pendingText(entry, units)}</Text>
      {entry.refused && (
        <>
          {form && entry.body && <Action label="Open it and mend it" onPress={() => router.navigate(form(entry.id))} />}
          <Action label="Try it once more" onPress={() => void tryAgain(key)} />
          <Action
            label="Copy it out"
            onPress={() => giveFile(fileName(called, 'json'), new Blob([carriedFile([entry])], JSON_TYPE))}
          />
          <Action kind="hurt" label="Let it go" onPress={() => void letGo()} />
        </>
      )}
    </Panel>
  );
}
