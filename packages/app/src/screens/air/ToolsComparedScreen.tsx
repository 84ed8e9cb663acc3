import { drainPlan, gaugeNowKpa, outToolOf, wheelKey } from '@dunlinmoss/core';
import { onGauge, outRate, walksOf } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Page } from '../../components/Page';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { usePalette } from '../../theme/useLight';
import { duration, NEAR_TARGET, SET_DEFLATORS } from '../../words/air';
import { pressure } from '../../words/format';
import { groundName } from '../../words/grounds';
import { TOOL_WORDS } from '../../words/tools';
import { AirQuestion } from './AirQuestion';
import { toolsFor } from './toolChoice';
import type { AirJob } from '../../hooks/useAirJob';

/** Every way to let air out of this rig, side by side: how long for all wheels, and what it does near the target. */
export const ToolsComparedScreen = () => (
  <AirQuestion title="Tools compared">{(job, choice) => <Compared job={job} choice={choice} />}</AirQuestion>
);

function Compared({ job, choice }: { readonly job: AirJob; readonly choice: React.ReactNode }) {
  const palette = usePalette();
  const { rig, units, wheels, conditions, outsideKpaAbs, airings, tools } = job;
  const now = (kpa: number): number => onGauge(gaugeNowKpa(kpa, conditions), units);
  const walks = walksOf(rig, wheels);
  // Compared from road pressure down, whatever is in them just now.
  const drains = wheels.flatMap((wheel, index) => {
    const planned = job.planned(wheel);
    const from = wheel.axle.roadKpa ?? job.known(wheel)?.coldKpa;
    if (!planned || !from) return [];
    const { position, wheel: code, volumeL } = wheel;
    return [{ position, wheel: code, volumeL, fromKpa: now(from), toKpa: now(planned.startKpa), walkS: walks[index]! }];
  });
  const compared = toolsFor('out', tools)
    .map(({ code, used }) => {
      const tool = outToolOf(used.kind)!;
      const rate = outRate(used, airings);
      const atOnce = Math.min(used.tool?.wheelsAtOnce ?? tool.wheelsAtOnce, Math.max(1, drains.length));
      return { code, used, rate, atOnce, plan: drainPlan(tool, rate, drains, outsideKpaAbs, atOnce) };
    })
    .sort((a, b) => a.plan.totalS - b.plan.totalS);
  const longest = Math.max(1, ...compared.map(({ plan }) => plan.totalS));
  const [first] = drains;
  return (
    <Page
      title="Tools compared"
      result={
        <>
          {first === undefined ? (
            <Panel>
              <Text>Tools are compared as soon as there is a pressure to come from and one to go to.</Text>
            </Panel>
          ) : (
            compared.map(({ code, used, rate, atOnce, plan }) => (
              <Panel key={code}>
                <View style={styles.head}>
                  <Text as="strong" style={styles.name}>
                    {used.tool?.name ?? TOOL_WORDS[used.kind].name}
                  </Text>
                  <Text as="figure">{duration(plan.totalS)}</Text>
                </View>
                <View style={[styles.bar, { borderColor: palette.ink }]}>
                  <View
                    style={[
                      styles.filled,
                      { width: `${(100 * plan.totalS) / longest}%`, backgroundColor: palette.water },
                    ]}
                  />
                </View>
                <Text as="small" tone="muted">
                  {`${duration(Math.max(...plan.wheels.map(({ openS }) => openS)))} for the slowest wheel, ${
                    atOnce === 1 ? 'one at a time' : `${atOnce} at once`
                  }; ${rate.timed > 0 ? `timed by you on ${rate.timed === 1 ? 'one wheel' : `${rate.timed} wheels`}` : 'not timed yet, give or take half'}.`}
                </Text>
                <Text as="small">{NEAR_TARGET[used.kind]}</Text>
              </Panel>
            ))
          )}
          <Panel title="The air in them">
            {[...new Map(wheels.map((wheel) => [wheel.axle.tireMarking, wheel])).values()].map((wheel) => (
              <View key={wheelKey(wheel)} style={styles.head}>
                <Text style={styles.name}>{wheel.axle.tireMarking}</Text>
                <Text as="figure">{`${Math.round(wheel.volumeL)}\u00a0L a tire`}</Text>
              </View>
            ))}
            <Text as="small" tone="muted">
              From the size on the sidewall, our assumption. A timed wheel makes up for what is wrong with it.
            </Text>
          </Panel>
          <Unfold label="Set preset deflators to another pressure">
            {SET_DEFLATORS.map((text, index) => (
              <Text key={text}>{`${index + 1}. ${text}`}</Text>
            ))}
          </Unfold>
        </>
      }
    >
      {choice}
      {first && (
        <Text tone="muted">
          {`All ${wheels.length} wheels of ${rig.name} for ${groundName(job.question.asked.ground).toLowerCase()}, ${[
            ...new Set(drains.map(({ fromKpa, toKpa }) => `${pressure(fromKpa, units)} → ${pressure(toKpa, units)}`)),
          ].join(', ')}, walking and reading included.`}
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
