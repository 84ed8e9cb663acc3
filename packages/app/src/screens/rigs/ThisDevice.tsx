import { useState } from 'react';
import useSWR from 'swr';

import { outboxStore } from '../../data/outboxStore';
import { useSyncState } from '../../data/useKind';
import { isKeptForGood, keepForGood, newerStore, shellStore, takeNewer, VERSION } from '../../data/shell';
import { singleKeysStore } from '../../settings/preferences';
import { whoStore } from '../../settings/who';
import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Toggle } from '../../components/Toggle';
import { useRouter } from '../../hooks/useRouter';

/** What is on this device: which version, whether everything has come, and that it stays. */
export function ThisDevice() {
  const router = useRouter();
  const newer = newerStore.use();
  const opens = shellStore.use();
  const sync = useSyncState();
  const { me } = whoStore.use();
  const waiting = Object.keys(outboxStore.use()).length;
  const { data: isKept, mutate } = useSWR('keptForGood', isKeptForGood);
  const [refused, setRefused] = useState(false);
  const ask = async (): Promise<void> => {
    const promised = await keepForGood();
    setRefused(!promised);
    await mutate(promised, { revalidate: false });
  };
  return (
    <Panel title="This device">
      <Text>{`Version ${VERSION}.`}</Text>
      {newer && <Action kind="main" label="Take the newer version" onPress={takeNewer} />}
      <Text as="small" tone="muted">
        {!sync?.filled
          ? 'Not everything of yours has come onto this device yet.'
          : opens
            ? 'Your rigs, outings, tests and readings are on this device: it opens and works without a signal. Logs of monitors and photos that were sent need one.'
            : 'Your rigs, outings, tests and readings are on this device, but this browser can’t open it without a signal: leave it open.'}
      </Text>
      <Toggle
        label="Single keys"
        note="On a keyboard, 1 to 6 lead to the places, u changes the pressure unit, ? lists them all."
        value={singleKeysStore.use()}
        onChange={singleKeysStore.set}
      />
      <Action
        label={me?.signIn ? 'Crew: who works with these machines' : 'Share with others: a crew'}
        onPress={() => router.navigate('/crew')}
      />
      {waiting > 0 && (
        <Action
          label={waiting === 1 ? 'One entry waits here' : `${waiting} entries wait here`}
          onPress={() => router.navigate('/waiting')}
        />
      )}
      {isKept === true ? (
        <Text as="small" tone="muted">
          The browser keeps it also when room is short.
        </Text>
      ) : (
        <>
          <Action label="Keep it here also when room is short" onPress={() => void ask()} />
          {refused && (
            <Text as="small" role="status">
              The browser does not promise that. Add the application to the home screen, and ask once more.
            </Text>
          )}
        </>
      )}
    </Panel>
  );
}
