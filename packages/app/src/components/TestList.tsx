import type { ProofTestRow, RigRow } from '@dunlinmoss/contract';
import { routineOf } from '@dunlinmoss/core';
import { judgementOf } from '@dunlinmoss/domain';

import { unitsStore, type Units } from '../settings/preferences';
import { CardList, LinkCard } from './LinkCard';
import { Text } from './Text';
import { wheelKeyName } from '../words/air';
import { dayAndTime, length, pressure } from '../words/format';
import { testText } from '../words/proof/tests';

interface TestListProps {
  readonly tests: readonly ProofTestRow[];
  readonly rigs: readonly RigRow[];
  /** Whether each says which rig it is of. */
  readonly named?: boolean;
}

/** Tests with what they said, newest first; each leads to its own screen. */
export function TestList({ tests, rigs, named = false }: TestListProps) {
  const units = unitsStore.use();
  return (
    <CardList>
      {tests.map((test) => {
        const rig = rigs.find(({ id }) => id === test.rigId);
        const about = [
          named ? rig?.name : undefined,
          routineOf(test.kind).oneWheel ? wheelKeyName(test.details.wheel).toLowerCase() : undefined,
          dayAndTime(test.performedAt),
          test.counts ? undefined : 'does not count',
        ];
        const href = { pathname: '/proof/[kind]/[id]', params: { kind: test.kind, id: test.id } } as const;
        return (
          <LinkCard key={test.id} href={href}>
            <Text as="strong">{testText(test, rig?.family ?? 'fourWheel')}</Text>
            <Text as="small">{figuresOf(test, rig, units)}</Text>
            <Text as="small" tone="muted">
              {about.filter((part) => part !== undefined).join(' · ')}
            </Text>
          </LinkCard>
        );
      })}
    </CardList>
  );
}

/** What was measured, in one line. */
function figuresOf(test: ProofTestRow, rig: RigRow | undefined, units: Units): string {
  const { levels, tryKpa, move } = judgementOf(test, rig?.family ?? 'fourWheel');
  const { score, levelUnit } = routineOf(test.kind);
  const inMm = (levelUnit ?? score?.unit) === 'mm';
  const told = levels
    .slice(0, 4)
    .map(({ pressureKpa, mean }) =>
      inMm ? `${length(mean, units)} at ${pressure(pressureKpa, units)}` : pressure(pressureKpa, units),
    );
  return [
    ...told,
    ...(tryKpa === null ? [] : [`${move === 'keep' ? 'keep' : 'next'} ${pressure(tryKpa, units)}`]),
  ].join(', ');
}
