import type { GroundPlan } from '@dunlinmoss/core';
import { onGauge } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../settings/preferences';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { AXLE_WORDS } from '../../words/axles';
import { pressure } from '../../words/format';
import { LIMIT_WORDS, limitVoice } from '../../words/limits';

/** Each limit of each axle in its own voice; the ones that bind are named. */
export function Limits({ plan, units }: { readonly plan: GroundPlan; readonly units: Units }) {
  const palette = usePalette();
  return (
    <Panel title="How low, how high, and why">
      {plan.axles.map(({ position, floor, ceiling }) => {
        const rows = [
          ...(ceiling?.all ?? []).map((limit) => ({
            limit,
            binds: limit.code === ceiling!.code,
            side: 'down' as const,
          })),
          ...floor.all
            .filter(({ pressureKpa }) => pressureKpa > 0)
            .map((limit) => ({ limit, binds: limit.code === floor.code, side: 'up' as const })),
        ];
        return (
          <View key={position} role="list" aria-label={`Limits, ${AXLE_WORDS[position].toLowerCase()}`}>
            <Text as="label" tone="muted">
              {AXLE_WORDS[position]}
            </Text>
            {rows.map(({ limit, binds, side }) => (
              <View key={limit.code} role="listitem" style={[styles.row, { borderColor: palette.line }]}>
                <View style={styles.words}>
                  <Text as={binds ? 'strong' : 'body'}>
                    {`${side === 'down' ? 'Not over' : 'Not below'}: ${LIMIT_WORDS[limit.code].name}${binds ? ': this one decides' : ''}`}
                  </Text>
                  <Text as="small" tone="muted">
                    {limitVoice(limit)}
                  </Text>
                </View>
                <Text as="figure">{pressure(onGauge(limit.pressureKpa, units, side), units)}</Text>
              </View>
            ))}
          </View>
        );
      })}
    </Panel>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'baseline', gap: 10, borderTopWidth: 1, paddingVertical: 5 },
  words: { flex: 1 },
});
