import { INVITED_ROLES, type Crew } from '@dunlinmoss/contract';
import { useState } from 'react';
import { StyleSheet, View, type TextStyle } from 'react-native';

import { invite, withdrawInvitation, type MadeInvitation } from '../../data/people';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { QrCode } from '../../pictures/QrCode';
import { dayAndTime } from '../../words/format';
import { ROLE_WORDS } from '../../words/people';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

const QR_SIZE = 260;

/** The way into a crew for one more person: a link, and the same for a camera. */
export function Invite({ crew, onChanged }: { readonly crew: Crew; readonly onChanged: () => void }) {
  const [role, setRole] = useState<(typeof INVITED_ROLES)[number]>('member');
  const [made, setMade] = useState<MadeInvitation>();
  const asked = useAsked();
  const link = made && `${globalThis.location.origin}/join#${made.token}`;
  const copy = (): void => {
    void navigator.clipboard.writeText(link!).then(
      () => notify('The link is copied.'),
      () => notify('This browser copies nothing: mark the link and copy it by hand.'),
    );
  };
  return (
    <Panel title="Invite somebody">
      <Choice
        label="They come in as"
        layout="list"
        value={role}
        options={INVITED_ROLES.map((each) => ({
          code: each,
          name: ROLE_WORDS[each].name,
          note: `Can ${ROLE_WORDS[each].may}`,
        }))}
        onChange={(next) => {
          setRole(next);
          setMade(undefined);
        }}
      />
      <Trouble {...asked} />
      {link ? (
        <View style={styles.made}>
          <QrCode text={link} label={`Code for the camera of whoever joins ${crew.name}`} size={QR_SIZE} />
          <Text as="small" style={styles.link}>
            {link}
          </Text>
          <Text as="small" tone="muted">
            {`For one person, once, until ${dayAndTime(made.expiresAt)}. It is shown this one time.`}
          </Text>
          <Action icon="copy" label="Copy the link" onPress={copy} />
        </View>
      ) : (
        <Action
          kind="main"
          label="Make an invitation"
          disabled={asked.busy}
          onPress={() =>
            void asked.run(async () => setMade(await invite(crew.id, role))).then((done) => done && onChanged())
          }
        />
      )}
      {crew.invitations.map(({ id, role: to, expiresAt }) => (
        <View key={id} style={styles.open}>
          <Text as="small" style={styles.words}>
            {`Open: ${ROLE_WORDS[to].name.toLowerCase()}, until ${dayAndTime(expiresAt)}`}
          </Text>
          <Action
            label="Take it back"
            spoken={`Take it back: ${ROLE_WORDS[to].name.toLowerCase()}, until ${dayAndTime(expiresAt)}`}
            disabled={asked.busy}
            onPress={() =>
              void asked
                .run(() => withdrawInvitation(crew.id, id))
                .then((done) => {
                  if (made?.id === id) setMade(undefined);
                  if (done) onChanged();
                })
            }
          />
        </View>
      ))}
    </Panel>
  );
}

const styles = StyleSheet.create({
  made: { gap: 8, alignItems: 'flex-start' },
  // It has no place to break at.
  link: { wordBreak: 'break-all' } as TextStyle,
  open: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1 },
});
