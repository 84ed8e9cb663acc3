import { outerDiameterMm, readMarking, sameSize, writeMarking, type Family, type Tire } from '@dunlinmoss/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { readDraft, writeDraft } from '../../data/drafts';
import { unitsStore } from '../../settings/preferences';
import { Choice } from '../../components/Choice';
import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import { TextField } from '../../components/TextField';
import { usePalette } from '../../theme/useLight';
import { KIND_WORDS, TIRE_USE_WORDS } from '../../words/families';
import { length } from '../../words/format';
import { MARKING_EXAMPLES, markingProblemText, tireInWords } from '../../words/marking';
import { BesideList } from './RigScreen';

const DRAFT = 'marking';
const KINDS = Object.keys(KIND_WORDS) as Family['kind'][];

/** The sidewall reader: any marking, in words, as it is typed; a second one to hold against it. */
export function MarkingScreen() {
  const kept = readDraft<{ kind: Family['kind']; texts: [string, string] }>(DRAFT);
  const [kind, setKind] = useState<Family['kind']>(kept?.kind ?? 'car');
  const [texts, setTexts] = useState<readonly [string, string]>(kept?.texts ?? ['', '']);
  const keep = (next: readonly [string, string], nextKind = kind): void => {
    setTexts(next);
    setKind(nextKind);
    writeDraft(DRAFT, { kind: nextKind, texts: next });
  };
  const [first, second] = texts.map((text) => readMarking(text));
  return (
    <BesideList title="Read a sidewall">
      <Choice
        label="Examples for"
        value={kind}
        options={KINDS.map((code) => ({ code, name: KIND_WORDS[code] }))}
        onChange={(code) => keep(texts, code)}
      />
      <TextField
        label="What the sidewall says"
        value={texts[0]}
        onChange={(text) => keep([text, texts[1]])}
        capitals
        problem={texts[0].trim() !== '' && !first!.ok ? markingProblemText(first!.problem, kind) : undefined}
        hint={`Like ${MARKING_EXAMPLES[kind]}.`}
      />
      {first!.ok && <Reading tire={first!.value} />}
      <TextField
        label="Another, to hold against it (if you like)"
        value={texts[1]}
        onChange={(text) => keep([texts[0], text])}
        capitals
        problem={texts[1].trim() !== '' && !second!.ok ? markingProblemText(second!.problem, kind) : undefined}
      />
      {second!.ok && <Reading tire={second!.value} />}
      {first!.ok && second!.ok && <Compared a={first!.value} b={second!.value} />}
    </BesideList>
  );
}

function Reading({ tire }: { readonly tire: Tire }) {
  const units = unitsStore.use();
  const palette = usePalette();
  const parts = tireInWords(tire, units).split(', ');
  return (
    <Panel title={`${writeMarking(tire)}: a ${TIRE_USE_WORDS[tire.use]} tire`}>
      <View role="list" style={styles.parts}>
        {parts.map((part) => (
          <View key={part} role="listitem" style={[styles.part, { borderColor: palette.line }]}>
            <Text>{part}</Text>
          </View>
        ))}
      </View>
      <Text as="small" tone="muted">
        {tire.use === 'bicycle'
          ? 'How wide it really is on its rim is on no marking: measure it.'
          : `Stands ${length(outerDiameterMm(tire), units)} high by its size.`}
      </Text>
    </Panel>
  );
}

function Compared({ a, b }: { readonly a: Tire; readonly b: Tire }) {
  const units = unitsStore.use();
  if (sameSize(a, b)) return <Text as="strong">The same size and build, written in two ways.</Text>;
  const higher = outerDiameterMm(b) - outerDiameterMm(a);
  const wider = b.sectionWidthMm - a.sectionWidthMm;
  const differs = (mm: number, more: string, less: string): string =>
    Math.abs(mm) < 0.5 ? `as ${more.replace(/er$/, '')}` : `${length(Math.abs(mm), units)} ${mm > 0 ? more : less}`;
  return (
    <Text as="strong">
      {`Not the same size: the second is ${differs(higher, 'higher', 'lower')} and ${differs(wider, 'wider', 'narrower')}${
        a.construction === b.construction ? '' : `, and ${b.construction} instead of ${a.construction}`
      }.`}
    </Text>
  );
}

const styles = StyleSheet.create({
  parts: { gap: 0 },
  part: { borderBottomWidth: 1, paddingVertical: 5 },
});
