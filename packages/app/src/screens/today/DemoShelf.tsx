import { StyleSheet, View } from 'react-native';

import { putDemoAway } from '../../data/demo';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { useRows } from '../../data/rows';
import { useRouter } from '../../hooks/useRouter';

/** Stands first while there is no rig but those of the demo: the way to one's own. */
export function DemoShelf() {
  const router = useRouter();
  const { rows: rigs, loading } = useRows('rigs');
  const demo = rigs.filter((rig) => rig.demo);
  if (loading || demo.length === 0 || demo.length < rigs.length) return null;
  const putAway = async (): Promise<void> => {
    await putDemoAway(demo);
    notify('The demo is hidden. Files shows it again.');
  };
  return (
    <Panel>
      <Text as="small">A demo: the machines of an invented estate.</Text>
      <View style={styles.ways}>
        <View style={styles.way}>
          <Action kind="main" label="Start my own rig" onPress={() => router.navigate('/rigs/new')} />
        </View>
        <Action label="Hide the demo" onPress={() => void putAway()} />
      </View>
    </Panel>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', gap: 8 },
  way: { flex: 1 },
});
