import type { ProofTestRow } from '@dunlinmoss/contract';
import { judgeTape } from '@dunlinmoss/core';

import { tapeOf } from '../../data/planInput';
import { unitsStore } from '../../data/preferences';
import { CardList, LinkCard } from '../../pieces/LinkCard';
import { Text } from '../../pieces/Text';
import { dayAndTime, length, pressure } from '../../words/format';
import { VERDICT_WORDS, WHEEL_WORDS } from '../../words/tape';

interface TestListProps {
  readonly tests: readonly ProofTestRow[];
  /** Names by rig id, where the list goes over several rigs. */
  readonly rigNames?: ReadonlyMap<string, string>;
}

/** Tests with what they said, newest first; each leads to its readings. */
export function TestList({ tests, rigNames }: TestListProps) {
  const units = unitsStore.use();
  return (
    <CardList>
      {tests.map((test) => {
        const { verdict, rows } = judgeTape(tapeOf(test));
        const about = [
          rigNames?.get(test.rigId),
          WHEEL_WORDS[test.details.wheel].toLowerCase(),
          dayAndTime(test.performedAt),
        ];
        return (
          <LinkCard key={test.id} href={{ pathname: '/proof/tape/[id]', params: { id: test.id } }}>
            <Text as="strong">{`Tape: ${VERDICT_WORDS[verdict].toLowerCase()}`}</Text>
            <Text as="small">
              {rows.map((row) => `${length(row.lengthMm, units)} at ${pressure(row.pressureKpa, units)}`).join(', ')}
            </Text>
            <Text as="small" tone="muted">
              {about.filter((part) => part !== undefined).join(' · ')}
            </Text>
          </LinkCard>
        );
      })}
    </CardList>
  );
}
