import type { ProofTestRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';
import { judgementOf } from '@dunlinmoss/domain';

import { ROUTINE_WORDS } from './registry';

/** `Tape: grew as expected`: a test of any kind in one line. */
export function testText(test: ProofTestRow, family: FamilyCode): string {
  const words = ROUTINE_WORDS[test.kind];
  const { verdict } = judgementOf(test, family);
  return `${words.name}: ${(words.verdicts[verdict] ?? verdict).toLowerCase()}`;
}
