import type { WorkingStep } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { unitsStore } from '../settings/preferences';
import { usePalette } from '../theme/useLight';
import { stepWords } from '../words/working';
import { Text } from './Text';

/** A working, step by step: the rule, the values put in, what comes out, and where the rule is from. */
export function Working({ steps }: { readonly steps: readonly WorkingStep[] }) {
  const palette = usePalette();
  const units = unitsStore.use();
  return (
    <View role="list">
      {steps.map((step, index) => {
        const words = stepWords(step, units);
        return (
          <View key={index} role="listitem" style={[styles.step, { borderColor: palette.line }]}>
            <Text as="label">{`${index + 1}. ${words.title}`}</Text>
            <Text as="small" tone="muted">
              {words.formula}
            </Text>
            {words.inputs !== '' && <Text as="small">{words.inputs}</Text>}
            <Text as="label">{`→ ${words.result}`}</Text>
            <Text as="small" tone={step.source.mark === 'measured' ? 'moss' : 'muted'}>
              {words.source}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  step: { borderTopWidth: 1, paddingVertical: 8, gap: 1 },
});
