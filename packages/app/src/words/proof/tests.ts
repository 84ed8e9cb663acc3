import type { ProofTestRow } from '@dunlinmoss/contract';
import type { FamilyCode } from '@dunlinmoss/core';
import { judgementOf } from '@dunlinmoss/domain';

import { ROUTINE_WORDS } from './registry';

/** As it reads behind a colon; tracks keep their letter. */
const withinSentence = (text: string): string =>
  text.toLowerCase().replace(/\btrack [ab]\b/g, (track) => `track ${track.at(-1)!.toUpperCase()}`);

/** `Tape: grew as expected`: a test of any kind in one line. */
export function testText(test: ProofTestRow, family: FamilyCode): string {
  const words = ROUTINE_WORDS[test.kind];
  const { verdict } = judgementOf(test, family);
  return `${words.name}: ${withinSentence(words.verdicts[verdict] ?? verdict)}`;
}
