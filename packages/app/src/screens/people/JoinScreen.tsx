import { useEffect, useState } from 'react';
import type { ShownInvitation } from '@dunlinmoss/contract';

import { joinCrew, lookAtInvitation, signIn, useMe } from '../../data/people';
import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { dayAndTime } from '../../words/format';
import { ROLE_WORDS } from '../../words/people';
import { CredentialFields, useCredentials } from './CredentialFields';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** The secret of the link stands behind the #, so that no log has it. */
const tokenHere = (): string => globalThis.location.hash.slice(1);

/** What an invitation is to, and the way in. */
export function JoinScreen() {
  const [token] = useState(tokenHere);
  const [shown, setShown] = useState<ShownInvitation>();
  const { data: me } = useMe();
  const looked = useAsked();
  const asked = useAsked();
  const { value, setValue, whole } = useCredentials();
  const [hasName, setHasName] = useState(false);
  const { run } = looked;
  useEffect(() => {
    void run(async () => setShown(await lookAtInvitation(token)));
    // Once, for the link that was opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [token]);
  const person = me?.signIn ? me.person : null;
  if (!shown) {
    return (
      <Page title="Invitation">
        {looked.busy ? <Loading /> : <Trouble {...looked} />}
        {looked.away && <Action label="Try again" onPress={() => globalThis.location.reload()} />}
      </Page>
    );
  }
  const join = (): void => void asked.run(() => joinCrew(token, person ? null : whole));
  return (
    <Page title={`Join ${shown.crew}`}>
      <Panel>
        <Text>
          {`${shown.by} invites you to ${shown.crew} as a ${ROLE_WORDS[shown.role].name.toLowerCase()}: you can ${ROLE_WORDS[shown.role].may}. The invitation is for one person, until ${dayAndTime(shown.expiresAt)}.`}
        </Text>
        <Text as="small" tone="muted">
          What is yours alone stays yours until you share it.
        </Text>
        {person ? (
          <>
            <Text>{`You are signed in as ${person.name}.`}</Text>
            <Trouble {...asked} />
            <Action kind="main" label="Join" disabled={asked.busy} onPress={join} />
          </>
        ) : (
          <>
            <CredentialFields value={value} onChange={setValue} problem={asked.problem} isNew={!hasName} />
            <Trouble {...asked} />
            <Action
              kind="main"
              label={hasName ? 'Sign in' : 'Join'}
              disabled={asked.busy || value.name.trim() === '' || value.passphrase === ''}
              onPress={() => (hasName ? void asked.run(() => signIn(whole, `/join#${token}`)) : join())}
            />
            <Action
              label={hasName ? 'I am new here' : 'I have a name here already'}
              onPress={() => setHasName(!hasName)}
            />
          </>
        )}
      </Panel>
    </Page>
  );
}
