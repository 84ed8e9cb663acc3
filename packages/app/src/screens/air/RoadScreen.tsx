import { wheelKey } from '@dunlinmoss/core';
import { roadGaps } from '@dunlinmoss/domain';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';

import { saveOuting } from '../../data/outings';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { wheelName } from '../../words/air';
import { pressure } from '../../words/format';
import { AirQuestion } from './AirQuestion';
import type { AirJob } from '../../hooks/useAirJob';
import { HourLater } from './HourLater';

/** Before pavement: what is missing, how fast till then, and whether the cold figure was right. */
export const RoadScreen = () => (
  <AirQuestion title="Road check">
    {(job, choice) => <RoadCheck key={job.rig.id} job={job} choice={choice} />}
  </AirQuestion>
);

function RoadCheck({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const router = useRouter();
  const { rig, outing, units, family } = job;
  const { gaps, unread, limpKmh } = roadGaps(job);
  const road = family.kind === 'farm' ? 'the road' : 'pavement';
  const ready = gaps.length === 0 && unread.length === 0;
  const close = async (): Promise<void> => {
    if (outing) {
      const saved = await saveOuting(outing, { state: 'closed' });
      if (saved.kind === 'refused') return notify(saved.problem.title);
      notify('All wheels back at road pressure. The outing is in the Book.');
    }
    router.navigate('/');
  };
  return (
    <Page
      title="Road check"
      action={
        ready ? (
          <Action
            kind="main"
            label={outing ? 'Ready for the road: close the outing' : 'Ready for the road'}
            onPress={() => void close()}
          />
        ) : (
          <Action
            kind="main"
            label="Put the air back"
            onPress={() => router.navigate({ pathname: '/air/in', params: { rig: rig.id } })}
          />
        )
      }
      result={<HourLater job={job} />}
    >
      {choice}
      {ready ? (
        <Panel title={`Ready for ${road}`}>
          <Text>Every wheel has its road pressure for this load, as far as it was read.</Text>
          <Text as="small" tone="muted">
            Look once round: caps on, no hiss, no bulge. Sidewall, placard, local law and a qualified tire fitter
            overrule this.
          </Text>
        </Panel>
      ) : (
        <Panel title={`Not ready for ${road}`}>
          {gaps.map((gap) => (
            <View key={wheelKey(gap)} style={styles.row}>
              <Text style={styles.name}>{wheelName(gap)}</Text>
              <Text as="figure">{`${pressure(gap.nowKpa, units)} → ${pressure(gap.roadKpa, units)}`}</Text>
            </View>
          ))}
          {unread.map((wheel) => (
            <Text key={wheelKey(wheel)}>{`${wheelName(wheel)}: nobody read it.`}</Text>
          ))}
          <Text role="alert" tone="rust" as="strong">
            {limpKmh === null
              ? 'Soft tires overheat and fail on the road.'
              : `If it can’t be helped: ${limpKmh} km/h at the most, straight and short, to the next air.`}
          </Text>
          <Text as="small" tone="muted">
            Soft tires at speed overheat and fail, and can leave the rim in a sharp turn. The speed is the trade’s for
            the softest wheel, carried over to this load and size; there is no safe distance in it.
          </Text>
        </Panel>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 34 },
  name: { flex: 1 },
});
