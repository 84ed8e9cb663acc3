import { useState } from 'react';

import { hasPasskeys, recover, signIn, signInByPasskey } from '../../data/people';
import { outboxStore } from '../../data/outboxStore';
import { addressStore, whoStore } from '../../settings/who';
import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { CredentialFields, useCredentials } from './CredentialFields';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** Stands in front of everything while nobody is signed in. */
export function SignInScreen() {
  const { value, setValue, whole } = useCredentials();
  const [code, setCode] = useState<string | null>(null);
  const asked = useAsked();
  const before = whoStore.use().me?.person;
  const waiting = Object.keys(outboxStore.use()).length;
  const recovering = code !== null;
  const go = (): void =>
    void asked.run(() => (recovering ? recover({ ...whole, code }) : signIn(whole, addressStore.get())));
  return (
    <Page title="Sign in">
      <Panel>
        <Text>
          {before && before.name !== ''
            ? `${before.name} is not signed in on this device any more.`
            : 'Several people use Dunlinmoss here.'}
        </Text>
        {before && waiting > 0 && (
          <Text tone="muted">
            {`${waiting === 1 ? 'One entry waits' : `${waiting} entries wait`} here for ${before.name}, and for nobody else: sent as soon as they sign in again.`}
          </Text>
        )}
        {recovering && (
          <TextField
            label="Recovery code"
            value={code}
            onChange={setCode}
            hint="Four groups of four, printed before or given by a lead"
          />
        )}
        <CredentialFields value={value} onChange={setValue} problem={asked.problem} isNew={recovering} />
        <Trouble {...asked} />
        <Action
          kind="main"
          label={recovering ? 'Set the new pass-phrase and sign in' : 'Sign in'}
          disabled={asked.busy || value.name.trim() === '' || value.passphrase === ''}
          onPress={go}
        />
        {!recovering && hasPasskeys() && (
          <Action
            label="With a passkey of this device"
            disabled={asked.busy}
            onPress={() => void asked.run(() => signInByPasskey(whole.device, addressStore.get()))}
          />
        )}
        <Action
          label={recovering ? 'I know my pass-phrase' : 'I forgot my pass-phrase'}
          onPress={() => setCode(recovering ? null : '')}
        />
        {!recovering && (
          <Text as="small" tone="muted">
            New here? Ask somebody of the crew for an invitation: a link, or a code for your camera.
          </Text>
        )}
      </Panel>
    </Page>
  );
}
