import { SUBSOIL_RULE, type Lever, type NoLever, type Pressing } from '@dunlinmoss/core';
import { FIELD_DEPTHS, type FieldWords } from '@dunlinmoss/domain';
import { StyleSheet, View } from 'react-native';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import type { Units } from '../../settings/preferences';
import {
  chanceSpread,
  chanceText,
  DEPTH_MENDS,
  DEPTH_SOURCES,
  DEPTH_WORDS,
  gainText,
  leverSure,
  leverText,
  noLeverText,
} from '../../words/depth';
import { length, percent } from '../../words/format';

interface DepthResultProps {
  readonly pressed: Pressing;
  readonly helps: { readonly all: readonly Lever[]; readonly none: readonly NoLever[] };
  /** Of the field, 0 to 1. */
  readonly share: number;
  /** How deep a rut one pass leaves, m; null where it sinks in, undefined without a cone. */
  readonly rutM: number | null | undefined;
  readonly field: FieldWords;
  readonly units: Units;
}

/** What gives way at three depths, in words, and what helps, the most first. */
export function DepthResult({ pressed, helps, share, rutM, field, units }: DepthResultProps) {
  const deep = pressed.depths.at(-1)!;
  return (
    <>
      <Panel title="Does it give way for good?">
        {pressed.depths.map((at, index) => {
          const depth = FIELD_DEPTHS[index]!;
          return (
            <View key={depth} style={styles.depth}>
              <Text as="label" tone="muted">{`${DEPTH_WORDS[depth]}, ${length(1000 * at.depthM, units)}`}</Text>
              <Text as="strong" tone={at.chance >= 0.33 ? 'rust' : 'ink'}>
                {`${capital(chanceText(at.chance))}, ${chanceSpread(at)}`}
              </Text>
              <Text as="small" tone="muted">
                {`${at.stressKpa.toFixed(0)}\u00a0kPa pressed, about ${at.strengthKpa.toFixed(0)} borne; ${DEPTH_MENDS[depth]}`}
              </Text>
            </View>
          );
        })}
        {pressed.pastRule && (
          <Text as="small" tone="rust">
            {`More than ${SUBSOIL_RULE.stressKpa} kPa at half a meter (${deep.stressKpa.toFixed(0)}): too much for moist subsoil, by Schjønning et al. 2012.`}
          </Text>
        )}
        <Text as="small" tone="muted">
          {`Wheels run over ${percent(share)} of the field${field.times > 1 ? `, ${field.times} times` : ''}.`}
        </Text>
      </Panel>
      {rutM !== undefined && (
        <Panel title="Rut">
          <Text as={rutM === null ? 'strong' : 'body'} tone={rutM === null ? 'rust' : 'ink'}>
            {rutM === null
              ? 'By your own reading the wheel sinks in: no figure means anything.'
              : `One pass leaves a rut of about ${length(1000 * rutM, units)}, by your own reading of it (Maclaurin 1990, from memory). Proof, Ruts, tells it afterwards.`}
          </Text>
        </Panel>
      )}
      <Panel title="What helps, the most first">
        {helps.all.map((lever, index) => (
          <View key={lever.code} style={styles.depth}>
            <Text as="strong">{`${index + 1}. ${leverText(lever, units)}`}</Text>
            <Text as="small">
              {lever.depths
                .map((at, place) => `${DEPTH_WORDS[FIELD_DEPTHS[place]!].toLowerCase()}: ${chanceText(at.chance)}`)
                .join('; ')}
            </Text>
            <Text as="small" tone="muted">
              {[gainText(lever.gain), leverSure(lever)].filter((text) => text !== '').join('; ')}
            </Text>
          </View>
        ))}
        {helps.all.length === 0 && <Text>Nothing here helps by much: keep off until it is drier.</Text>}
        {helps.none.length > 0 && (
          <Unfold label="What does not help">
            {helps.none.map((lever) => (
              <Text key={lever.code} as="small">
                {noLeverText(lever)}
              </Text>
            ))}
          </Unfold>
        )}
        <Text as="small" tone="muted">
          Load decides how deep it goes, pressure what happens in the top; waiting spares the top. It never says go: dig
          a spade’s depth and look. Not for stony, peaty or frozen ground, nor over a plow pan. What soil bears is known
          to a factor of 1.5 (after Lebert and Horn 1991, from memory); your own cone or rut refines it.
        </Text>
      </Panel>
      <Unfold label="What it rests on">
        {DEPTH_SOURCES.map(([step, source]) => (
          <View key={step}>
            <Text as="small">{step}</Text>
            <Text as="small" tone="muted">
              {source}
            </Text>
          </View>
        ))}
      </Unfold>
    </>
  );
}

const capital = (text: string): string => text[0]!.toUpperCase() + text.slice(1);

const styles = StyleSheet.create({ depth: { gap: 2 } });
