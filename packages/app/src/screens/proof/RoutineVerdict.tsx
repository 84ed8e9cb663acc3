import { familyOf, routineOf } from '@dunlinmoss/core';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { usePalette } from '../../theme/useLight';
import { isCeiling, LIMIT_WORDS } from '../../words/limits';
import { ROUTINE_WORDS } from '../../words/proof/registry';
import { onScreen } from './routines/registry';
import { RunStrip } from './RunStrip';
import { missingFields } from './routineForm';
import type { OpenRoutine } from './openRoutine';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const TONE = { keep: 'moss', softer: 'ink', firmer: 'ink', again: 'ink', look: 'rust' } as const;

/** What has still to be written down: `Still missing: gauge, distance.` */
function missingText({ code, values, rig }: OpenRoutine): string {
  const { fields, run = 'Run' } = ROUTINE_WORDS[code];
  if (values.runs.length === 0) return `${run} 1 is still missing.`;
  const names = missingFields(code, familyOf(rig.family).kind, values).map((name) => fields[name]!.toLowerCase());
  return names.length === 0
    ? 'What is written down can’t be read yet: look at the fields.'
    : `Still missing: ${names.join(', ')}.`;
}

/** What a test says so far, in words and in its own picture. */
export function RoutineVerdict({ open }: { readonly open: OpenRoutine }) {
  const palette = usePalette();
  const { code, test, judgement, names, units } = open;
  const { Picture = RunStrip, saysRuns, strip, withheld } = onScreen(code);
  const why = withheld?.(open) ?? null;
  if (why !== null || !test || !judgement) {
    return (
      <Panel title="Result">
        <Text tone="muted">{why ?? missingText(open)}</Text>
      </Panel>
    );
  }
  const words = ROUTINE_WORDS[code];
  const { verdict, move, contradictions, heldAt } = judgement;
  const hurts = move === 'look' || contradictions.length > 0;
  return (
    <Panel title="Result">
      <View
        role="status"
        style={[
          styles.verdict,
          {
            borderColor: hurts ? palette.rust : move === 'keep' ? palette.moss : palette.waterDeep,
            backgroundColor: hurts ? palette.rustWash : move === 'keep' ? palette.mossWash : palette.card,
          },
        ]}
      >
        <Text as="heading" tone={TONE[move]}>
          {words.verdicts[verdict] ?? verdict}
        </Text>
        <Text>{words.advice(judgement, units)}</Text>
        {heldAt !== null && (
          <Text as="small" tone="rust">
            {judgement.tryKpa === null
              ? `No lower: the plan’s floor stands above what you tried. ${capital(LIMIT_WORDS[heldAt].voice)}.`
              : `Cut off at the plan’s ${isCeiling(heldAt) ? 'ceiling' : 'floor'}: ${LIMIT_WORDS[heldAt].voice}.`}
          </Text>
        )}
      </View>
      <Picture test={test} judgement={judgement} units={units} wheels={names} {...(strip && { strip })} />
      {words.runs && judgement.runs.length > 0 && !saysRuns && (
        <Text as="small" tone="muted">
          {judgement.runs
            .map((word, index) => `${index + 1}: ${words.runs![word] ?? word}`)
            .filter((line) => !line.endsWith(': '))
            .join(' · ')}
        </Text>
      )}
      {contradictions.length > 0 && (
        <Text as="small" tone="rust">
          {`These can’t both be right: ${contradictions
            .slice(0, 3)
            .map(([a, b]) => `${a + 1} and ${b + 1}`)
            .join(', ')}. Both are kept; nothing is averaged.`}
        </Text>
      )}
      {routineOf(code).evidence && (
        <Text as="small" tone="muted">
          What it tells of the tire itself goes into the plan when it is saved.
        </Text>
      )}
    </Panel>
  );
}

const styles = StyleSheet.create({
  verdict: { borderLeftWidth: 6, padding: 12, gap: 4 },
});
