import { WARM_FOR_MIN, wheelKey } from '@dunlinmoss/core';
import { roadGaps, type RoadGap } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { useNow } from '../../data/clock';
import { saveOuting } from '../../data/outings';
import { Action } from '../../components/Action';
import { notify } from '../../components/Notice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { wheelName } from '../../words/air';
import { pressure, speed, when } from '../../words/format';
import { knownText } from '../../words/wheelState';
import { useRouter } from '../../hooks/useRouter';
import { AirQuestion } from './AirQuestion';
import type { AirJob } from '../../hooks/useAirJob';
import { HourLater } from './HourLater';
import { RoundFields } from './RoundFields';

/** Before pavement: what is missing, how fast till then, and whether the cold figure was right. */
export const RoadScreen = () => (
  <AirQuestion title="Road check">
    {(job, choice) => <RoadCheck key={job.rig.id} job={job} choice={choice} />}
  </AirQuestion>
);

function RoadCheck({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const router = useRouter();
  const { rig, outing, units, family } = job;
  const nowMs = useNow(true, 60_000);
  const { gaps, unread, limpKmh, ...found } = roadGaps(job, nowMs);
  const ready = found.ready && job.isWhole;
  const oldest = job.wheels.map((wheel) => job.known(wheel)?.at ?? '').sort()[0];
  const road = family.kind === 'farm' ? 'the road' : 'pavement';
  const close = async (): Promise<void> => {
    if (outing?.state === 'lowered') {
      const saved = await saveOuting(outing, { state: 'closed' });
      if (saved.kind === 'refused') return notify(saved.problem.title);
      notify('Every wheel was read at its road pressure. The outing is in the Book.');
    }
    router.navigate('/');
  };
  const line = (gap: RoadGap, figure: string) => (
    <View key={wheelKey(gap)} style={styles.row}>
      <View style={styles.name}>
        <Text>{wheelName(gap)}</Text>
        <Text as="small" tone="muted">
          {knownText(gap.now, nowMs)}
        </Text>
      </View>
      <Text as="figure">{figure}</Text>
    </View>
  );
  // Pumped up or read just driven: nothing more to put in before they are cold.
  const onlyWarm = gaps.length > 0 && gaps.every(({ now }) => now.known === 'readWarm');
  return (
    <Page
      title="Road check"
      action={
        ready ? (
          <Action
            kind="main"
            label={outing?.state === 'lowered' ? 'Ready for the road: end the outing' : 'Ready for the road'}
            onPress={() => void close()}
          />
        ) : gaps.length > 0 && !onlyWarm ? (
          <Action
            kind="main"
            label="Put the air back"
            onPress={() => router.navigate({ pathname: '/air/in', params: { rig: rig.id } })}
          />
        ) : undefined
      }
      result={
        <>
          {!ready && (
            <Panel title="Read every wheel">
              <RoundFields job={job} occasion="roadCheck" button="Keep what they read" />
            </Panel>
          )}
          <HourLater job={job} />
        </>
      }
    >
      {choice}
      {ready ? (
        <Panel title={`Ready for ${road}`}>
          <Text>{`Every wheel was read, cold, at its road pressure for this load${oldest ? `, the first of them ${when(oldest, nowMs)}` : ''}.`}</Text>
          <Text as="small" tone="muted">
            Look once round: caps on, no hiss, no bulge. Sidewall, placard, local law and a qualified tire fitter
            overrule this.
          </Text>
        </Panel>
      ) : (
        <Panel title={`Not ready for ${road}`}>
          {gaps.map((gap) => line(gap, `${pressure(gap.now.coldKpa, units)} → ${pressure(gap.roadKpa, units)}`))}
          {unread.map((gap) => line(gap, gap.roadKpa === null ? 'road pressure not known' : 'read it'))}
          {!job.isWhole && <Text>Not all that was done with its air is on this device yet. Read every wheel.</Text>}
          {onlyWarm && (
            <Text as="strong">
              {`Read warm: once cool it may be as low as that. Read again cold, ${WARM_FOR_MIN} minutes after the last drive.`}
            </Text>
          )}
          {gaps.length > 0 && (
            <>
              <Text role="alert" tone="rust" as="strong">
                {limpKmh === null
                  ? 'Soft tires overheat and fail on the road.'
                  : `If it can’t be helped: ${speed(limpKmh, units)} at the most, straight and short, to the next air.`}
              </Text>
              <Text as="small" tone="muted">
                Soft tires at speed overheat and fail, and can leave the rim in a sharp turn. The speed is the trade’s
                for the softest wheel, carried over to this load and size; there is no safe distance in it.
              </Text>
            </>
          )}
        </Panel>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 40 },
  name: { flex: 1 },
});
