import { useLocalSearchParams, useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Loading } from '../../components/States';
import { Text } from '../../components/Text';
import { useWide } from '../../theme/useWide';
import { useBoard } from '../../hooks/useBoard';
import { DemoShelf } from './DemoShelf';
import { MachineCard } from './MachineCard';
import { MachineNow } from './MachineNow';
import { StartOuting } from './StartOuting';
import { ToCome } from './ToCome';

/** Every machine that is out, the most pressing first; one alone fills the screen. */
export function TodayScreen() {
  const router = useRouter();
  const { rig: chosen } = useLocalSearchParams<{ rig?: string }>();
  const wide = useWide();
  const { board, loading } = useBoard();
  if (loading) {
    return (
      <Page title="Today">
        <Loading />
      </Page>
    );
  }
  const { now, toCome } = board;
  if (now.length === 0) return <StartOuting toCome={toCome} />;
  const one = now.length === 1 ? now[0] : now.find(({ rig }) => rig.id === chosen);
  const another = <Action label="Another outing" onPress={() => router.navigate('/outing')} />;
  if (one) {
    return (
      <MachineNow
        key={one.rig.id}
        entry={one}
        below={
          <>
            {now.length > 1 && (
              <Action label={`All ${now.length} machines`} onPress={() => router.setParams({ rig: undefined })} />
            )}
            {another}
            <ToCome outings={toCome} />
          </>
        }
      />
    );
  }
  const cards = (
    <View role="list" style={wide ? styles.grid : styles.list}>
      {now.map((entry) => (
        <MachineCard key={entry.rig.id} entry={entry} />
      ))}
    </View>
  );
  const coming = <ToCome outings={toCome} />;
  return (
    <Page title="Today" action={another} result={wide ? cards : coming}>
      <DemoShelf />
      <Text tone="muted">{`${now.length} machines, the most pressing first.`}</Text>
      {wide ? coming : cards}
    </Page>
  );
}

const styles = StyleSheet.create({
  list: { gap: 8 },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-start' },
});
