import { useState, type ReactNode } from 'react';
import { wheelKey } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Choice } from '../../components/Choice';
import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { air, pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { AirQuestion } from './AirQuestion';
import { comparedTools, pumpWays } from './comparedTools';
import { HowToSet } from './KitNotes';
import type { AirJob } from '../../hooks/useAirJob';

const PATHS = { car: 'out', quad: 'out', motorcycle: 'out', bicycle: 'in', farm: 'in' } as const;

/** Every way to let air out of this rig, or to pump it up, side by side: how long, whether it is enough, what to mind. */
export const ToolsComparedScreen = () => (
  <AirQuestion title="Tools compared">
    {(job, choice) => <Compared key={job.rig.id} job={job} choice={choice} />}
  </AirQuestion>
);

function Compared({ job, choice }: { readonly job: AirJob; readonly choice: ReactNode }) {
  const palette = usePalette();
  const { rig, family, units, wheels } = job;
  const [way, setWay] = useState<'out' | 'in'>(PATHS[family.kind]);
  const { tools, from } = comparedTools(job, way);
  const longest = Math.max(1, ...tools.map(({ totalS }) => (Number.isFinite(totalS) ? totalS : 0)));
  const ground = groundName(job.question.asked.ground).toLowerCase();
  const paths = [
    ...new Set(from.map(({ fromKpa, toKpa }) => `${pressure(fromKpa, units)} → ${pressure(toKpa, units)}`)),
  ];
  const goal =
    way === 'out' ? `for ${ground}` : family.kind === 'bicycle' ? `to ride on ${ground}` : `from ${ground} home`;
  return (
    <Page
      title="Tools compared"
      result={
        <>
          {from.length === 0 ? (
            <Panel>
              <Text>
                {way === 'out'
                  ? 'Tools are compared as soon as there is a pressure to come from and one to go to.'
                  : 'Pumps are compared as soon as there is more to put in than stands in the tires.'}
              </Text>
            </Panel>
          ) : (
            tools.map(({ code, name, totalS, time, about, mind, short, adapter }) => (
              <Panel key={code}>
                <View style={styles.head}>
                  <Text as="strong" style={styles.name}>
                    {name}
                  </Text>
                  <Text as="figure">{time}</Text>
                </View>
                <View style={[styles.bar, { borderColor: palette.ink }]}>
                  <View
                    style={[
                      styles.filled,
                      {
                        width: `${Math.min(100, (100 * totalS) / longest)}%`,
                        backgroundColor: short === undefined ? palette.water : palette.rust,
                      },
                    ]}
                  />
                </View>
                {short !== undefined && (
                  <Text role="alert" tone="rust">
                    {short}
                  </Text>
                )}
                <Text as="small" tone="muted">
                  {about}
                </Text>
                {adapter !== undefined && <Text as="small">{adapter}</Text>}
                {mind !== undefined && <Text as="small">{mind}</Text>}
              </Panel>
            ))
          )}
          <Panel title="The air in them">
            {[...new Map(wheels.map((wheel) => [wheel.axle.tireMarking, wheel])).values()].map((wheel) => (
              <View key={wheelKey(wheel)} style={styles.head}>
                <Text style={styles.name}>{wheel.axle.tireMarking}</Text>
                <Text as="figure">{`${air(wheel.volumeL, units)} a tire`}</Text>
              </View>
            ))}
            <Text as="small" tone="muted">
              From the size on the sidewall, our assumption. A timed wheel makes up for what is wrong with it.
            </Text>
          </Panel>
          {way === 'out' && family.kind !== 'bicycle' && <HowToSet />}
        </>
      }
    >
      {choice}
      <Choice label="Compared for" value={way} options={pumpWays(family.kind)} onChange={setWay} />
      {from.length > 0 && (
        <Text tone="muted">
          {`${wheels.length === 1 ? 'The wheel' : `All ${wheels.length} wheels`} of ${rig.name} ${goal}, ${paths.join(', ')}, walking and ${way === 'out' ? 'reading' : 'rests'} included.`}
        </Text>
      )}
    </Page>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'baseline', gap: 8 },
  name: { flex: 1 },
  bar: { height: 14, borderWidth: 1.5, borderRadius: 2 },
  filled: { height: '100%' },
});
