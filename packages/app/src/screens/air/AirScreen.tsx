import { roadGaps } from '@dunlinmoss/domain';

import type { AirJob } from '../../hooks/useAirJob';
import { type Href } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { Action } from '../../components/Action';
import { CardList, LinkCard } from '../../components/LinkCard';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { wheelName } from '../../words/air';
import { pressure, speed } from '../../words/format';
import { knownText } from '../../words/wheelState';
import { addressOf } from '../../hooks/usePlanQuery';
import { useRouter } from '../../hooks/useRouter';
import { AirQuestion } from './AirQuestion';

/** Let it out, watch it, put it back: where the air of a rig stands, and the ways on. */
export function AirScreen() {
  return <AirQuestion title="Air">{(job, choice) => <Air job={job} choice={choice} />}</AirQuestion>;
}

function Air({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const router = useRouter();
  const { rig, family, units, wheels, known, outing, airings } = job;
  const params = addressOf(job.question);
  const underWay = airings.find(({ endedAt }) => endedAt === null);
  const nowMs = useNow(true, 60_000);
  const gaps = roadGaps(job, nowMs);
  const soft = gaps.gaps.length > 0;
  const go = (pathname: '/air/out' | '/air/in'): void => router.navigate({ pathname, params } as Href);
  const links: readonly { readonly path: string; readonly name: string; readonly note: string }[] = [
    { path: '/air/watch', name: 'Watch', note: 'Warm-up or leak, by hand or by monitors; standing in storage' },
    { path: '/air/tools', name: 'Tools compared', note: 'What takes how long on this rig' },
    ...(wheels.length > 2 || family.kind !== 'bicycle'
      ? [{ path: '/air/level', name: 'Level', note: 'Left and right alike; air from one tire to another' }]
      : []),
    ...(family.kind === 'bicycle'
      ? []
      : [{ path: '/air/road', name: 'Road check', note: 'Before pavement: what is missing, how fast till then' }]),
    ...(family.kind === 'farm'
      ? [{ path: '/air/central', name: 'Central inflation', note: 'Road to field and back, and the wait at the gate' }]
      : []),
    { path: '/air/log', name: 'Log', note: 'A year in one picture; tables in and out' },
  ];
  return (
    <Page
      title="Air"
      action={
        underWay ? (
          <Action
            kind="main"
            label={underWay.way === 'out' ? 'Go on letting out' : 'Go on putting in'}
            onPress={() => go(underWay.way === 'out' ? '/air/out' : '/air/in')}
          />
        ) : (
          <View style={styles.ways}>
            <View style={styles.way}>
              <Action kind={soft ? 'quiet' : 'main'} label="Let air out" onPress={() => go('/air/out')} />
            </View>
            <View style={styles.way}>
              <Action kind={soft ? 'main' : 'quiet'} label="Put air in" onPress={() => go('/air/in')} />
            </View>
          </View>
        )
      }
      result={
        <CardList>
          {links.map(({ path, name, note }) => (
            <LinkCard key={path} href={{ pathname: path, params } as unknown as Href}>
              <Text as="strong">{name}</Text>
              <Text as="small" tone="muted">
                {note}
              </Text>
            </LinkCard>
          ))}
        </CardList>
      }
    >
      {choice}
      <Panel title="In the tires, cold">
        {wheels.map((wheel) => {
          const now = known(wheel);
          return (
            <View key={wheelName(wheel)} style={styles.row}>
              <Text style={styles.name}>{wheelName(wheel)}</Text>
              <View style={styles.value}>
                <Text as="figure">{now ? pressure(now.coldKpa, units) : 'not known'}</Text>
                <Text as="small" tone={now?.low && family.kind !== 'bicycle' ? 'rust' : 'muted'}>
                  {knownText(now, nowMs)}
                </Text>
              </View>
            </View>
          );
        })}
        {soft && family.kind !== 'bicycle' && (
          <Text role="alert" tone="rust" as="small">
            {gaps.limpKmh === null
              ? 'Low. Put the air back before pavement, or read every wheel in Road check.'
              : `Low. On pavement ${speed(gaps.limpKmh, units)} at the most, straight and short, until the air is back.`}
          </Text>
        )}
      </Panel>
      {!outing && (
        <Text as="small" tone="muted">
          {`No outing is under way with ${rig.name}: what you do here is kept with the rig.`}
        </Text>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 40 },
  name: { flex: 1 },
  value: { alignItems: 'flex-end', flexShrink: 1 },
  ways: { flexDirection: 'row', gap: 10 },
  way: { flex: 1 },
});
