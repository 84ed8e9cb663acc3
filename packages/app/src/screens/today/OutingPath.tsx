import type { NextStep } from '@dunlinmoss/contract';
import type { Kind } from '@dunlinmoss/core';
import { pathOf } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';
import { Icon } from 'react-native-paper';

import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { stepName } from '../../words/steps';

export function Path({ step, kind }: { readonly step: NextStep; readonly kind: Kind }) {
  const palette = usePalette();
  return (
    <View role="list" aria-label="This outing" style={styles.path}>
      {pathOf(step, kind).map(({ step: each, state }, index) => (
        <View key={each} role="listitem" style={styles.step}>
          <View
            style={[
              styles.mark,
              { borderColor: state === 'later' ? palette.line : palette.moss },
              state === 'next' && { backgroundColor: palette.mossWash },
            ]}
          >
            {state === 'done' ? (
              <Icon source="check" size={18} color={palette.moss} />
            ) : (
              <Text as="figure">{String(index + 1)}</Text>
            )}
          </View>
          <Text as={state === 'next' ? 'strong' : 'body'} tone={state === 'later' ? 'muted' : 'ink'}>
            {`${stepName(each, kind)}${state === 'done' ? ': done' : state === 'next' ? ': next' : ''}`}
          </Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  path: { gap: 8, paddingTop: 4 },
  step: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  mark: { width: 34, height: 34, borderWidth: 2, borderRadius: 3, alignItems: 'center', justifyContent: 'center' },
});
