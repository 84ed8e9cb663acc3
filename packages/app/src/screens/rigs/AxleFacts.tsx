import { curveOf, readKpa, tireOf, type GaugeRow, type RigAxle, type RigRow } from '@dunlinmoss/contract';
import { capacity, familyOf, gaugeFitness, type AxleLoad, type GaugeFitness } from '@dunlinmoss/core';
import { gaugeStepKpa } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../../settings/preferences';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { usePalette } from '../../theme/useLight';
import { axleName } from '../../words/axles';
import { ROAD_WORDS } from '../../words/families';
import { capacityText } from '../../words/capacity';
import { percent, pressure } from '../../words/format';
import { FITNESS_WORDS, flawText } from '../../words/gauges';
import { tireInWords } from '../../words/marking';

interface AxleFactsProps {
  readonly axle: RigAxle;
  readonly rig: RigRow;
  readonly load: AxleLoad | undefined;
  readonly gauges: readonly GaugeRow[];
}

/** One axle: its tire read back, its pressures, what the tire carries and how much of that is used. */
export function AxleFacts({ axle, rig, load, gauges }: AxleFactsProps) {
  const palette = usePalette();
  const units = unitsStore.use();
  const family = familyOf(rig.family);
  const curve = curveOf(axle);
  const speedKmh = rig.topSpeedKmh ?? family.roadSpeedKmh;
  const carries =
    curve.ok && axle.roadKpa !== null
      ? capacity(curve.value, { pressureKpa: axle.roadKpa, speedKmh, dual: axle.wheels === 4 })
      : undefined;
  const heaviest = load && Math.max(...load.wheels.map(({ loadKg }) => loadKg));
  const used = carries?.ok && heaviest !== undefined ? heaviest / carries.loadKg : undefined;
  // A load taken to hold at a pressure that nobody read is no ground to call a wheel overloaded.
  const guessed = carries?.ok && carries.extrapolated && curve.ok && curve.value.from === 'index';
  const tooMuch = used !== undefined && used > 1 && !guessed;
  const road = axle.roadKpa;
  const fit =
    road === null ? [] : gauges.map((gauge) => ({ gauge, ...gaugeFitness(gauge, road, gaugeStepKpa(units)) }));
  return (
    <View style={[styles.axle, { borderColor: palette.line }]}>
      <Text as="strong">{`${axleName(axle.position, family.kind)}: ${axle.tireMarking}`}</Text>
      <Text as="small" tone="muted">{`${tireInWords(tireOf(axle.tireMarking), units)}${extras(axle)}.`}</Text>
      {road !== null && (
        <Text>
          {`${ROAD_WORDS[family.kind].label}: ${pressure(road, units)}`}
          {axle.present && `. In it now: ${pressure(readKpa(axle.present), units)}`}
          {axle.present &&
            axle.present.offsetKpa !== 0 &&
            ` (the gauge showed ${pressure(axle.present.rawKpa, units)})`}
        </Text>
      )}
      <Text>{capacityText(curve, carries, speedKmh, units)}</Text>
      {used !== undefined && (
        <View role="img" aria-label={`${percent(used)} of what it carries`} style={styles.used}>
          <View style={[styles.bar, { borderColor: palette.ink }]}>
            <View
              style={[
                styles.filled,
                {
                  width: `${Math.min(100, used * 100)}%`,
                  backgroundColor: tooMuch ? palette.rust : palette.waterDeep,
                },
              ]}
            />
          </View>
          <Text as="label" tone={tooMuch ? 'rust' : 'ink'}>
            {tooMuch ? `${percent(used)}: too much` : used > 1 ? 'Read the sidewall to know' : `${percent(used)} used`}
          </Text>
        </View>
      )}
      {fit.length > 0 && (
        <Unfold label="Gauges for it" value={bestGauge(fit)}>
          {fit.map(({ gauge, fitness, flaws }) => (
            <Text key={gauge.id} as="small">
              {`${gauge.name}: ${FITNESS_WORDS[fitness]}${flaws.length > 0 ? `: ${flaws.map((flaw) => flawText(flaw, units)).join('; ')}` : ''}.`}
            </Text>
          ))}
        </Unfold>
      )}
    </View>
  );
}

/** The gauge that suits best, or that none does. */
function bestGauge(fit: readonly { gauge: GaugeRow; fitness: GaugeFitness['fitness'] }[]): string {
  const best = (['good', 'fair'] as const).map((want) => fit.find(({ fitness }) => fitness === want)).find(Boolean);
  return best ? `${best.gauge.name}: ${FITNESS_WORDS[best.fitness]}` : 'None of yours';
}

function extras(axle: RigAxle): string {
  const parts = [
    axle.tube ? 'tube' : '',
    axle.beadHold === 'beadLock' ? 'bead locks' : axle.beadHold === 'rimLock' ? 'rim lock' : '',
    axle.insert ? 'insert' : '',
    axle.measuredWidthMm === null ? '' : `measures ${axle.measuredWidthMm.toFixed(0)}\u00a0mm on its rim`,
    axle.wheels === 4 ? 'in pairs' : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? '' : `; ${parts.join(', ')}`;
}

const styles = StyleSheet.create({
  axle: { gap: 4, borderBottomWidth: 1, paddingBottom: 12 },
  used: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  bar: { flex: 1, height: 12, borderWidth: 1.5, borderRadius: 2 },
  filled: { height: '100%' },
});
