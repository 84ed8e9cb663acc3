import type { Airing } from '@dunlinmoss/contract';
import { sameWheel, wheelKey, type WheelRef } from '@dunlinmoss/core';
import type { Prediction, WheelProgress } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import type { Units } from '../../settings/preferences';
import { Panel } from '../../components/Panel';
import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { duration, STATE_WORDS, wheelName } from '../../words/air';
import { pressure } from '../../words/format';

interface WheelListProps {
  readonly airing: Airing;
  readonly progress: readonly WheelProgress[];
  readonly prediction: Prediction;
  readonly nowS: number;
  readonly units: Units;
  readonly at: WheelRef | undefined;
  readonly onPick: (wheel: WheelRef) => void;
}

/** Every wheel in walking order: where it stands, and how long it has or will take. A tap goes there. */
export function WheelList({ airing, progress, prediction, nowS, units, at, onPick }: WheelListProps) {
  const palette = usePalette();
  // What is not read yet is taken to be as firm as the wheel that was read last.
  const lastRead = airing.runs.at(-1)?.beforeKpa;
  return (
    <Panel title="Wheels">
      {progress.map((each) => {
        const { wheel, state, readKpa, running } = each;
        const here = at !== undefined && sameWheel(at, wheel);
        const fromKpa = readKpa ?? lastRead;
        const seconds =
          fromKpa === undefined ? undefined : prediction.seconds(wheel, running?.beforeKpa ?? fromKpa, wheel.targetKpa);
        const time =
          seconds === undefined
            ? ''
            : running
              ? leftText(seconds - (nowS - running.startedS))
              : state === 'waiting' || state === 'more'
                ? `about ${duration(seconds)}`
                : '';
        return (
          <Press
            key={wheelKey(wheel)}
            aria-label={`${wheelName(wheel)}, ${STATE_WORDS[state].toLowerCase()}${time === '' ? '' : `, ${time}`}`}
            onPress={() => onPick(wheel)}
            style={[styles.row, { borderColor: here ? palette.moss : palette.line }, here && styles.here]}
          >
            <View style={styles.line}>
              <View style={styles.words}>
                <Text as={here ? 'strong' : 'body'}>{wheelName(wheel)}</Text>
                <Text as="small" tone="muted">
                  {state === 'done' || state === 'overshot' || state === 'more'
                    ? `${STATE_WORDS[state]}: ${pressure(readKpa!, units)}`
                    : STATE_WORDS[state]}
                </Text>
              </View>
              <Text as="figure">{time || (state === 'waiting' ? `→ ${pressure(wheel.targetKpa, units)}` : '')}</Text>
            </View>
          </Press>
        );
      })}
    </Panel>
  );
}

/** What is left of a wheel's time, or that it is up. */
export const leftText = (seconds: number): string => (seconds > 0 ? `${duration(seconds)} left` : 'stop it now');

const styles = StyleSheet.create({
  row: { borderWidth: 1, borderRadius: 3, paddingHorizontal: 12, paddingVertical: 6 },
  here: { borderLeftWidth: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1 },
});
