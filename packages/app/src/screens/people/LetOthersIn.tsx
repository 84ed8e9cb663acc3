import { letOthersIn } from '../../data/people';
import { Action } from '../../components/Action';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { CredentialFields, useCredentials } from './CredentialFields';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** One person alone is asked nothing; this is how that changes. */
export function LetOthersIn() {
  const { value, setValue, whole } = useCredentials();
  const asked = useAsked();
  return (
    <Panel title="Share with others">
      <Text>
        Until now Dunlinmoss has one person here, who is asked nothing. Share it, and everybody signs in with a name and
        a pass-phrase, you first. All that is here stays yours.
      </Text>
      <Text as="small" tone="muted">
        Then you make a crew, invite people with a link or a code for their camera, and share machines with them. This
        can’t be turned back.
      </Text>
      <CredentialFields value={value} onChange={setValue} problem={asked.problem} isNew />
      <Trouble {...asked} />
      <Action
        kind="main"
        label="Share with others"
        disabled={asked.busy || value.name.trim() === '' || value.passphrase === ''}
        onPress={() => void asked.run(() => letOthersIn(whole))}
      />
    </Panel>
  );
}
