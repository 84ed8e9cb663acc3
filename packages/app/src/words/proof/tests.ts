import type { ProofTestRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';
import { judgementOf, tapeResultOf } from '@dunlinmoss/domain';

import { VERDICT_WORDS } from '../tape';
import { ROUTINE_WORDS } from './registry';

/** `Tape: grew as expected`: a test of any kind in one line. */
export function testText(test: ProofTestRow, family: FamilyCode): string {
  if (test.kind === 'tape') return `Tape: ${VERDICT_WORDS[tapeResultOf(test).verdict].toLowerCase()}`;
  const words = ROUTINE_WORDS[test.kind];
  const { verdict } = judgementOf(test, family);
  return `${words.name}: ${(words.verdicts[verdict] ?? verdict).toLowerCase()}`;
}

/** What a test is called. */
export const testName = (kind: ProofTestRow['kind']): string =>
  kind === 'tape' ? 'Tape test' : ROUTINE_WORDS[kind].name;
