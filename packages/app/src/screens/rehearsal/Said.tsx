import type { Choice, Scene } from '@dunlinmoss/core';

import { Panel } from '../../components/Panel';
import { Text } from '../../components/Text';
import type { Decided } from '../../hooks/useRehearsal';
import type { Units } from '../../settings/preferences';
import { LUCK_WORDS, mechanismText, verdictText } from '../../words/rehearsal';

interface SaidProps {
  readonly decided: Decided;
  readonly label: (choice: Choice, at: Scene) => string;
  readonly units: Units;
}

/** What a decision was worth by what could be known, luck apart, and what made the difference this once. */
export function Said({
  decided: { before, choice, twin, best, expected, verdict, mechanism },
  label,
  units,
}: SaidProps) {
  const poor = verdict.costsMin > 0;
  return (
    <Panel title={`You: ${label(choice, before)}`}>
      <Text as="strong" tone={poor ? 'rust' : 'moss'}>
        {verdictText({ verdict, expected, best: label(best, before) })}
      </Text>
      {verdict.luck && <Text>{LUCK_WORDS[verdict.luck]}</Text>}
      {mechanism && twin && <Text>{mechanismText(mechanism, label(twin.choice, before), units)}</Text>}
    </Panel>
  );
}
