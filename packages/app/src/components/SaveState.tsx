import { bodyOf, mayAs } from '@dunlinmoss/contract';
import { mergeRows } from '@dunlinmoss/domain';
import { usePathname, useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { countText, timeOfDay } from '../words/format';
import { reachStore } from '../data/client';
import { clockAheadStore } from '../data/clock';
import { notKeptStore } from '../data/device';
import { settle } from '../data/outbox';
import { outboxStore } from '../data/outboxStore';
import { keyOf, type Pending } from '../data/pending';
import { waitingPhotosStore } from '../data/photos';
import { useSyncState } from '../data/useKind';
import { useLeftBehind } from '../data/setBack';
import { newerStore, takeNewer } from '../data/shell';
import { unitsStore } from '../settings/preferences';
import { roleHere, whoStore } from '../settings/who';
import { usePalette } from '../theme/useLight';
import { clockText } from '../words/air';
import { calledText, clashText, setBackText, waitingOf } from '../words/waiting';
import { Action } from './Action';
import { Text } from './Text';
import { useLasting } from './useLasting';

/** A save that takes longer is told of. */
const SAVES_LONG_MS = 1_500;

/** What is not saved yet, and what to do about it. Nothing to see while all is well. */
export function SaveState() {
  const reached = reachStore.use();
  const notKept = notKeptStore.use();
  const photos = waitingPhotosStore.use();
  const sync = useSyncState();
  const newer = newerStore.use();
  const clockAheadMs = clockAheadStore.use();
  const { all, clashing, refused, oldestMs } = waitingOf(outboxStore.use());
  const left = useLeftBehind();
  const mayChange = mayAs(roleHere(whoStore.use()), 'member');
  const here = usePathname();
  const count = all.length + photos;
  // A bar that comes and goes with every save would move what a finger is just coming down on.
  const savesLong = useLasting(count > 0, SAVES_LONG_MS);
  if (notKept === 'full' || (notKept !== null && (count > 0 || !reached))) {
    return (
      <Bar hurts>
        <Text as="small" tone="rust" style={styles.text}>
          {notKept === 'full'
            ? 'This device is full: what you enter is not kept on it. Make room, or leave this page open until it is sent.'
            : 'This browser keeps nothing. What you enter stands on this page alone until it is sent.'}
        </Text>
      </Bar>
    );
  }
  if (clashing.length > 0) return <Clashing entry={clashing[0]!} />;
  const list = here !== '/waiting';
  if (refused.length > 0) {
    return (
      <Bar hurts>
        <Text as="small" style={styles.text}>
          {`${refused.length === 1 ? 'One entry was' : `${refused.length} entries were`} refused. ${refused.length === 1 ? 'It is' : 'They are'} kept on this device.`}
        </Text>
        {list && <See label="See it" />}
      </Bar>
    );
  }
  if (left && list) {
    return (
      <Bar hurts>
        <Text as="small" style={styles.text}>
          {setBackText(left.setBack, left.rows.length)}
        </Text>
        <See label={left.rows.length === 1 ? 'See it' : 'See them'} />
      </Bar>
    );
  }
  if (sync && !sync.filled && sync.total > 0 && reached) {
    return (
      <Bar>
        <Text as="small" style={styles.text}>
          {`Getting everything onto this device: ${countText(sync.got)} of ${countText(sync.total)}.`}
        </Text>
      </Bar>
    );
  }
  if (reached && clockAheadMs !== 0 && !savesLong) {
    return (
      <Bar hurts>
        <Text as="small" style={styles.text}>
          {`The clock of this device is ${clockText(clockAheadMs)}. Set it right: days and times of what you enter go by it, and when to read again.`}
        </Text>
      </Bar>
    );
  }
  if (reached && !savesLong && !mayChange) {
    return (
      <Bar>
        <Text as="small" style={styles.text}>
          You see this crew’s machines as a viewer: nothing you enter is kept.
        </Text>
      </Bar>
    );
  }
  if (reached && !savesLong) {
    return newer && count === 0 ? (
      <Bar>
        <Text as="small" style={styles.text}>
          A newer version is on this device.
        </Text>
        <Action label="Take it" onPress={takeNewer} />
      </Bar>
    ) : null;
  }
  const since = oldestMs === null ? '' : `, the oldest since ${timeOfDay(oldestMs)}`;
  const waiting =
    count === 0
      ? ''
      : ` ${count === 1 ? 'One entry is' : `${count} entries are`} kept on this device${count > 1 ? since : ''} and saved when it is back.`;
  return (
    <Bar icon={!reached}>
      <Text as="small" style={styles.text}>
        {reached
          ? `Saving …${waiting}`
          : `The store can't be reached just now.${waiting || ' Numbers still work.'}${sync && sync.filled ? '' : ' Not everything of yours had come onto this device before: machines may be missing.'}`}
      </Text>
      {list && count > 0 && !reached && <See label={count === 1 ? 'See it' : 'See them'} />}
    </Bar>
  );
}

function See({ label }: { readonly label: string }) {
  const router = useRouter();
  return <Action label={label} onPress={() => router.navigate('/waiting')} />;
}

interface BarProps {
  readonly hurts?: boolean;
  readonly icon?: boolean;
  readonly children: ReactNode;
}

function Bar({ hurts = false, icon = false, children }: BarProps) {
  const palette = usePalette();
  return (
    <View
      role={hurts ? 'alert' : 'status'}
      style={[
        styles.bar,
        {
          backgroundColor: hurts ? palette.rustWash : palette.mossWash,
          borderColor: hurts ? palette.rust : palette.line,
        },
      ]}
    >
      {icon && <Icon source="cloud-off" size={18} color={palette.ink} />}
      {children}
    </View>
  );
}

/** Something that was saved on both sides: what clashes, field by field, and the choice. All else of both is kept. */
function Clashing({ entry }: { readonly entry: Pending }) {
  const palette = usePalette();
  const units = unitsStore.use();
  const key = keyOf(entry.name, entry.id);
  const { name, base, body, clashing, sent } = entry;
  const { present, archived, setBack } = clashing!;
  const called = calledText(entry);
  const clashes =
    present && body && !archived
      ? mergeRows(name, base, body, bodyOf(name, present as never), 'mine', sent).clashes
      : [];
  const [question, mine, theirs] = setBack
    ? [
        `${called} was changed here, and the store was set back to before that.`,
        'Keep it as it is here',
        present ? 'Take the older one' : 'Let it go',
      ]
    : archived
      ? [
          `${called} was archived somewhere else after you changed it.`,
          'Bring it back, as I changed it',
          'Leave it archived',
        ]
      : !present
        ? [`${called} was deleted somewhere else after you changed it.`, 'Save mine again', 'Let mine go']
        : body
          ? [`${called} was changed somewhere else too.`, 'What I entered here', 'The other one']
          : [`${called} was changed somewhere else meanwhile.`, 'Archive it all the same', 'Keep it'];
  return (
    <View
      role="alert"
      style={[styles.bar, styles.clash, { backgroundColor: palette.rustWash, borderColor: palette.rust }]}
    >
      <Text as="label">{question}</Text>
      {clashes.slice(0, MOST_CLASHES).map((clash) => (
        <Text key={clash.path} as="small">
          {clashText(clash, body, units)}
        </Text>
      ))}
      {clashes.length > MOST_CLASHES && <Text as="small">{`And ${clashes.length - MOST_CLASHES} more.`}</Text>}
      <View style={styles.choices}>
        <Action label={mine} onPress={() => void settle(key, 'mine')} />
        <Action label={theirs} onPress={() => void settle(key, 'theirs')} />
      </View>
    </View>
  );
}

/** So many are shown above a screen that is to stay usable. */
const MOST_CLASHES = 3;

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 14,
    paddingVertical: 8,
    borderBottomWidth: 1,
  },
  clash: { flexDirection: 'column', alignItems: 'flex-start' },
  choices: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  text: { flex: 1 },
});
