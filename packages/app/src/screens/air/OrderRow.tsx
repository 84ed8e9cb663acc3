import type { RigWheel } from '@dunlinmoss/domain';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { Press } from '../../components/Press';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { wheelName } from '../../words/air';

interface OrderRowProps {
  readonly wheel: RigWheel;
  readonly text: string;
  readonly onUp: (() => void) | undefined;
  readonly onDown: (() => void) | undefined;
}

export function OrderRow({ wheel, text, onUp, onDown }: OrderRowProps) {
  const palette = usePalette();
  const name = wheelName(wheel);
  const arrow = (label: string, onPress: (() => void) | undefined, icon: 'chevron-up' | 'chevron-down'): ReactNode => (
    <Press aria-label={label} disabled={!onPress} onPress={onPress} style={styles.arrow}>
      <Icon source={icon} size={22} color={onPress ? palette.moss : palette.line} />
    </Press>
  );
  return (
    <View style={styles.order}>
      <View style={styles.words}>
        <Text as="strong">{name}</Text>
        <Text as="figure">{text}</Text>
      </View>
      {arrow(`${name} earlier`, onUp, 'chevron-up')}
      {arrow(`${name} later`, onDown, 'chevron-down')}
    </View>
  );
}

const styles = StyleSheet.create({
  order: { flexDirection: 'row', alignItems: 'center', gap: 2 },
  words: { flex: 1 },
  arrow: { alignItems: 'center' },
});
