import type { ComparisonBody, RigRow } from '@dunlinmoss/contract';
import type { Result } from '@dunlinmoss/core';
import type { NoOutcome, SetupOutcome } from '@dunlinmoss/domain';

import { Panel } from '../../components/Panel';
import { Table } from '../../components/Table';
import { SheetActions, SheetView } from '../../components/SheetView';
import { Text } from '../../components/Text';
import { Unfold } from '../../components/Unfold';
import { Print } from '../../pictures/Print';
import type { Units } from '../../settings/preferences';
import { usePalette } from '../../theme/useLight';
import {
  comparedLines,
  comparedText,
  comparisonSheet,
  noOutcomeText,
  otherKindText,
  pastText,
  provedBesideRule,
  setupText,
} from '../../words/compare';

interface Both<Of> {
  readonly first: Of;
  readonly second: Of;
}

interface CompareResultProps {
  readonly body: ComparisonBody;
  readonly rigs: Both<RigRow | undefined>;
  /** Undefined where what is typed can't be worked out yet. */
  readonly outcomes: Both<Result<SetupOutcome, NoOutcome> | undefined>;
  /** What is proved on this ground with a setup that is the rig as it stands, kPa. */
  readonly proved: Both<number | undefined>;
  readonly units: Units;
}

const NAMES = { first: 'First', second: 'Second' } as const;

/** Both setups line by line with how the second differs, and their footprints over each other. */
export function CompareResult({ body, rigs, outcomes, proved, units }: CompareResultProps) {
  const palette = usePalette();
  const { first, second } = outcomes;
  if (!first?.ok || !second?.ok) {
    return (
      <Panel title="Not yet side by side">
        {(['first', 'second'] as const).map((which) => {
          const [outcome, rig] = [outcomes[which], rigs[which]];
          if (outcome?.ok) return null;
          return (
            <Text key={which} role="alert">
              {`${NAMES[which]}: ${
                !rig
                  ? 'its rig is not here, or was archived. Choose another.'
                  : outcome
                    ? noOutcomeText(outcome.problem, rig, units)
                    : 'what is typed can’t be worked out yet.'
              }`}
            </Text>
          );
        })}
      </Panel>
    );
  }
  const [a, b] = [first.value, second.value];
  const lines = comparedLines(a, b, units);
  const labels = [setupText(rigs.first, body.first, units), setupText(rigs.second, body.second, units)] as const;
  const sheet = comparisonSheet(body, labels, lines);
  const otherKind = rigs.first && rigs.second && otherKindText(rigs.first, rigs.second);
  return (
    <>
      <Panel title="Side by side">
        <Text as="strong">{comparedText(a, b, units)}</Text>
        {otherKind !== undefined && <Text tone="rust">{otherKind}</Text>}
        {([a, b] as const).map((outcome, index) => {
          const past = pastText(outcome, units);
          return (
            past !== undefined && (
              <Text key={index} role="alert" tone="rust">{`${index === 0 ? 'First' : 'Second'}: ${past}`}</Text>
            )
          );
        })}
        {(['first', 'second'] as const).map((which) => {
          const provedText = provedBesideRule(outcomes[which]!, proved[which], units);
          return provedText && <Text key={which}>{`${NAMES[which]}: ${provedText}`}</Text>;
        })}
        <Table
          label="Two setups"
          columns={[
            { head: '', share: 1.2 },
            { head: 'First', as: 'label' },
            { head: 'Second', as: 'label' },
            { head: 'Change', as: 'small', tone: 'muted' },
          ]}
          rows={lines.map(({ name, first, second, change }) => ({ key: name, cells: [name, first, second, change] }))}
        />
        <Text as="small" tone="muted">
          Computed by one model for both: which of two is better it tells more surely than any figure by itself.
        </Text>
      </Panel>
      {a.what.patch && b.what.patch && (
        <Panel title="Footprints, one scale">
          <Print
            axles={[
              { name: 'First', road: null, start: { ...a.what.patch, pressureKpa: a.what.pressureKpa } },
              { name: 'Second', road: null, start: { ...b.what.patch, pressureKpa: b.what.pressureKpa } },
            ]}
            units={units}
            palette={palette}
          />
        </Panel>
      )}
      <Unfold label="On paper">
        <SheetView sheet={sheet} />
        <SheetActions sheet={sheet} name="two setups" paper="A5" />
      </Unfold>
    </>
  );
}
