import { StyleSheet, View } from 'react-native';

import { addPasskey, hasPasskeys, removePasskey, usePasskeys, usualDeviceName } from '../../data/people';
import { Action } from '../../components/Action';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { dayAndTime } from '../../words/format';
import { Trouble } from './Trouble';
import { useAsked } from './useAsked';

/** Keys that stay on a device: signing in with a finger or the device's own code, without a name. */
export function Passkeys() {
  const { data, mutate } = usePasskeys();
  const asked = useAsked();
  const keys = data?.items ?? [];
  const change = async (work: () => Promise<unknown>): Promise<void> => {
    if (await asked.run(work)) await mutate();
  };
  return (
    <Unfold label="Passkeys" value={keys.length === 0 ? undefined : String(keys.length)}>
      <Text as="small">
        With a passkey you sign in with your finger or the code of your device; it never leaves it.
      </Text>
      {keys.map(({ id, name, createdAt, usedAt }) => (
        <View key={id} style={styles.key}>
          <View style={styles.words}>
            <Text as="strong">{name}</Text>
            <Text as="small" tone="muted">
              {usedAt === null ? `Made ${dayAndTime(createdAt)}` : `Used ${dayAndTime(usedAt)}`}
            </Text>
          </View>
          <Action
            label="Take it away"
            spoken={`Take it away: ${name}, made ${dayAndTime(createdAt)}`}
            disabled={asked.busy}
            onPress={() => void change(() => removePasskey(id))}
          />
        </View>
      ))}
      <Trouble {...asked} />
      {hasPasskeys() ? (
        <Action
          label="Make one on this device"
          disabled={asked.busy}
          onPress={() => void change(() => addPasskey(usualDeviceName()))}
        />
      ) : (
        <Text as="small" tone="muted">
          This browser makes none here: passkeys need a name, such as localhost or one of your network, not an address
          in digits.
        </Text>
      )}
    </Unfold>
  );
}

const styles = StyleSheet.create({
  key: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1 },
});
