import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { changePassphrase, deleteMe, endSession, ownCodes, signOut, useSessions } from '../../data/people';
import { whoStore } from '../../settings/who';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { printSheet } from '../../components/print';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { Unfold } from '../../components/Unfold';
import { dayAndTime } from '../../words/format';
import { credentialProblems } from '../../words/people';
import { Passkeys } from './Passkeys';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** Who is signed in here and elsewhere, and the ways back in. */
export function YouPanel() {
  const name = whoStore.use().me?.person?.name;
  const { data: sessions, mutate } = useSessions();
  const asked = useAsked();
  return (
    <Panel title={`You: ${name}`}>
      {sessions?.items.map(({ id, device, seenAt, current }) => (
        <View key={id} style={styles.session}>
          <View style={styles.words}>
            <Text as="strong">{current ? `${device} (this one)` : device}</Text>
            <Text as="small" tone="muted">
              {`Seen ${dayAndTime(seenAt)}`}
            </Text>
          </View>
          {!current && (
            <Action
              label="Sign it out"
              spoken={`Sign it out: ${device}, seen ${dayAndTime(seenAt)}`}
              disabled={asked.busy}
              onPress={() => void asked.run(() => endSession(id)).then(() => mutate())}
            />
          )}
        </View>
      ))}
      <Passkeys />
      <Codes />
      <NewPassphrase />
      <DeleteMe />
      <Trouble {...asked} />
      <Action label="Sign out here" disabled={asked.busy} onPress={() => void asked.run(signOut)} />
      <Text as="small" tone="muted">
        What waits on this device stays on it until you sign in again, and nobody else sends it.
      </Text>
    </Panel>
  );
}

const SHEET = 'recovery-codes';

/** Codes to print, for the day the pass-phrase is forgotten. */
function Codes() {
  const [codes, setCodes] = useState<readonly string[]>([]);
  const asked = useAsked();
  return (
    <Unfold label="Recovery codes">
      <Text as="small">
        Eight codes, each good once. Print them and keep them where you keep keys. New ones end the ones before.
      </Text>
      {codes.length > 0 && (
        <View nativeID={SHEET} style={styles.codes}>
          {codes.map((code) => (
            <Text key={code} as="strong">
              {code}
            </Text>
          ))}
        </View>
      )}
      <Trouble {...asked} />
      {codes.length === 0 ? (
        <Action
          label="Make new codes"
          disabled={asked.busy}
          onPress={() => void asked.run(async () => setCodes(await ownCodes()))}
        />
      ) : (
        <Action icon="printer" label="Print them" onPress={() => printSheet(SHEET, 'A6')} />
      )}
    </Unfold>
  );
}

function NewPassphrase() {
  const [before, setBefore] = useState('');
  const [after, setAfter] = useState('');
  const asked = useAsked();
  return (
    <Unfold label="Change the pass-phrase">
      <TextField label="Pass-phrase until now" value={before} fillsIn="current-password" onChange={setBefore} />
      <TextField
        label="New pass-phrase"
        value={after}
        fillsIn="new-password"
        onChange={setAfter}
        problem={asked.problem ? credentialProblems(asked.problem).passphrase : undefined}
        hint="All other devices are signed out"
      />
      <Trouble {...asked} />
      <Action
        label="Change it"
        disabled={asked.busy || before === '' || after === ''}
        onPress={() =>
          void asked
            .run(() => changePassphrase(before, after))
            .then((done) => {
              if (!done) return;
              setBefore('');
              setAfter('');
              notify('The pass-phrase is changed.');
            })
        }
      />
    </Unfold>
  );
}

function DeleteMe() {
  const [passphrase, setPassphrase] = useState('');
  const asked = useAsked();
  return (
    <Unfold label="Delete me and all that is mine">
      <Text as="small">
        Your own machines, outings, tests and readings are deleted for good; take them along as a file first (Rigs,
        Files). What you did in a crew stays with it, without your name. This can’t be undone.
      </Text>
      <TextField label="Pass-phrase" value={passphrase} fillsIn="current-password" onChange={setPassphrase} />
      <Trouble {...asked} />
      <Action
        kind="hurt"
        label="Delete me for good"
        disabled={asked.busy || passphrase === ''}
        onPress={() => void asked.run(() => deleteMe(passphrase))}
      />
    </Unfold>
  );
}

const styles = StyleSheet.create({
  session: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1 },
  codes: { gap: 4 },
});
