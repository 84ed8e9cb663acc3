import { useLocalSearchParams } from 'expo-router';
import { Suspense } from 'react';
import { StyleSheet, View } from 'react-native';

import { useRows } from '../../data/rows';
import { Action } from '../../components/Action';
import { Page } from '../../components/Page';
import { Loading } from '../../components/States';
import { StuckButton } from '../../components/StuckButton';
import { Text } from '../../components/Text';
import { useWide } from '../../theme/useWide';
import { useBoard } from '../../hooks/useBoard';
import { lazyScreen } from '../lazyScreen';
import { useRouter } from '../../hooks/useRouter';
import { DemoShelf } from './DemoShelf';
import { FirstRig } from './FirstRig';
import { MachineCard } from './MachineCard';
import { MachineNow } from './MachineNow';
import { ToCome } from './ToCome';

const StartOuting = lazyScreen('StartOuting');
const RouteNow = lazyScreen('RouteNow');

/** Every machine that is out, the most pressing first; one alone fills the screen. */
export function TodayScreen() {
  const router = useRouter();
  const { rig: chosen } = useLocalSearchParams<{ rig?: string }>();
  const wide = useWide();
  const { board, loading } = useBoard();
  const { rows: routes, loading: routesWait } = useRows('routes');
  const { rows: rigs, loading: rigsWait } = useRows('rigs');
  const onRoute = rigs.filter(({ id }) => routes.some(({ rigId, drive }) => rigId === id && drive !== null));
  if (loading || routesWait || rigsWait) {
    return (
      <Page title="Today">
        <Loading />
      </Page>
    );
  }
  if (rigs.length === 0) return <FirstRig />;
  const { now, toCome } = board;
  if (now.length === 0) {
    return onRoute.length === 0 ? (
      <StartOuting toCome={toCome} />
    ) : (
      <Page title="Today" aside={<StuckButton />} result={<ToCome outings={toCome} />}>
        <DemoShelf />
        {onRoute.map((rig) => (
          <Suspense key={rig.id}>
            <Text as="strong">{rig.name}</Text>
            <RouteNow rig={rig} />
          </Suspense>
        ))}
        <Action label="Another outing" onPress={() => router.navigate('/outing')} />
      </Page>
    );
  }
  const one = now.length === 1 ? now[0] : now.find(({ rig }) => rig.id === chosen);
  const another = (
    <View style={styles.list}>
      <Action label="Another outing" onPress={() => router.navigate('/outing')} />
      {wide && <Action label="All machines as a table" onPress={() => router.navigate('/office')} />}
    </View>
  );
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
    <Page title="Today" aside={<StuckButton />} action={another} result={wide ? cards : coming}>
      <DemoShelf />
      <Text tone="muted">{`${now.length} machines, the most pressing first.`}</Text>
      {onRoute.map((rig) => (
        <Action key={rig.id} label={`${rig.name}: its route`} onPress={() => router.setParams({ rig: rig.id })} />
      ))}
      {wide ? coming : cards}
    </Page>
  );
}

const styles = StyleSheet.create({
  list: { gap: 8 },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'flex-start' },
});
